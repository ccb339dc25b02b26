// One item of a cause check, as an aircraft's document carries it.
import { z } from "zod";

/** What was noticed as it stopped. */
export const Symptom = z.enum(["sudden", "surging", "fading", "rough", "after-change"]);
/** @see Symptom */
export type Symptom = z.infer<typeof Symptom>;

/** One thing to check. */
export const CauseItem = z.strictObject({
  id: z
    .string()
    .max(40, "At most 40 characters.")
    .regex(/^[a-z][a-z0-9-]*$/, "An id is small letters, digits and hyphens."),
  name: z.string().trim().min(1, "An item needs a name.").max(40, "At most 40 characters."),
  /** What is done, as it is said. */
  action: z.string().trim().max(80, "At most 80 characters."),
  time_s: z
    .number()
    .min(0.5, "An item takes half a second to five minutes.")
    .max(300, "An item takes half a second to five minutes."),
  /** Symptoms that point to it first. */
  symptoms: z.array(Symptom).max(5),
});
/** @see CauseItem */
export type CauseItem = z.infer<typeof CauseItem>;
