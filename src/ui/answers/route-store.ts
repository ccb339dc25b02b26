import { create } from "zustand";
import type { DriftAnswer } from "@/core/drift/drift-answer";
import type { DriftQuestion } from "@/core/drift/drift-question";
import type { LatLon } from "@/core/earth/geodesic";
import type { Issue } from "@/core/outcome";
import type { Detour } from "@/core/route/detour";
import type { RouteAnswer } from "@/core/route/route-answer";
import type { RouteQuestion } from "@/core/route/route-question";

/** A flight, and the plane that its answer's points are in. */
export interface AskedRoute {
  readonly question: RouteQuestion;
  readonly origin: LatLon;
}

/** The planned flight as it was answered last. */
export interface AnsweredRoute extends AskedRoute {
  readonly answer: RouteAnswer | null;
  readonly issue: Issue | null;
  /** It belongs to an older question than the one that is asked now. */
  readonly stale: boolean;
  readonly took_ms: number;
}

/** The same on one engine of two. */
export interface AnsweredDrift {
  readonly question: DriftQuestion;
  readonly origin: LatLon;
  readonly answer: DriftAnswer | null;
  readonly issue: Issue | null;
  readonly stale: boolean;
}

/** What of a cover a map shows. */
export type MapShows = "reach" | "asked" | "left";

interface RouteState {
  /** What is asked now; null without a flight. */
  readonly asked: AskedRoute | null;
  readonly route: AnsweredRoute | null;
  /** Null for an aircraft without two engines. */
  readonly drift: AnsweredDrift | null;
  /** What is needed at each point when less is counted on; null until it has come. */
  readonly pessimistic_m: readonly (number | null)[] | null;
  readonly detours: readonly Detour[];
  /** Cursor, from the beginning of the flight. */
  readonly cursor_m: number;
  /** What the map shows: reach from the planned altitude, height asked for, height left of a glide from the cursor. */
  readonly shown: MapShows;
  /** The stage is open: its answer does not wait. */
  readonly open: boolean;
  set(patch: Partial<Omit<RouteState, "set">>): void;
}

/** The answer to "where along this flight is a landing place in reach?" and what of it is looked at. */
export const useRoute = create<RouteState>()((set) => ({
  asked: null,
  route: null,
  drift: null,
  pessimistic_m: null,
  detours: [],
  cursor_m: 0,
  shown: "reach",
  open: false,
  set: (patch) => set(patch),
}));

/** Moves the cursor, within the flight. */
export function moveCursor(distance_m: number): void {
  const length_m = useRoute.getState().route?.answer?.length_m ?? 0;
  useRoute.setState({ cursor_m: Math.min(Math.max(distance_m, 0), length_m) });
}
