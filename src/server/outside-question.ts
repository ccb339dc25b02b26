// What a page may ask of a service outside.
import { z } from "zod";

const number = (least: number, most: number) =>
  z
    .string()
    .max(24)
    .refine((text) => text.trim() !== "" && Number(text) >= least && Number(text) <= most, `${least} to ${most}.`);

/** Where the weather is asked for. */
export const WeatherQuestion = z.strictObject({ lat: number(-90, 90), lon: number(-180, 180) });

const flight = z.string().regex(/^[\w-]{1,20}$/, "A flight has a name of up to 20 letters, digits and hyphens.");

/** From where a simulated aircraft flies, and how. */
export const FollowQuestion = z.strictObject({
  flight,
  lat: number(-90, 90),
  lon: number(-180, 180),
  alt_m: number(-500, 15_000),
  hdg_deg: number(0, 360),
  tas_mps: number(5, 340),
  ratio: number(1, 80),
  ground_m: number(-500, 9000),
  east_mps: number(-120, 120),
  north_mps: number(-120, 120),
});

/** What happens to a simulated aircraft. */
export const FollowTold = z.strictObject({ flight, what: z.enum(["engine", "signal"]), value: z.enum(["0", "1"]) });
