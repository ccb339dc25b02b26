/** What can be done after a failure: the kinds, in the order in which a pilot thinks of them. */
export type OptionKind = "stop" | "ahead" | "field" | "runway" | "turnback";

/** One thing that can be done at one height, and what it leaves. */
export interface DepartureOption {
  /** Stable over heights, so that an option can be followed: `stop`, `ahead`, the landing end's id, `left-45`. */
  readonly id: string;
  readonly kind: OptionKind;
  readonly name: string;
  /**
   * min(height left, a tenth of the ground left after stopping), m: the option works when it is 0 or more; null when it
   * is not known.
   */
  readonly score_m: number | null;
  /** Height left on arrival. */
  readonly margin_m: number | null;
  /** Ground left after stopping. */
  readonly spare_m: number | null;
  /** What limits it or is not known, in words. */
  readonly note: string | null;
}

/** A metre of height is worth ten of ground: the best height alone would stop in the fence. */
export const RUNWAY_SHARE = 0.1;

/** What an option is worth: min(height left, a tenth of the ground left), m. It works when this is 0 or more. */
export function worth_m(margin_m: number, spare_m: number): number {
  return Math.min(margin_m, RUNWAY_SHARE * spare_m);
}
