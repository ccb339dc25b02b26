// The clock of an engine's ratings: which band of power is in use, for how long, how often, and what was overdone.
import type { Rating } from "../aircraft/helicopter";

/** Out of a band for less than this, s, a use goes on. */
export const RETURN_S = 2;

/** What has been used of a rating. */
export interface BandUse {
  readonly name: string;
  /** Times begun, of which the last may be running. */
  readonly uses: number;
  /** Null for as often as one likes. */
  readonly usesLeft: number | null;
  /** Of the use that runs or ran last, s. */
  readonly used_s: number;
  /** Left of it while it runs, else of a new one; null without a limit. */
  readonly left_s: number | null;
  /** In all uses together, s. */
  readonly total_s: number;
}

/** More than a rating allows. */
export interface Exceedance {
  readonly name: string;
  readonly kind: "time" | "uses" | "power";
  /** For how long so far, s; 0 for one use too many. */
  readonly over_s: number;
}

/** The clock at a moment. */
export interface RatingsClock {
  readonly time_s: number;
  /** Index of the rating whose band is in use; −1 above all of them, null before anything was drawn. */
  readonly band: number | null;
  readonly bands: readonly BandUse[];
  readonly exceedances: readonly Exceedance[];
  /** A use out of which one has dropped less than two seconds ago. */
  readonly waiting: { readonly band: number; readonly out_s: number } | null;
}

/** A band that is not the one for as long as one likes. */
const isLimited = ({ duration_s, uses }: Rating) => duration_s !== null || uses !== null;

/** Before anything was drawn. */
export function freshClock(ratings: readonly Rating[]): RatingsClock {
  return {
    time_s: 0,
    band: null,
    bands: ratings.map(({ name, uses, duration_s }) => ({
      name,
      uses: 0,
      usesLeft: uses,
      used_s: 0,
      left_s: duration_s,
      total_s: 0,
    })),
    exceedances: [],
    waiting: null,
  };
}

/**
 * Which rating's band a power lies in: the longest one that gives it.
 *
 * @param limits_W - of the ratings, as the document has them: falling
 * @returns −1 above all of them
 */
export function bandOf(limits_W: readonly number[], power_W: number): number {
  return limits_W.findLastIndex((limit) => power_W <= limit);
}

/** Adds to what was overdone. */
function overdone(
  exceedances: readonly Exceedance[],
  name: string,
  kind: Exceedance["kind"],
  by_s: number,
): readonly Exceedance[] {
  const at = exceedances.findLastIndex((entry) => entry.name === name && entry.kind === kind);
  if (at < 0 || kind === "uses") return [...exceedances, { name, kind, over_s: by_s }];
  return exceedances.map((entry, i) => (i === at ? { ...entry, over_s: entry.over_s + by_s } : entry));
}

/** The use that may still be gone on with: of the band left first. */
function waitingAfter({ band: was, waiting }: RatingsClock, band: number, step_s: number): RatingsClock["waiting"] {
  if (waiting && waiting.out_s + step_s <= RETURN_S + 1e-9) return { ...waiting, out_s: waiting.out_s + step_s };
  return was !== band && was !== null && was >= 0 ? { band: was, out_s: step_s } : null;
}

/**
 * The clock a step later.
 *
 * @param ratings - as the document has them
 * @param limits_W - what one engine gives at each of them now
 * @param power_W - drawn from one engine over the step
 * @param step_s - more than 0
 * @see the 30-second and 2-minute ratings of 14 CFR 1.1 (memory): three uses of each
 */
export function clockAfter(
  clock: RatingsClock,
  ratings: readonly Rating[],
  limits_W: readonly number[],
  power_W: number,
  step_s: number,
): RatingsClock {
  const band = bandOf(limits_W, power_W);
  const bands = [...clock.bands];
  let { exceedances } = clock;
  // A use goes on while it is interrupted for less than two seconds; the interruption counts when one comes back.
  const resumed = clock.waiting?.band === band ? clock.waiting : null;
  const waiting = resumed ? null : waitingAfter(clock, band, step_s);
  if (band < 0) exceedances = overdone(exceedances, "above all ratings", "power", step_s);
  else {
    const rating = ratings[band];
    const begun = clock.band !== band && !resumed;
    const was = bands[band];
    const uses = was.uses + (begun ? 1 : 0);
    const added_s = step_s + (resumed ? resumed.out_s : 0);
    const used_s = (begun ? 0 : was.used_s) + added_s;
    if (begun && rating.uses !== null && uses > rating.uses) exceedances = overdone(exceedances, was.name, "uses", 0);
    if (rating.duration_s !== null && used_s > rating.duration_s)
      exceedances = overdone(exceedances, was.name, "time", Math.min(added_s, used_s - rating.duration_s));
    bands[band] = {
      ...was,
      uses,
      used_s,
      usesLeft: rating.uses === null ? null : Math.max(rating.uses - uses, 0),
      left_s: rating.duration_s === null ? null : Math.max(rating.duration_s - used_s, 0),
      total_s: was.total_s + added_s,
    };
  }
  // A use that has ended for good gives the next one its whole time, if there is one.
  for (const [i, use] of bands.entries()) {
    const { duration_s, uses } = ratings[i];
    if (i === band || waiting?.band === i || duration_s === null || use.uses === 0) continue;
    bands[i] = { ...use, left_s: uses !== null && use.usesLeft === 0 ? 0 : duration_s };
  }
  return { time_s: clock.time_s + step_s, band, bands, exceedances, waiting };
}

/** Whether the engine has to be looked at before the next flight: a limited band was used, or a limit overdone. */
export function inspectionDue(clock: RatingsClock, ratings: readonly Rating[]): boolean {
  return clock.exceedances.length > 0 || clock.bands.some(({ uses }, i) => uses > 0 && isLimited(ratings[i]));
}
