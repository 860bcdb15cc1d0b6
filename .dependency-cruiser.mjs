/** Who may import whom. The rooms of the core stand in one order: a room imports from those before it, never from one behind. */

const ROOMS = [
  "shared",
  "tables",
  "quantities",
  "ingredients",
  "process",
  "item",
  "kitchen",
  "gathering",
  "batching",
  "schedule",
  "plan",
  "run",
  "stock",
  "log",
  "formats",
];
/** The same inside the scheduler: what is beside these folders at its top is the problem, its model and what checks it. */
const SCHEDULE_ROOMS = ["construct", "timing", "lcg", "jobshop", "improve", "explain", "replan"];

/** Everything outside the core, with what it may not import. */
const OUTSIDE = {
  host: ["db", "workers", "ui", "app"],
  db: ["workers", "ui", "app"],
  workers: ["db", "ui", "app"],
  ui: ["db", "app"],
};

const folder = (path) => `^src/${path}/`;
const behind = (rooms, base) =>
  rooms.slice(0, -1).map((room, i) => ({
    name: `${room}-comes-before`,
    comment: `${base}${room} may import only from the rooms before it.`,
    severity: "error",
    from: { path: folder(`core/${base}${room}`) },
    to: { path: rooms.slice(i + 1).map((other) => folder(`core/${base}${other}`)) },
  }));

/** @type {import('dependency-cruiser').IConfiguration} */
export default {
  forbidden: [
    {
      name: "no-circle",
      comment: "Two files that need each other are one idea.",
      severity: "error",
      from: {},
      to: { circular: true },
    },
    ...behind(ROOMS, ""),
    ...behind(SCHEDULE_ROOMS, "schedule/"),
    {
      name: "problem-before-its-solvers",
      comment: "The problem, its model and the verifier know nothing of how a schedule is found.",
      severity: "error",
      from: { path: "^src/core/schedule/(problem|solution|model|verify|budget|out-of-reach)" },
      to: { path: SCHEDULE_ROOMS.map((room) => folder(`core/schedule/${room}`)) },
    },
    {
      name: "verify-shares-nothing-with-solve",
      comment: "The verifier reads the problem and the solution by itself.",
      severity: "error",
      from: { path: "^src/core/schedule/verify" },
      to: { path: "^src/core/", pathNot: "^src/core/(shared/|schedule/(problem|solution))" },
    },
    {
      name: "core-is-pure",
      comment: "Of packages the core takes validation, dates, chance and nearness of words.",
      severity: "error",
      from: { path: "^src/core/" },
      to: {
        dependencyTypesNot: ["local", "aliased", "aliased-tsconfig"],
        pathNot: "node_modules/(zod|date-fns|@date-fns/tz|pure-rand|fuse.js|fastest-levenshtein)/",
      },
    },
    {
      name: "core-knows-nobody",
      severity: "error",
      comment: "Dependencies point towards the core.",
      from: { path: "^src/core/" },
      to: { path: "^src/", pathNot: "^src/core/" },
    },
    ...Object.entries(OUTSIDE).map(([from, into]) => ({
      name: `${from}-knows-less`,
      severity: "error",
      comment: "core ← db, workers, ui ← app",
      from: { path: folder(from) },
      to: { path: into.map(folder) },
    })),
    {
      name: "screens-get-data-from-the-app",
      severity: "error",
      comment: "A screen reads no database and no file.",
      from: { path: folder("ui") },
      to: { path: "(node_modules/(better-sqlite3|drizzle-orm)/|^node:|^(fs|path|child_process)$)" },
    },
    {
      name: "screens-ask-workers-through-clients",
      severity: "error",
      comment: "A screen takes a worker's client or its types, never the entry.",
      from: { path: folder("ui") },
      to: { path: folder("workers"), pathNot: "\\.(client|protocol)\\.ts$" },
    },
  ],
  options: {
    doNotFollow: { path: "node_modules" },
    exclude: { path: "(\\.test\\.tsx?$|^tests/)" },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: "tsconfig.json" },
    enhancedResolveOptions: {
      extensions: [".ts", ".tsx", ".mjs", ".json"],
      exportsFields: ["exports"],
      conditionNames: ["import", "types", "default"],
    },
  },
};
