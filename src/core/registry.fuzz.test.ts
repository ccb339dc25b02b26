import { describe, expect, it } from "vitest";
import { fuzzOne } from "../../fuzz/fuzz-calculations";
import { CALCULATIONS } from "./registry";

/** Questions of each; `npm run fuzz` asks 100 000. */
const INSTANT = 300;
const LONG = 12;

describe("answers to anything within the schemas, at their ends and just outside", () => {
  it.each(CALCULATIONS.map(({ name, cost }) => [name, cost === "long" ? LONG : INSTANT] as const))(
    "%s: %i questions, none throws, none gives a figure that is not finite",
    (name, count) => {
      const findings = Array.from({ length: count }, (_, i) => fuzzOne(name, i + 1, false)).filter(
        (found) => found !== null,
      );
      expect(findings).toEqual([]);
    },
    120_000,
  );
});
