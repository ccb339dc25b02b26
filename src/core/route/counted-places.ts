// Which places count for a flight: of a kind and length that the plan lets count, and such that this aircraft can land
// there in today's wind. A glide to a strip that it runs off is no rescue.
import { isAeroplane } from "../aircraft/aircraft-kind";
import { type Outcome, success } from "../outcome";
import type { RoutePlan } from "../situation/route-plan";
import { placeJudge } from "./place-judge";
import type { RoutePlace, RouteQuestion } from "./route-question";

/** A place that does not count, and why. */
export interface LeftOut {
  readonly place: RoutePlace;
  readonly why: "hand" | "kind" | "short" | "too-short" | "wind" | "beyond";
}

/** What is asked about the places. */
type Asked = Omit<RouteQuestion, "route"> & { readonly route: Pick<RoutePlan, "places"> };

/**
 * The places that count, and the others.
 *
 * @returns failures of the polar with the landing flap, and of the wind
 */
export function countedPlaces(question: Asked): Outcome<{ counted: RoutePlace[]; left: LeftOut[] }> {
  const judge = placeJudge(question);
  if (!judge.ok) return judge;
  const { runways, fields, beaches, least_m, except } = question.route.places;
  const kinds = { runway: runways, field: fields, beach: beaches };
  // What is short for wings may be room enough for a rotor: its own room decides.
  const shortest_m = isAeroplane(question.aircraft) ? least_m : 0;
  const counted: RoutePlace[] = [];
  const left: LeftOut[] = [];
  for (const place of question.places) {
    if (except.includes(place.id)) left.push({ place, why: "hand" });
    else if (!kinds[place.kind]) left.push({ place, why: "kind" });
    else if (place.length_m < shortest_m) left.push({ place, why: "short" });
    else {
      const verdict = judge.value(place);
      if (!verdict.ok) return verdict;
      if (verdict.value === "fits") counted.push(place);
      else left.push({ place, why: verdict.value });
    }
  }
  return success({ counted, left });
}
