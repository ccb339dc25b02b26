import { z } from "zod";

const Chance = z
  .number("A chance is a number.")
  .min(0.01, "The chance of one attempt is 1 to 99 %.")
  .max(0.99, "The chance of one attempt is 1 to 99 %.");

/** How a restart is decided. */
export const RestartPlan = z.strictObject({
  /** Above the sea; null takes it from the landing that is planned. */
  commit_m: z
    .number()
    .min(-430, "A commit height is −1 410 to 49 000 ft above the sea.")
    .max(15_000, "A commit height is −1 410 to 49 000 ft above the sea.")
    .nullable(),
  /** With two engines: which of them has stopped. */
  stopped: z.enum(["left", "right", "both"]),
  symptom: z.enum(["sudden", "surging", "fading", "rough", "after-change"]).nullable(),
  /** Chance of one attempt to light a jet again, as the pilot judges it: windmilling, and with auxiliary power. */
  chance: Chance,
  assistedChance: Chance,
  /** Engine with some minutes left: what is failing, how long it runs on, and at which share of full power. */
  minutes: z.strictObject({
    left_s: z
      .number("Minutes left are a number.")
      .min(10, "An engine that runs for less than 10 seconds has failed.")
      .max(7200, "At most two hours are planned for."),
    losing: z.enum(["coolant", "oil", "fuel"]),
    /** A margin after which it is shut down to keep it from seizing or burning: the school that saves the engine. */
    school: z.enum(["use", "save"]),
  }),
});

/** @see RestartPlan */
export type RestartPlan = z.infer<typeof RestartPlan>;

/** What a restart starts from. */
export const DEFAULT_RESTART: RestartPlan = {
  commit_m: null,
  stopped: "left",
  symptom: null,
  chance: 0.4,
  assistedChance: 0.4,
  minutes: { left_s: 300, losing: "oil", school: "use" },
};
