import { z } from "zod";
import { calculation } from "../calculation";
import { success } from "../outcome";
import { nextBend } from "../rotor/trim-tab";
import { WorkingStep } from "../working";

const SOURCE = "common practice; the maker’s manual and licensed maintenance decide";
const Angle = (what: string) =>
  z
    .number(`${what} is −0.8 to 0.8 rad.`)
    .min(-0.8, `${what} is −0.8 to 0.8 rad.`)
    .max(0.8, `${what} is −0.8 to 0.8 rad.`);

/** The next bend of a gyroplane's trim tab. */
export const trimTabCalculation = calculation({
  name: "trim-tab",
  cost: "instant",
  question: "How is the rudder’s tab to be bent next, from what the string did?",
  sources: [SOURCE],
  input: z.strictObject({
    checks: z
      .array(
        z.strictObject({
          /** Of the tab, to the left positive. */
          tab_rad: Angle("A bend"),
          /** Of the string, to the left positive, or in a word that it was central. */
          string: z.union([Angle("A string’s angle"), z.enum(["straight", "central"])]),
        }),
      )
      .min(1, "Fly it once at cruise with feet off and note where the string is.")
      .max(60, "At most 60 trim checks."),
  }),
  output: z.object({
    tab_rad: z.number(),
    change_rad: z.number(),
    kind: z.enum(["central", "first", "line", "limited"]),
    working: z.array(WorkingStep),
  }),
  run({ checks }) {
    const found = nextBend(
      checks.map(({ tab_rad, string }) => ({ tab_rad, string_rad: typeof string === "number" ? string : 0 })),
    );
    if (!found.ok) return found;
    const { slope, ...bend } = found.value;
    const figure = "tab";
    return success({
      ...bend,
      working: [
        {
          figure,
          symbol: "k",
          meaning: "string for each degree of bend",
          formula: "straight line through the flights",
          value: slope ?? "one bend only",
          unit: "",
          source: SOURCE,
        },
        {
          figure,
          symbol: "Δ",
          meaning: "change of the bend, to the left positive; at most 5°",
          formula: "−string/k",
          value: bend.change_rad,
          unit: "rad",
          source: SOURCE,
        },
      ],
    });
  },
});
