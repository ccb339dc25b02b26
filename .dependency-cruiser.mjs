// Imports go one way. The rules are made from these lists, and a folder that is on none of them is refused.
import { readdirSync } from "node:fs";
import path from "node:path";

/** The whole: each may import what its line names, and nothing else of the project. */
const SOURCE = {
  core: [],
  types: [],
  sw: ["ui"],
  workers: ["core"],
  server: ["core"],
  ui: ["core", "workers"],
  app: ["core", "ui", "server"],
};

/** The core from the ground up: a folder may import those of the lines before its own, and those left of it. */
const CORE = [
  ["quantities", "numeric"],
  ["air", "earth"],
  ["places"],
  ["aircraft"],
  ["situation"],
  ["flight", "engine"],
  ["glide"],
  ["rotor"],
  ["asymmetric", "identify"],
  ["landing"],
  ["cover", "route", "drift"],
  ["restart", "departure", "take-off"],
  ["fitting", "procedure", "simulation"],
  ["recall", "exercise"],
  ["track"],
  ["debrief"],
  ["series", "logbook", "school"],
  ["calculations"],
];

/** The interface from the ground up, one folder a floor. Below the first stand the workers and the core. */
const UI = [["kit"], ["library"], ["situation"], ["answers"], ["stages"], ["shell"]];

const folders = (/** @type {string} */ place) =>
  readdirSync(path.join(import.meta.dirname, place), { withFileTypes: true })
    .filter((entry) => entry.isDirectory())
    .map((entry) => entry.name);

/** @type {(place: string, listed: readonly string[]) => void} */
const refuseUnlisted = (place, listed) => {
  const unlisted = folders(place).filter((name) => !listed.includes(name));
  if (unlisted.length > 0)
    throw new Error(`${place}/${unlisted.join(", ")}: a folder on no floor. Give it one in .dependency-cruiser.mjs.`);
};
refuseUnlisted("src", Object.keys(SOURCE));
refuseUnlisted("src/core", CORE.flat());
refuseUnlisted("src/ui", UI.flat());

const NO_TEST = "\\.test\\.tsx?$";
/** @type {(name: string, from: string, to: string, more?: object) => object} */
const never = (name, from, to, more = {}) => ({
  name,
  severity: "error",
  from: { path: from, pathNot: NO_TEST },
  to: { path: to, ...more },
});

/** @type {(place: string, lines: readonly (readonly string[])[]) => object[]} */
const upward = (place, lines) => {
  const order = lines.flat();
  return order
    .slice(0, -1)
    .map((name, i) =>
      never(
        `${place.replace("src/", "")}-${name}-upward`,
        `^${place}/${name}/`,
        `^${place}/(${order.slice(i + 1).join("|")})/`,
      ),
    );
};

const sideways = Object.entries(SOURCE).map(([name, below]) => {
  const others = Object.keys(SOURCE).filter((other) => other !== name && other !== "types" && !below.includes(other));
  // The page's types come from the server; nothing of it runs there.
  return never(`${name}-knows-what-is-below`, `^src/${name}/`, `^src/(${others.join("|")})/`, {
    dependencyTypesNot: name === "ui" ? ["type-only"] : [],
  });
});

const stages = folders("src/ui/stages").map((stage) =>
  never(`stage-${stage}-alone`, `^src/ui/stages/${stage}/`, `^src/ui/stages/(?!${stage}/)[^/]+/`),
);

const config = {
  forbidden: [
    { name: "no-circular", severity: "error", from: {}, to: { circular: true } },
    { name: "no-unresolvable", severity: "error", from: {}, to: { couldNotResolve: true } },
    ...sideways,
    ...upward("src/core", CORE),
    ...upward("src/ui", UI),
    ...stages,
    { ...never("core-is-pure", "^src/core/", ""), to: { dependencyTypes: ["core"] } },
    never("core-below-the-registry", "^src/core/.+/", "^src/core/registry\\.ts$"),
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

export default config;
