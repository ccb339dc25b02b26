// The question on one engine that a situation asks about its flight. Apart from what checks it, for pages.
import type { Aeroplane } from "../aircraft/aeroplane";
import type { Place } from "../places/place";
import { routeQuestion } from "../route/asked-route";
import type { SituationDocument } from "../situation/situation-document";
import type { DriftQuestion } from "./drift-question";

/** The question; `aircraft` is the one that the situation names. */
export function driftQuestion(
  situation: SituationDocument,
  aircraft: Aeroplane,
  places: readonly Place[],
): DriftQuestion {
  return {
    ...routeQuestion(situation, aircraft, places),
    centreOfGravity: situation.centreOfGravity,
    feather_s: situation.departure.twoEngines.feather_s,
  };
}
