// Judges places once it is loaded.
import { Place } from "@/core/places/place";
import { placeFaults } from "@/core/places/place-faults";
import { judgePlacesBy } from "./place-fault";

judgePlacesBy((place) => {
  const parsed = Place.safeParse(place);
  if (!parsed.success) return parsed.error.issues[0].message;
  return placeFaults(place, new Date()).find(({ severity }) => severity === "fault")?.message ?? null;
});
