// Engine stops as a pilot says they were: moved, split, named, taken out or put in. Once something is said, the list is
// the pilot's, and what the log shows is not looked for any more.
import { z } from "zod";
import type { OffKind, PowerOff } from "./power-off";

/** How well a moment is known that was pointed at on a profile, s. */
const POINTED_SIGMA_S = 1;
/** Nearer than this to an end a stop is not split, and no two begin, s. */
const LEAST_S = 2;

const time_s = z.number().min(0).max(1e7);
const KINDS = ["idle", "stopped", "windmilling", "reduced or lost"] as const satisfies readonly OffKind[];

/** One of them. */
export const StopByHand = z.strictObject({
  time_s,
  /** Null where the log ends first. */
  back_s: time_s.nullable(),
  sigma_s: z.number().min(0).max(60),
  engine: z.union([z.literal(1), z.literal(2)]).nullable(),
  kind: z.enum(KINDS),
  /** What the pilot calls it; null for nothing of its own. */
  name: z.string().trim().min(1).max(60, "At most 60 characters.").nullable(),
});
/** @see StopByHand */
export type StopByHand = z.infer<typeof StopByHand>;

/** Stops that were said, in the order of their time. */
export const StopsByHand = z.array(StopByHand).max(200, "At most 200 engine stops.");

type Found = Pick<PowerOff, "time_s" | "back_s" | "sigma_s" | "engine" | "kind"> & { readonly name: string | null };

/** Stops as they were found, to be changed. */
export const asSaid = (found: readonly Found[]): StopByHand[] =>
  found.map(({ time_s: at_s, back_s, sigma_s, engine, kind, name }) => ({
    time_s: at_s,
    back_s,
    sigma_s: Math.min(sigma_s, 60),
    engine,
    kind,
    name,
  }));

const inOrder = (stops: readonly StopByHand[]) => [...stops].sort((a, b) => a.time_s - b.time_s);
const ends = ({ back_s }: StopByHand) => back_s ?? Infinity;

/** A stop at another moment, before its end; null where that cannot be. */
export function movedStop(stops: readonly StopByHand[], i: number, to_s: number): StopByHand[] | null {
  const stop = stops.at(i);
  if (!stop || to_s < 0 || to_s > ends(stop) - LEAST_S) return null;
  return inOrder(stops.with(i, { ...stop, time_s: to_s, sigma_s: POINTED_SIGMA_S }));
}

/** A stop as two: the engine came back for a moment between. Null where the moment is not within it. */
export function splitStop(stops: readonly StopByHand[], i: number, at_s: number): StopByHand[] | null {
  const stop = stops.at(i);
  if (!stop || at_s < stop.time_s + LEAST_S || at_s > ends(stop) - LEAST_S) return null;
  const parts = [
    { ...stop, back_s: at_s },
    { ...stop, time_s: at_s, sigma_s: POINTED_SIGMA_S },
  ];
  return [...stops.slice(0, i), ...parts, ...stops.slice(i + 1)];
}

/** A stop with a name of its own; without one for an empty name. */
export function namedStop(stops: readonly StopByHand[], i: number, name: string): StopByHand[] | null {
  const stop = stops.at(i);
  const trimmed = name.trim().slice(0, 60);
  return stop ? stops.with(i, { ...stop, name: trimmed === "" ? null : trimmed }) : null;
}

/** The stops without one. */
export function withoutStop(stops: readonly StopByHand[], i: number): StopByHand[] {
  return stops.filter((_, at) => at !== i);
}

/** One more, from a moment to the next stop or the log's end; null where one is there already. */
export function addedStop(stops: readonly StopByHand[], at_s: number): StopByHand[] | null {
  if (stops.some((stop) => at_s > stop.time_s - LEAST_S && at_s < ends(stop) + LEAST_S)) return null;
  const next = stops.find((stop) => stop.time_s > at_s);
  const added: StopByHand = {
    time_s: at_s,
    back_s: next?.time_s ?? null,
    sigma_s: POINTED_SIGMA_S,
    engine: null,
    kind: "reduced or lost",
    name: null,
  };
  return inOrder([...stops, added]);
}

/** Those that lie within a part of a log, as an analysis takes them. */
export function stopsWithin(stops: readonly StopByHand[], from_s: number, to_s: number): (PowerOff & Found)[] {
  return stops
    .filter((stop) => stop.time_s >= from_s && stop.time_s < to_s)
    .map((stop) => ({
      ...stop,
      by: "hand" as const,
      possible: false,
      back_s: (stop.back_s ?? to_s) < to_s ? stop.back_s : null,
    }));
}
