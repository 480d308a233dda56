import react from "@vitejs/plugin-react";
import { defineConfig } from "vitest/config";

export default defineConfig({
  plugins: [react()],
  build: { sourcemap: false, assetsInlineLimit: 0, chunkSizeWarningLimit: 900 },
  server: { host: "127.0.0.1", proxy: { "/api": "http://127.0.0.1:8420" } },
  test: { environment: "jsdom", include: ["tests/**/*.test.{ts,tsx}"], restoreMocks: true, unstubGlobals: true },
});
