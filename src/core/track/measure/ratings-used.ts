// How the ratings of a helicopter's engines were used in a flight, by their power in the log: which, how long, how
// often, in the hover or not, and what was more than is allowed.
import { airState } from "../../air/atmosphere";
import type { Helicopter } from "../../aircraft/helicopter";
import { type Outcome, failure, success } from "../../outcome";
import { P0_PA, T0_K } from "../../quantities/constants";
import { availablePower } from "../../rotor/power-available";
import {
  type BandUse,
  type Exceedance,
  RETURN_S,
  bandOf,
  clockAfter,
  freshClock,
  inspectionDue,
} from "../../rotor/ratings-clock";
import { type Figure, figure } from "../figure";
import type { Flown } from "../flown";

/** A stretch in one band of power. */
export interface RatingSpell {
  /** Of the rating; null above all of them. */
  readonly name: string | null;
  readonly from_s: number;
  readonly to_s: number;
  readonly lasted_s: Figure;
  /** Over one place for most of it. */
  readonly hovers: boolean;
}

/** @see ratingsUsed */
export interface RatingsUsed {
  /** In limited ratings and above all of them, in order. */
  readonly spells: readonly RatingSpell[];
  readonly bands: readonly BandUse[];
  readonly exceedances: readonly Exceedance[];
  /** A limited rating was used: the engine is looked at before the next flight. */
  readonly inspection: boolean;
}

/** A hover: so slow over the ground, so level, m/s. Common practice. */
const [HOVERS_MPS, LEVEL_MPS] = [3, 0.8];
/** A reading stands for no longer than this many intervals. */
const STANDS = 2;
/** The clock is led on by steps no longer than this, s. */
const CLOCK_S = 0.5;
/** What is just above a limit by the noise of a gauge is at it. */
const AT_LIMIT = 1.01;

/**
 * The ratings that were used, by the engine that gave most; a reading stands for half an interval to each side, so that
 * a spell is as long as it was and not an interval shorter.
 *
 * @returns `no_power` in a log without the power of an engine
 * @see 14 CFR 1.1 for ratings (memory); σ of a spell: two ends within an interval each, Δ/√6
 */
export function ratingsUsed(
  { log, time_s, altitude_m, groundSpeed_mps, climb_mps }: Flown,
  { engines: { ratings }, name }: Helicopter,
  deviation_K: number | null,
): Outcome<RatingsUsed> {
  const { power1_W, power2_W, altitudePressure_m } = log.columns;
  if (!power1_W && !power2_W)
    return failure("no_power", `The ratings of ${name} are not in this log: it takes each engine’s power, kW or hp.`);
  const most_s = STANDS * log.interval_s;
  const readings: Reading[] = [];
  for (let i = 0; i < time_s.length; i += 1) {
    const power_W = Math.max(power1_W?.[i] ?? NaN, power2_W?.[i] ?? -Infinity);
    const before_s = Math.min((time_s[i] - (time_s[i - 1] ?? time_s[i])) / 2, most_s / 2);
    const after_s = Math.min(((time_s[i + 1] ?? time_s[i]) - time_s[i]) / 2, most_s / 2);
    if (!Number.isFinite(power_W) || !(before_s + after_s > 0)) continue;
    const height_m = altitudePressure_m?.[i] ?? NaN;
    const air = airState(within(Number.isFinite(height_m) ? height_m : altitude_m[i]), deviation_K ?? 0);
    const day = { delta: air.pressure_Pa / P0_PA, theta: air.temperature_K / T0_K };
    const limits_W = ratings.map((rating) => AT_LIMIT * availablePower(day, rating).power_W);
    const hovers = groundSpeed_mps[i] < HOVERS_MPS && Math.abs(climb_mps[i]) < LEVEL_MPS;
    readings.push({ band: bandOf(limits_W, power_W), from_s: time_s[i] - before_s, to_s: time_s[i] + after_s, hovers });
  }
  const spells = settled(spellsOf(readings, most_s));
  // Bands by number: what lies in one is drawn at its limit.
  const steps = ratings.map((_, k) => ratings.length - k);
  const clock = spells.reduce((now, { band, from_s, to_s }) => {
    const count = Math.max(Math.ceil((to_s - from_s) / CLOCK_S), 1);
    let gone = now;
    for (let i = 0; i < count; i += 1)
      gone = clockAfter(gone, ratings, steps, steps[band] ?? ratings.length + 1, (to_s - from_s) / count);
    return gone;
  }, freshClock(ratings));
  const isLimited = (band: number) => band < 0 || ratings[band].duration_s !== null || ratings[band].uses !== null;
  const sigma_s = log.interval_s / Math.sqrt(6);
  return success({
    spells: spells
      .filter(({ band }) => isLimited(band))
      .map(({ band, from_s, to_s, hovered_s }) => ({
        name: band < 0 ? null : ratings[band].name,
        from_s,
        to_s,
        lasted_s: figure(to_s - from_s, sigma_s, "engine"),
        hovers: hovered_s > (to_s - from_s) / 2,
      })),
    bands: clock.bands,
    exceedances: clock.exceedances,
    inspection: inspectionDue(clock, ratings),
  });
}

interface Reading {
  readonly band: number;
  readonly from_s: number;
  readonly to_s: number;
  readonly hovers: boolean;
}

interface Spell {
  band: number;
  from_s: number;
  to_s: number;
  hovered_s: number;
}

/** Readings of one band, one after the other, as one. */
function spellsOf(readings: readonly Reading[], most_s: number): Spell[] {
  const spells: Spell[] = [];
  for (const { band, from_s, to_s, hovers } of readings) {
    const last = spells.at(-1);
    const hovered_s = hovers ? to_s - from_s : 0;
    if (last?.band === band && from_s - last.to_s < most_s) {
      last.to_s = to_s;
      last.hovered_s += hovered_s;
    } else spells.push({ band, from_s, to_s, hovered_s });
  }
  return spells;
}

/**
 * A band that is only passed through, or touched by a gauge's noise, is no use of it: it goes to the longer of its
 * neighbours. What is above all ratings stays.
 */
function settled(spells: readonly Spell[]): Spell[] {
  let rest = [...spells];
  for (let round = 0; round < spells.length; round += 1) {
    const lengths = rest.map(({ from_s, to_s }) => to_s - from_s);
    let short = -1;
    for (let i = 0; i < rest.length; i += 1)
      if (rest[i].band >= 0 && lengths[i] < RETURN_S && (short < 0 || lengths[i] < lengths[short])) short = i;
    const [before, after] = [lengths[short - 1] ?? -1, lengths[short + 1] ?? -1];
    if (short < 0 || (before < 0 && after < 0)) return rest;
    const into = before >= after ? short - 1 : short + 1;
    const band = rest[into].band;
    rest = joined(rest.map((spell, i) => (i === short ? { ...spell, band } : spell)));
  }
  return rest;
}

/** Neighbours of one band as one spell. */
const joined = (spells: readonly Spell[]): Spell[] =>
  spells.reduce<Spell[]>((all, spell) => {
    const last = all.at(-1);
    if (last?.band !== spell.band) return [...all, { ...spell }];
    return [...all.slice(0, -1), { ...last, to_s: spell.to_s, hovered_s: last.hovered_s + spell.hovered_s }];
  }, []);

/** What the atmosphere is known to, m. */
const within = (height_m: number): number => Math.min(Math.max(height_m, -1500), 15_000);
