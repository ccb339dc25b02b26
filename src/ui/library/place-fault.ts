// What keeps a place from being stored and planned with. What judges is large (it knows the Earth's magnetic field),
// and what the server has was judged there: it is loaded with the first change of a place.
import type { Place } from "@/core/places/place";

type Judge = (place: Place) => string | null;

let judge: Judge | null = null;
const judged = new WeakMap<Place, string | null>();

/** Says by what places are judged from now on. */
export function judgePlacesBy(by: Judge): void {
  judge = by;
}

/** What is wrong with a place; null when nothing is, and while nobody judges. */
export function faultOfPlace(place: Place): string | null {
  if (!judge) return null;
  const before = judged.get(place);
  if (before !== undefined) return before;
  const fault = judge(place);
  judged.set(place, fault);
  return fault;
}
