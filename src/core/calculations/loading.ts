import { z } from "zod";
import { loadedMoments, loadingWorking } from "../aircraft/loading";
import { Load, LoadingPlan } from "../aircraft/loading-plan";
import { calculation } from "../calculation";
import { success } from "../outcome";
import { WorkingStep } from "../working";

/** Mass and centre of gravity of what is on board. */
export const loadingCalculation = calculation({
  name: "loading",
  cost: "instant",
  question: "What do seats and fuel come to, and is the centre of gravity within its limits?",
  sources: ["common practice: masses times arms, summed"],
  input: z.strictObject({ plan: LoadingPlan, load: Load }),
  output: z.object({
    mass_kg: z.number(),
    arm_m: z.number(),
    limits: z.object({ forward_m: z.number(), aft_m: z.number() }).nullable(),
    centreOfGravity: z.number().nullable(),
    fault: z.string().nullable(),
    working: z.array(WorkingStep),
  }),
  run({ plan, load }) {
    const moments = loadedMoments(plan, load);
    if (!moments.ok) return moments;
    const loaded = moments.value[load.moment];
    return success({ ...loaded, working: loadingWorking(loaded) });
  },
});
