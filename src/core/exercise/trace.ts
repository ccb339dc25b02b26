// What was flown, as it is scored: from a drill, from the simulator, from a flight log. Each writes the channels that
// it knows; what it does not know is not measured, which is not the same as nought.
import { z } from "zod";

/** Channels by name, in SI; angles in radians, height above the ground, heading from true north. */
export const Channel = z.enum(["height", "heading", "speed", "bank", "verticalSpeed"]);
/** @see Channel */
export type Channel = z.infer<typeof Channel>;

/** Unit of each channel. */
export const CHANNEL_UNIT: Readonly<Record<Channel, string>> = {
  height: "m",
  heading: "rad",
  speed: "m/s",
  bank: "rad",
  verticalSpeed: "m/s",
};

/** Most samples: an hour at ten a second. */
const MOST_SAMPLES = 36_000;
const Values = z.array(z.number().min(-100_000).max(100_000).nullable()).max(MOST_SAMPLES);

/** A trace. Times go up; a channel has a value for each of them, null where it was not measured then. */
export const Trace = z
  .strictObject({
    source: z.enum(["drill", "simulator", "log"]),
    time_s: z.array(z.number().min(0).max(360_000)).min(1).max(MOST_SAMPLES),
    channels: z.strictObject({
      height: Values.optional(),
      heading: Values.optional(),
      speed: Values.optional(),
      bank: Values.optional(),
      verticalSpeed: Values.optional(),
    }),
  })
  .superRefine(({ time_s, channels }, context) => {
    const falls = time_s.findIndex((at_s, i) => i > 0 && at_s < time_s[i - 1]);
    if (falls > 0) context.addIssue({ code: "custom", path: ["time_s", falls], message: "Times go up." });
    for (const [name, values] of Object.entries(channels))
      if (values.length !== time_s.length)
        context.addIssue({
          code: "custom",
          path: ["channels", name],
          message: `${name} has ${values.length} values for ${time_s.length} times.`,
        });
  });
/** @see Trace */
export type Trace = z.infer<typeof Trace>;
