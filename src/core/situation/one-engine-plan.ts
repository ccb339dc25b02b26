import { z } from "zod";

const range = (min: number, max: number, message: string) => z.number(message).min(min, message).max(max, message);

/** What a pilot asks for before going on, going around or turning on one engine of two. */
export const OneEnginePlan = z.strictObject({
  /** What "it goes" is judged by beside the sum flown without error: a height over the runway, or a rate of climb. */
  least: z.enum(["height", "climb"]),
  /** Below this height, gear down, the landing is committed to. */
  leastHeight_m: range(0, 600, "A least height is 0 to 1 970 ft; 400 ft is usual."),
  /** Least rate of climb with the gear up and the propeller feathered. */
  leastClimb_mps: range(0, 10, "A least climb is 0 to 1 970 ft/min; 100 ft/min is usual."),
  /** Turns: only towards the live engine, or shallow to either side. */
  turns: z.enum(["either", "live"]),
});

/** @see OneEnginePlan */
export type OneEnginePlan = z.infer<typeof OneEnginePlan>;

/** 400 ft, gear down = commit, shallow turns to either side: common practice. */
export const DEFAULT_ONE_ENGINE: OneEnginePlan = {
  least: "height",
  leastHeight_m: 121.92,
  leastClimb_mps: 0.508,
  turns: "either",
};
