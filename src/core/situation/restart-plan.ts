import { z } from "zod";

/** How a restart is decided. */
export const RestartPlan = z.object({
  /** Above the sea; null takes it from the landing that is planned. */
  commit_m: z.number().min(-430, "A commit height is −1,410 to 49,000 ft above the sea.").max(15_000, "A commit height is −1,410 to 49,000 ft above the sea.").nullable(),
  symptom: z.enum(["sudden", "surging", "fading", "rough", "after-change"]).nullable(),
  /** Chance of one attempt to light a jet again, as the pilot judges it. */
  chance: z.number().min(0.01, "The chance of one attempt is 1 to 99 %.").max(0.99, "The chance of one attempt is 1 to 99 %."),
});

/** @see RestartPlan */
export type RestartPlan = z.infer<typeof RestartPlan>;

/** What a restart starts from. */
export const DEFAULT_RESTART: RestartPlan = { commit_m: null, symptom: null, chance: 0.4 };
