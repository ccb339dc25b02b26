import { type Place, type Strip, stripsOf } from "@/core/places/place";

/** A strip by its two ends: "09/27". */
export const stripName = ({ ends }: Strip): string => ends.map((end) => end.designator).join("/");

/** All strips of a place. */
export const stripNames = (place: Place): string => stripsOf(place).map(stripName).join(", ") || "none";
