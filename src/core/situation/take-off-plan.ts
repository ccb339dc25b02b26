import { z } from "zod";

const range = (min: number, max: number, message: string) => z.number(message).min(min, message).max(max, message);

/** Something that stands in the way of the climb. */
export const Obstacle = z.strictObject({
  name: z.string().trim().min(1, "An obstacle needs a name.").max(40, "At most 40 characters."),
  /** From the beginning of the runway in the direction of take-off. */
  distance_m: range(0, 20_000, "An obstacle lies 0 to 20 000 m from the beginning of the runway."),
  /** Above the runway. */
  height_m: range(0, 2000, "An obstacle is 0 to 2 000 m above the runway."),
});

/** @see Obstacle */
export type Obstacle = z.infer<typeof Obstacle>;

/** What a take-off with two engines is planned with, beside runway and flap. */
export const TakeOffPlan = z.strictObject({
  /** Failure until the first action. */
  recognition_s: range(0, 10, "Recognising a failure takes 0 to 10 seconds; 2 to 3 is usual."),
  /**
   * Equivalent airspeed at which the engine is taken to fail on the runway; null takes rotation, or for jets the
   * balanced speed.
   */
  failure_mps: range(5, 150, "A failure speed is 10 to 290 kt.").nullable(),
  /** Rotation; null takes it from the minimum control and stall speeds. */
  rotation_mps: range(15, 150, "A rotation speed is 30 to 290 kt.").nullable(),
  /** Of the failure: until the gear is up, until the propeller is feathered. */
  gearUp_s: range(0, 60, "The gear takes 0 to 60 seconds."),
  feather_s: range(0, 300, "Feathering takes 0 to 300 seconds after the failure; 10 to 20 is usual."),
  /** Height of the level acceleration of a jet; 14 CFR 25.111 (memory): 400 ft at least. */
  acceleration_m: range(120, 900, "The acceleration height is 400 to 2 950 ft."),
  /** To pass over obstacles by. */
  clearance_m: range(0, 300, "A clearance over obstacles is 0 to 980 ft."),
  obstacles: z.array(Obstacle).max(20, "At most 20 obstacles."),
});

/** @see TakeOffPlan */
export type TakeOffPlan = z.infer<typeof TakeOffPlan>;

/** What a take-off starts from; times and clearance are common practice. */
export const DEFAULT_TAKE_OFF: TakeOffPlan = {
  recognition_s: 3,
  failure_mps: null,
  rotation_mps: null,
  gearUp_s: 8,
  feather_s: 20,
  acceleration_m: 304.8,
  clearance_m: 15.24,
  obstacles: [],
};
