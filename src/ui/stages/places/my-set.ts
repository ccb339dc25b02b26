import type { PlaceSet } from "@/core/places/place-geojson";
import { keptAs } from "@/ui/kit/kept";

const KEY = "set-of-places";

/** The set that one's own places go out as: always the same, so that it can be compared with when it comes again. */
export function mySet(): PlaceSet {
  const id = localStorage.getItem(keptAs(KEY)) ?? crypto.randomUUID();
  localStorage.setItem(keptAs(KEY), id);
  return { id, name: "Shared places" };
}
