// Imports go one way: app → ui → workers → core and app → server → core; inside the core, downward only.
const layer = (name, from, to) => ({
  name,
  severity: "error",
  from: { path: from, pathNot: "\\.test\\.tsx?$" },
  to: { path: to },
});
/** Folders of the core from the ground up: a folder may import its own level and those before it. */
const CORE = [
  ["quantities", "numeric"],
  ["air", "earth"],
  ["aircraft"],
  ["situation"],
  ["glide"],
  ["asymmetric"],
  ["landing"],
  ["departure", "take-off", "identify", "restart"],
  ["calculations"],
];

module.exports = {
  forbidden: [
    { name: "no-circular", severity: "error", from: {}, to: { circular: true } },
    { name: "no-unresolvable", severity: "error", from: {}, to: { couldNotResolve: true } },
    layer("core-knows-nobody", "^src/core/", "^src/(app|ui|workers|server)/"),
    layer("workers-know-the-core", "^src/workers/", "^src/(app|ui|server)/"),
    layer("server-knows-the-core", "^src/server/", "^src/(app|ui|workers)/"),
    {
      name: "ui-knows-no-server",
      severity: "error",
      from: { path: "^src/ui/" },
      to: { path: "^src/(app|server)/", dependencyTypesNot: ["type-only"] },
    },
    {
      name: "core-is-pure",
      severity: "error",
      from: { path: "^src/core/", pathNot: "\\.test\\.ts$" },
      to: { dependencyTypes: ["core"] },
    },
    ...CORE.slice(0, -1).map((level, i) =>
      layer(
        `core-downward-${level.join("-")}`,
        `^src/core/(${level.join("|")})/`,
        `^src/core/(${CORE.slice(i + 1)
          .flat()
          .join("|")})/`,
      ),
    ),
    layer("core-below-the-registry", "^src/core/.+/", "^src/core/registry\\.ts$"),
  ],
  options: {
    doNotFollow: { path: "node_modules" },
    tsPreCompilationDeps: "specify",
    tsConfig: { fileName: "tsconfig.json" },
    enhancedResolveOptions: {
      exportsFields: ["exports"],
      conditionNames: ["import", "require", "node", "default", "types"],
    },
  },
};
