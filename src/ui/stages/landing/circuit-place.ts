// Where the circuit is at a share of its time, and what is to be said there.
import { clamp } from "@/core/numeric/clamp";
import type { KeyCircuit } from "@/core/landing/approach-keys";
import type { PathPoint } from "@/core/glide/glide-path";

/** A place of the circuit. */
export interface CircuitPlace {
  readonly x_m: number;
  readonly y_m: number;
  readonly altitude_m: number;
  /** Over the ground, in the plane. */
  readonly track_rad: number;
  readonly before_s: number;
}

/**
 * Where the circuit from overhead is.
 *
 * @param share - of its time, 0 overhead to 1 at the aim point
 */
export function placeOf({ points }: Pick<KeyCircuit, "points">, share: number): CircuitPlace | null {
  const last = points.at(-1);
  if (!last || points.length < 2) return null;
  const begin_s = points[0].time_s;
  const wanted_s = begin_s + clamp(share, 0, 1) * (last.time_s - begin_s);
  const next = Math.max(
    points.findIndex((point) => point.time_s >= wanted_s),
    1,
  );
  const [a, b]: [PathPoint, PathPoint] = [points[next - 1], points[next]];
  const within = b.time_s > a.time_s ? (wanted_s - a.time_s) / (b.time_s - a.time_s) : 0;
  const between = (from: number, to: number) => from + within * (to - from);
  return {
    x_m: between(a.x_m, b.x_m),
    y_m: between(a.y_m, b.y_m),
    altitude_m: between(a.altitude_m, b.altitude_m),
    track_rad: Math.atan2(b.x_m - a.x_m, b.y_m - a.y_m),
    before_s: last.time_s - wanted_s,
  };
}

/** The part of the circuit that a place lies in, by the block of the ledger that is spent there. */
export function partOf({ points }: Pick<KeyCircuit, "points">, share: number): string {
  const last = points.at(-1);
  if (!last) return "";
  const wanted_s = points[0].time_s + share * (last.time_s - points[0].time_s);
  const entry = points.find((point) => point.time_s >= wanted_s)?.entry ?? last.entry;
  return ["overhead", "turning downwind", "downwind", "base", "final"][entry] ?? "final";
}
