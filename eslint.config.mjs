import reactHooks from "eslint-plugin-react-hooks";
import tseslint from "typescript-eslint";

/** Who may import whom is held by dependency-cruiser (.dependency-cruiser.mjs); here stands what is no import. */
const CLOCK = [
  {
    selector: "NewExpression[callee.name='Date'][arguments.length=0]",
    message: "The core has no clock: time comes in as an argument.",
  },
  {
    selector: "MemberExpression[object.name='Date'][property.name='now']",
    message: "The core has no clock: time comes in as an argument.",
  },
  {
    selector: "MemberExpression[object.name='performance'][property.name='now']",
    message: "The core has no clock: time comes in as an argument.",
  },
  {
    selector: "MemberExpression[object.name='Math'][property.name='random']",
    message: "The core has no chance of its own: a seeded generator comes in as an argument.",
  },
];
export default tseslint.config(
  { ignores: ["**/.next/**", "node_modules/**", "**/next-env.d.ts", "data/**", "docs/**", ".scratch/**"] },
  ...tseslint.configs.recommended,
  reactHooks.configs.flat["recommended-latest"] ?? reactHooks.configs.flat.recommended,
  {
    rules: {
      "@typescript-eslint/no-unused-vars": ["error", { argsIgnorePattern: "^_", varsIgnorePattern: "^_" }],
      "@typescript-eslint/no-non-null-assertion": "off",
      eqeqeq: ["error", "smart"],
      "no-console": "error",
    },
  },
  { files: ["scripts/**", "cli/**", "e2e/**"], rules: { "no-console": "off" } },
  {
    files: ["src/core/**/*.ts"],
    ignores: ["src/**/*.test.ts"],
    rules: { "no-restricted-syntax": ["error", ...CLOCK] },
  },
);
