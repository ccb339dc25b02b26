import { z } from "zod";
import { AsymmetricQuestion, FlightSpeed } from "../asymmetric/asymmetric-question";
import { zeroThrust } from "../asymmetric/zero-thrust";
import { calculation } from "../calculation";
import { success } from "../outcome";
import { WorkingStep } from "../working";

const SOURCE = "energy of a windmilling disc";

/** A power that imitates a feathered propeller, for practice. */
export const zeroThrustCalculation = calculation({
  name: "zero-thrust",
  cost: "instant",
  question: "Which power on the idling engine drags like a feathered propeller at this speed?",
  sources: [SOURCE, "common practice: 10 to 12 inHg for light twins"],
  input: AsymmetricQuestion.extend({ eas_mps: FlightSpeed }),
  output: z.object({
    feathered_N: z.number(),
    windmilling_N: z.number(),
    indicated_W: z.number(),
    share: z.number(),
    manifold_Pa: z.number(),
    speed_rpm: z.number(),
    working: z.array(WorkingStep),
  }),
  run({ eas_mps, ...question }) {
    const outcome = zeroThrust(question, eas_mps);
    if (!outcome.ok) return outcome;
    const { feathered_N, windmilling_N, indicated_W, share, manifold_Pa, speed_rpm } = outcome.value;
    const figure = "zero-thrust";
    return success({
      ...outcome.value,
      working: [
        {
          figure,
          symbol: "D_wm",
          meaning: "drag of the windmilling propeller",
          formula: "q·A_disc·CDdead",
          value: windmilling_N,
          unit: "N",
          source: "aircraft document",
        },
        {
          figure,
          symbol: "D_f",
          meaning: "drag of the feathered propeller, to be imitated",
          formula: "q·A_disc·CDdead",
          value: feathered_N,
          unit: "N",
          source: "aircraft document",
        },
        {
          figure,
          symbol: "P_i",
          meaning: "power that must burn",
          formula: "η(D_wm − D_f)V",
          value: indicated_W,
          unit: "W",
          source: SOURCE,
        },
        {
          figure,
          symbol: "share",
          meaning: "of the full indicated power here",
          formula: "P_i/P_i,full",
          value: share,
          unit: "",
          source: SOURCE,
        },
        {
          figure,
          symbol: "MP",
          meaning: "manifold pressure, an estimate: the manual’s setting comes first",
          formula: "straight line of P_i from 7 inHg",
          value: manifold_Pa,
          unit: "Pa",
          source: "common practice",
        },
        {
          figure,
          symbol: "n",
          meaning: "propeller speed of the exercise, 1/min",
          formula: "0.8 of the greatest",
          value: speed_rpm,
          unit: "",
          source: "common practice",
        },
      ],
    });
  },
});
