// Rooms of the core, in the order of work: each may import the rooms above it, never below.
const ROOMS = [
  "words",
  "units",
  "params",
  "geometry",
  "body",
  "pattern",
  "tracing",
  "drafting",
  "bodice",
  "moves",
  "finish",
  "fitting",
  "styles",
  "pieces",
  "cloth",
  "inspect",
  "advice",
  "making",
  "files",
  "diary",
];

module.exports = {
  forbidden: [
    {
      name: "no-circles",
      severity: "error",
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ["type-only"] } },
    },
    {
      name: "core-stands-alone",
      comment: "The core has no interface code, no browser store and no workers.",
      severity: "error",
      from: { path: "^src/core" },
      to: { path: "^src/(app|ui|store|workers)|node_modules/(react|next|@mui|zustand|idb|comlink)/" },
    },
    ...ROOMS.map((room, i) => ({
      name: `${room}-looks-up-only`,
      severity: "error",
      from: { path: `^src/core/${room}/`, pathNot: "\\.test\\.ts$" },
      to: { path: `^src/core/(${[...ROOMS.slice(i + 1), "derive", "testing"].join("|")})` },
    })),
    {
      name: "derive-sees-the-rooms-only",
      severity: "error",
      from: { path: "^src/core/derive", pathNot: "\\.test\\.ts$" },
      to: { path: "^src/core/testing" },
    },
    {
      name: "ui-does-not-know-pages",
      severity: "error",
      from: { path: "^src/(ui|store|workers)" },
      to: { path: "^src/app" },
    },
    {
      name: "store-and-workers-do-not-know-ui",
      severity: "error",
      from: { path: "^src/(store|workers)" },
      to: { path: "^src/ui" },
    },
    {
      name: "no-test-support-in-the-program",
      severity: "error",
      from: { path: "^src/(app|ui|store|workers)", pathNot: "\\.test\\.tsx?$" },
      to: { path: "^src/core/testing" },
    },
  ],
  options: {
    doNotFollow: { path: "node_modules" },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: "tsconfig.json" },
    enhancedResolveOptions: { exportsFields: ["exports"], conditionNames: ["import", "require", "node", "default"] },
  },
};
