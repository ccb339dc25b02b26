// The unit tests of one folder of the core, for mutation testing.
import unit from "../../vitest.config";

const config = {
  ...unit,
  test: { ...unit.test, projects: undefined, include: [`src/core/${process.env.MUTATE_FOLDER}/**/*.test.ts`] },
};

export default config;
