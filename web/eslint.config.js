import js from "@eslint/js";
import reactHooks from "eslint-plugin-react-hooks";
import tseslint from "typescript-eslint";

// A station may use what is shared and what is generated, never another station.
const stations = ["call", "plate", "readings", "findings", "duty", "options", "decision", "setup", "proof", "log"];
const walls = stations.map((station) => ({
  files: [`src/stations/${station}/**`],
  rules: {
    "no-restricted-imports": [
      "error",
      { patterns: stations.filter((other) => other !== station).map((other) => `**/${other}/*`) },
    ],
  },
}));

export default tseslint.config(
  { ignores: ["dist", "node_modules", "src/generated", "public/docs"] },
  js.configs.recommended,
  ...tseslint.configs.strict,
  reactHooks.configs.flat.recommended,
  ...walls,
);
