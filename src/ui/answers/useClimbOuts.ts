"use client";
import type { LatLon } from "@/core/earth/geodesic";
import type { Outcome } from "@/core/outcome";
import type { ClimbOuts } from "@/core/route/climb-out-tracks";
import type { RouteQuestion } from "@/core/route/route-question";
import type { Ask } from "@/ui/kit/lanes/asking";
import { outcomeOf, useAnswer } from "@/ui/kit/lanes/useAnswer";

/** A route that begins at a runway. */
export interface AskedClimbOut {
  readonly question: RouteQuestion;
  readonly origin: LatLon;
  /** Of the landing end whose direction is the take-off's; null: the one most into the wind. */
  readonly endId: string | null;
}

const ask: Ask<AskedClimbOut, ClimbOuts> = (core, { question, origin, endId }) =>
  core.routeClimbOut(question, origin, endId);

/** The climb-outs of a route; null while they are worked out. @param asked - the same object at every render */
export function useClimbOuts(asked: AskedClimbOut | null): Outcome<ClimbOuts> | null {
  return outcomeOf(useAnswer(asked, ask, "cover"));
}
