// How well logs are understood: events found against events flown, figures against the truth.
import { analyse } from "../../src/core/track/analyse";
import type { Figure } from "../../src/core/track/figure";
import { windAt } from "../../src/core/track/wind/fitted-wind";
import { demoAircraft } from "../../demo/read-demo";
import { type SensorSet, recorded } from "./sensors";
import { KINDS, type Truth, truthFlight } from "./truth";

/** Found within so long is the same event, s. */
const SAME_S = 6;
const ALDER = demoAircraft("alder-s1");

/** Events of a kind over several flights. */
export interface Found {
  flown: number;
  found: number;
  right: number;
  errors: number[];
}
/** A figure over several flights: its errors, and by how many of its bounds. */
export interface Measured {
  errors: number[];
  sigmas: number[];
}

/** @see score */
export interface Score {
  readonly takeOff: Found;
  readonly touchdown: Found;
  readonly cut: Found;
  readonly turn: Found;
  readonly kindRight: [number, number];
  readonly figures: Record<string, Measured>;
}

function match(found: Found, flown: readonly number[], told: readonly number[]): void {
  found.flown += flown.length;
  found.found += told.length;
  const left = [...told];
  for (const at of flown) {
    const near = left.reduce(
      (best, value, i) => (Math.abs(value - at) < Math.abs((left[best] ?? Infinity) - at) ? i : best),
      0,
    );
    if (!(Math.abs((left[near] ?? Infinity) - at) <= SAME_S)) continue;
    found.right += 1;
    found.errors.push(left[near] - at);
    left.splice(near, 1);
  }
}

const empty = (): Found => ({ flown: 0, found: 0, right: 0, errors: [] });

/** Scores one recorder over flights of every kind. */
export function score(set: SensorSet, flightsOfKind: number, seed: number): Score {
  const total = { takeOff: empty(), touchdown: empty(), cut: empty(), turn: empty() };
  const kindRight: [number, number] = [0, 0];
  const figures: Record<string, Measured> = {};
  const keep = (name: string, figure: Figure | undefined, truth: number) => {
    if (!figure?.known) return;
    figures[name] ??= { errors: [], sigmas: [] };
    figures[name].errors.push(figure.value - truth);
    figures[name].sigmas.push((figure.value - truth) / figure.sigma);
  };
  KINDS.forEach((kind, k) => {
    for (let n = 0; n < flightsOfKind; n += 1) {
      const truth = truthFlight(kind, seed + 1000 * k + n);
      const found = analyse(recorded(truth, set, seed + 7 * n + k), {
        deviation_K: truth.deviation_K,
        wind: null,
        calibration: null,
        aircraft: ALDER,
        mass_kg: 1000,
        runways: [],
        stops: null,
      });
      if (!found.ok) throw new Error(found.issue.message);
      scoreFlight(truth, found.value, total, kindRight, keep, figures);
    }
  });
  return { ...total, kindRight, figures };
}

function scoreFlight(
  truth: Truth,
  { flights, flown }: Extract<ReturnType<typeof analyse>, { ok: true }>["value"],
  total: Record<"takeOff" | "touchdown" | "cut" | "turn", Found>,
  kindRight: [number, number],
  keep: (name: string, figure: Figure | undefined, truth: number) => void,
  figures: Record<string, Measured>,
): void {
  match(
    total.takeOff,
    truth.takeOffs,
    flights.flatMap(({ takeOff }) => takeOff?.time_s ?? []),
  );
  match(
    total.touchdown,
    truth.touchdowns.map(({ t }) => t),
    flights.flatMap(({ landing }) => landing?.time_s ?? []),
  );
  const failures = flights.flatMap((flight) => flight.failures);
  match(
    total.cut,
    truth.cuts.map(({ t }) => t),
    failures.map(({ time_s }) => time_s),
  );
  const turns = flights.flatMap((flight) => flight.turns);
  const long = truth.turns.filter(({ heading }) => heading > 0.96);
  match(
    total.turn,
    long.map(({ from }) => from),
    turns.filter(({ heading_rad }) => heading_rad > 0.96).map(({ from_s }) => from_s),
  );
  for (const turn of long) {
    const near = turns.find(({ from_s, to_s }) => Math.abs(from_s - turn.from) < 3 && Math.abs(to_s - turn.to) < 4);
    if (!near) continue;
    const half = Math.PI / turn.heading;
    const steep = turn.bank > 0.6 ? "steep" : "shallow";
    keep(`bank, ${steep}`, near.measures.bank_rad, turn.bank);
    if (turn.heading > 2) {
      keep("height of half a turn", near.measures.height_m, turn.h * half);
      keep("energy of half a turn", near.measures.energyHeight_m, turn.energy * half);
      keep("time of half a turn", near.measures.time_s, (turn.to - turn.from) * half);
    }
  }
  for (const cut of truth.cuts) {
    const near = failures.find(({ time_s }) => Math.abs(time_s - cut.t) < SAME_S);
    if (!near) continue;
    if (near.by === "engine") {
      kindRight[1] += 1;
      if ((near.kind === "idle") === cut.idle) kindRight[0] += 1;
    }
    // Who flies faster than his glide waits for the speed to fall: no action shows.
    if (cut.delay_s !== null && truth.kind === "turn back") keep("delay", near.delay_s, cut.delay_s);
    keep("height of the cut", near.height_m, cut.h);
    for (const glide of truth.glides) {
      const measured = near.glides.find(
        ({ from_s, to_s }) => Math.abs(from_s - glide.from) < 15 && Math.abs(to_s - glide.to) < 15,
      );
      if (!measured) continue;
      keep("sink", measured.sink_mps, glide.sink);
      keep("glide speed", measured.tas_mps, glide.tas);
    }
  }
  if (flown.wind) {
    const at = windAt(flown.wind, flown.wind.altitude_m);
    const [east, north] = truth.wind(flown.wind.altitude_m - 19);
    const off = Math.hypot(at.east_mps - east, at.north_mps - north);
    figures.wind ??= { errors: [], sigmas: [] };
    const [ee, en, nn] = flown.wind.covariance;
    const det = Math.max(ee * nn - en * en, 1e-9);
    const [dx, dy] = [at.east_mps - east, at.north_mps - north];
    figures.wind.errors.push(off);
    // √(χ²/2): about 1 where the covariance is right.
    figures.wind.sigmas.push(Math.sqrt((nn * dx * dx - 2 * en * dx * dy + ee * dy * dy) / det / 2));
  }
}
