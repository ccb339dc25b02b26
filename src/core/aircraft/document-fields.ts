// What the fields of aircraft documents are made of: figures with their bounds, in the words of a pilot.
import { z } from "zod";
import { AirspeedCalibration } from "./airspeed-calibration";
import { CauseItem } from "./cause-item";
import { LoadingPlan } from "./loading-plan";

/** A line of text, at most so long. */
export const text = (max: number) => z.string().trim().max(max, `At most ${max} characters.`);
/**
 * A figure with what it is called; the bounds are wider than anything that flies, so that a slip of the unit is caught
 * and nothing overflows.
 */
export const range = (what: string, low: number, high: number) => {
  const message = `${what} is ${low} to ${high}.`;
  return z.number(message).min(low, message).max(high, message);
};
/** A share that is not nothing. */
export const fraction = (what: string) => range(what, 0.05, 1);
/** A speed that something flies at. */
export const speed_mps = z
  .number()
  .min(1, "A speed of less than 2 kt is not a flying speed.")
  .max(340, "Speeds are below the speed of sound.");
/** A drag coefficient. */
export const coefficient = z
  .number()
  .min(0, "A drag coefficient is not negative.")
  .max(2, "A drag coefficient above 2 is implausible.");
/** A mass. */
export const mass_kg = (what: string) => range(`${what}, in kg,`, 50, 700_000);
/** A time. */
export const time_s = (what: string, low: number, high: number) => range(`${what}, in seconds,`, low, high);
/** A power. */
export const power_W = (what: string) => range(`${what}, in watts,`, 1000, 2e7);

/** What every aircraft has. A field that is added has no default: it makes a new version, with a step from the last. */
export const COMMON = {
  schema: z.literal("utrimax/aircraft"),
  version: z.literal(7),
  name: text(60).min(1, "An aircraft needs a name."),
  description: text(400),
  /** What its instruments show. */
  speedUnit: z.enum(["kt", "mph", "kmh"]),
  /** What the airspeed indicator shows; null where it shows calibrated airspeed. */
  airspeedCalibration: AirspeedCalibration.nullable(),
  /** Places, fuel and limits; null where mass and centre of gravity are typed. */
  loading: LoadingPlan.nullable(),
  /** Its own cause check in the air; null takes the usual one of its kind of engine. */
  causeFlow: z.array(CauseItem).min(1, "A cause check has at least one item.").max(30, "At most 30 items.").nullable(),
};

/** The masses that it can have. */
export const Masses = z.strictObject({
  maximum_kg: mass_kg("The maximum mass"),
  minimum_kg: mass_kg("The minimum mass"),
  usual_kg: mass_kg("The usual mass"),
});

/** Tells of a figure that cannot be. */
export type Fault = (path: string, message: string) => void;

/** Tells zod of figures that cannot be together. */
export function faultsOf(context: z.RefinementCtx): Fault {
  return (path, message) => context.addIssue({ code: "custom", path: path.split("."), message });
}

/** What cannot be of any aircraft. */
export function commonFaults(
  { mass, causeFlow }: { mass: z.infer<typeof Masses>; causeFlow: readonly { id: string }[] | null },
  fault: Fault,
): void {
  if (!(mass.minimum_kg < mass.maximum_kg)) fault("mass.minimum_kg", "The minimum mass is below the maximum.");
  if (!(mass.usual_kg <= mass.maximum_kg && mass.usual_kg >= mass.minimum_kg))
    fault("mass.usual_kg", "The usual mass lies between minimum and maximum.");
  const ids = causeFlow?.map((item) => item.id) ?? [];
  if (new Set(ids).size < ids.length) fault("causeFlow", "Two items of the cause check have the same id.");
}
