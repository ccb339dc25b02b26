"use client";
// Mass and centre of gravity from what is on board.
import type { AircraftDocument } from "@/core/aircraft/aircraft-document";
import { type Loaded, type LoadedMoments, loadedMoments } from "@/core/aircraft/loading";
import type { Load } from "@/core/aircraft/loading-plan";
import type { Outcome } from "@/core/outcome";
import type { SituationDocument } from "@/core/situation/situation-document";

/** What a load comes to; null where the aircraft has no places or mass is typed. */
export interface LoadState {
  readonly moments: Outcome<LoadedMoments>;
  /** Of the moment the situation works with; null when there is none. */
  readonly chosen: Loaded | null;
  /** Why the situation does not follow the load; null when it does. */
  readonly fault: string | null;
}

/** The words of a moment. */
export const MOMENT_WORDS: Record<Load["moment"], string> = {
  now: "at take-off",
  failure: "at the failure",
  landing: "at the landing",
};

const MOMENTS = ["now", "failure", "landing"] as const;

/** What a load comes to in an aircraft, and the first of its moments that is outside the limits. */
export function loadState({ loading, mass }: AircraftDocument, load: Load | null): LoadState | null {
  if (!loading || !load) return null;
  const moments = loadedMoments(loading, load);
  if (!moments.ok) return { moments, chosen: null, fault: moments.issue.message };
  const chosen = moments.value[load.moment];
  // The slack is a rounding on a limit typed in pounds.
  const outside = MOMENTS.map((moment) => {
    const { fault, mass_kg } = moments.value[moment];
    const why =
      fault ??
      (mass_kg > mass.maximum_kg + 0.5 ? "It is heavier than it may be." : null) ??
      (mass_kg < mass.minimum_kg - 0.5 ? "It is lighter than its figures reach." : null);
    return why && `${MOMENT_WORDS[moment]}: ${why}`;
  }).find((why) => why !== null);
  return { moments, chosen, fault: outside ? outside[0].toUpperCase() + outside.slice(1) : null };
}

/**
 * What a new load changes in the situation: mass and centre of gravity follow it while it may be flown; a load outside
 * the limits is kept, and they stay as they were.
 */
export function loadChange(aircraft: AircraftDocument, load: Load | null): Partial<SituationDocument> {
  const state = loadState(aircraft, load);
  if (!state?.chosen || state.fault !== null || state.chosen.centreOfGravity === null) return { load };
  const { minimum_kg, maximum_kg } = aircraft.mass;
  const mass_kg = Math.min(Math.max(state.chosen.mass_kg, minimum_kg), maximum_kg);
  return { load, mass_kg, centreOfGravity: state.chosen.centreOfGravity };
}
