/** Unit and property tests of the core, the database and the command line. Browser tests run under Playwright. */
export default {
  testEnvironment: "node",
  roots: ["<rootDir>/src", "<rootDir>/cli", "<rootDir>/tests"],
  transform: {
    "^.+\\.tsx?$": [
      "@swc/jest",
      { jsc: { target: "es2022", parser: { syntax: "typescript", tsx: true }, transform: { react: { runtime: "automatic" } } } },
    ],
  },
  moduleNameMapper: { "^@/(.*)$": "<rootDir>/src/$1", "^@tests/(.*)$": "<rootDir>/tests/$1" },
  transformIgnorePatterns: ["/node_modules/(?!(pure-rand|date-fns)/)"],
  /** Both cores of a small machine: files share nothing. */
  maxWorkers: "100%",
  /** For machines ten times as slow as a good one: nothing here measures speed. */
  testTimeout: 300_000,
};
