import react from "@vitejs/plugin-react";
import { defineConfig } from "vitest/config";

import { early, words } from "./words";

/** What nearly every page of a job needs, in one file: it packs better, and comes at once, not in thirty small pieces. */
const SHARED = {
  name: "shared",
  test: /src\/(shared|generated\/(fields|quantities))/,
  minShareCount: 6,
  includeDependenciesRecursively: false,
};

export default defineConfig({
  plugins: [words(), react(), early()],
  build: {
    sourcemap: false,
    assetsInlineLimit: 0,
    chunkSizeWarningLimit: 900,
    rolldownOptions: { output: { codeSplitting: { groups: [SHARED] } } },
  },
  server: { host: "127.0.0.1", proxy: { "/api": "http://127.0.0.1:8420" } },
  test: {
    environment: "jsdom",
    include: ["tests/**/*.test.{ts,tsx}"],
    restoreMocks: true,
    unstubGlobals: true,
    testTimeout: 60_000, // a machine at work on much else is no fault of what is tested
  },
});
