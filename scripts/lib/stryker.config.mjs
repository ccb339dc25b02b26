// Mutation testing of one folder of the core; see scripts/mutate.mjs.
const folder = process.env.MUTATE_FOLDER;
const reports = `.data/mutants/${folder}`;

const config = {
  mutate: [`src/core/${folder}/**/*.ts`, "!src/**/*.test.ts"],
  testRunner: "vitest",
  plugins: ["@stryker-mutator/vitest-runner"],
  vitest: { configFile: "scripts/lib/mutation-tests.config.ts", related: false },
  // Words are looked at by people, and objects emptied whole do not type-check.
  mutator: { excludedMutations: ["StringLiteral", "ObjectLiteral"] },
  coverageAnalysis: "perTest",
  ignoreStatic: false,
  incremental: true,
  incrementalFile: `${reports}/incremental.json`,
  reporters: ["progress-append-only", "clear-text", "json", "html"],
  jsonReporter: { fileName: `${reports}/report.json` },
  htmlReporter: { fileName: `${reports}/report.html` },
  clearTextReporter: { allowColor: false, logTests: false, reportTests: false, skipFull: true },
  concurrency: Number(process.env.MUTATE_CORES ?? 2),
  tempDirName: ".data/mutants/sandbox",
  ignorePatterns: [".next", ".data", "docs", "e2e", "coverage", "test-results"],
  timeoutMS: 5_000,
  thresholds: { high: 90, low: 80, break: 80 },
};

export default config;
