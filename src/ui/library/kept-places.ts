// Places that were changed and not stored when a page was left, as the browser keeps them.
import { z } from "zod";
import { PlaceOfAnyVersion } from "@/core/places/place-versions";
import "./place-judge";

const Kept = z.strictObject({
  places: z.array(PlaceOfAnyVersion).max(5000),
  known: z
    .array(
      z.tuple([
        z.string().max(64),
        z.strictObject({ version: z.int(), document: PlaceOfAnyVersion, deleted: z.boolean() }),
      ]),
    )
    .max(5000),
});

/** Reads what was kept; null where it is damaged. */
export function readKeptPlaces(text: string): z.infer<typeof Kept> | null {
  try {
    const kept = Kept.safeParse(JSON.parse(text));
    return kept.success ? kept.data : null;
  } catch {
    return null;
  }
}
