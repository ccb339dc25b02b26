import { type RouteField, quarterTurn_m } from "@/core/route/route-field";
import type { RouteQuestion } from "@/core/route/route-question";
import { bitmap } from "./bitmap";
import { coverPixels } from "./cover-pixels";
import type { ReliefView } from "./relief";

/** What is in reach from an altitude, reaction and a quarter of a turn counted, as an image. */
export function coverImage(
  question: Pick<RouteQuestion, "pilot" | "air">,
  cover: RouteField,
  altitude_m: number,
  view: ReliefView,
  ink: readonly [number, number, number],
): Promise<ImageBitmap> {
  const from_m = altitude_m - quarterTurn_m(question, cover, altitude_m);
  const pixels = coverPixels(cover.field, view, from_m, ink);
  return bitmap(pixels, view);
}
