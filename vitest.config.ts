import path from "node:path";
import { defineConfig } from "vitest/config";

const CORE = "src/core/**/*.test.ts";

export default defineConfig({
  resolve: {
    alias: {
      "@": path.resolve(import.meta.dirname, "src"),
    },
  },
  test: {
    setupFiles: ["scripts/lib/seeded-properties.ts"],
    testTimeout: 20_000,
    // Every core: where the checks run beside the tests they are done first.
    maxWorkers: "100%",
    projects: [
      // The core keeps nothing between two questions: its files share what they import, which is a third of the time.
      { extends: true, test: { name: "core", include: [CORE], isolate: false } },
      {
        extends: true,
        test: { name: "around it", include: ["src/**/*.test.ts", "scripts/**/*.test.ts"], exclude: [CORE] },
      },
    ],
    coverage: {
      provider: "v8",
      include: ["src/core/**"],
      exclude: ["**/*.test.ts"],
      thresholds: { lines: 90 },
      reporter: ["text-summary"],
    },
  },
});
