/** Leaving or reaching the ground. */
export interface GroundEvent {
  readonly time_s: number;
  /** Of the time, one standard deviation, s. */
  readonly sigma_s: number;
  /** Of the ground there, m above mean sea level. */
  readonly ground_m: number;
}
