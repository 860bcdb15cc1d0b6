import reactHooks from "eslint-plugin-react-hooks";
import tseslint from "typescript-eslint";

/** Folders of src by who may import whom: core ← db, workers, ui, app. What a folder may not import is listed beside it. */
const FORBIDDEN = {
  core: ["db", "workers", "ui", "app"],
  db: ["workers", "ui", "app"],
  workers: ["db", "ui", "app"],
  ui: ["db", "app"],
};
/** The core is pure: no framework, no database, no file system, no clock; of packages only validation, dates and chance. */
const IMPURE = [
  "react",
  "react-dom",
  "next",
  "next/*",
  "@mui/*",
  "drizzle-orm",
  "drizzle-orm/*",
  "better-sqlite3",
  "comlink",
  "node:*",
  "fs",
  "path",
  "child_process",
];
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
const TESTS = ["src/**/*.test.ts", "src/**/*.test.tsx", "src/core/**/testing/**"];

const notInto = (from, into) => ({
  files: [`src/${from}/**/*.{ts,tsx}`],
  ignores: TESTS,
  rules: {
    "no-restricted-imports": [
      "error",
      {
        patterns: [
          {
            group: into.flatMap((folder) => [`@/${folder}`, `@/${folder}/*`, `**/../${folder}/*`, `../${folder}/*`]),
            message: `${from} may not import this: dependencies point core ← db, workers, ui, app.`,
          },
          ...(from === "core" ? [{ group: IMPURE, message: "The core is pure." }] : []),
          ...(from === "ui"
            ? [
                {
                  group: ["better-sqlite3", "drizzle-orm", "drizzle-orm/*", "node:*"],
                  message: "Screens get their data from the app.",
                },
              ]
            : []),
        ],
      },
    ],
    ...(from === "core" ? { "no-restricted-syntax": ["error", ...CLOCK] } : {}),
  },
});

export default tseslint.config(
  { ignores: [".next/**", "node_modules/**", "next-env.d.ts", "data/**", "docs/**", ".scratch/**"] },
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
  ...Object.entries(FORBIDDEN).map(([from, into]) => notInto(from, into)),
);
