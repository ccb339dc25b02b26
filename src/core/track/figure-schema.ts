import { z } from "zod";

/** A figure of a log as it leaves the core. */
export const FigureOut = z.discriminatedUnion("known", [
  z.object({ known: z.literal(true), value: z.number(), sigma: z.number(), sensors: z.array(z.string()).readonly() }),
  z.object({ known: z.literal(false), reason: z.string() }),
]);
