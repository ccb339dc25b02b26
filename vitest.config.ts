import path from "node:path";
import { defineConfig } from "vitest/config";

export default defineConfig({
  resolve: {
    alias: {
      "@": path.resolve(import.meta.dirname, "src"),
    },
  },
  test: {
    include: ["src/**/*.test.ts", "scripts/**/*.test.ts"],
    setupFiles: ["scripts/lib/seeded-properties.ts"],
    testTimeout: 20_000,
    coverage: {
      provider: "v8",
      include: ["src/core/**"],
      exclude: ["**/*.test.ts"],
      thresholds: { lines: 90 },
      reporter: ["text-summary"],
    },
  },
});
