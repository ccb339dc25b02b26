// A run as it is sent to be kept. Apart from the table, so that what reads a file needs no database.
import { z } from "zod";
import { LONGEST_RUN_S, RunDocument } from "@/core/procedure/run-document";

/** @see SentRun */
export const SentRun = z.strictObject({
  id: z.uuid(),
  beganAt: z.iso.datetime().refine((text) => new Date(text).getTime() >= Date.UTC(2020, 0), "A run began after 2020."),
  role: z.enum(["single", "flying", "monitoring", "instructor"]),
  aircraft: z.string().trim().min(1).max(60),
  /** When it was looked at last. */
  until_s: z.number().min(0).max(LONGEST_RUN_S),
  run: RunDocument,
});
/** A run with who flew it, with what and when. */
export type SentRun = z.infer<typeof SentRun>;
