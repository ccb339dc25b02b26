// The unit tests of one folder of the core, for mutation testing.
import unit from "../../vitest.config";

export default {
  ...unit,
  test: { ...unit.test, include: [`src/core/${process.env.MUTATE_FOLDER}/**/*.test.ts`] },
};
