// What of a flight a map shows the same way in each of the stage's views.
import type { PlanePoint } from "@/core/earth/local-plane";
import type { Gap } from "@/core/route/gap";
import type { RouteDrawing } from "@/ui/kit/map/route-layer";
import type { Format } from "@/ui/kit/units/units-store";
import { gapLabel } from "@/ui/kit/charts/gap-words";

/** The gaps of a flight along its line. */
export function gapDrawings(
  answer: {
    readonly points: readonly (PlanePoint & { readonly distance_m: number })[];
    readonly gaps: readonly Gap[];
  } | null,
  format: Format,
): RouteDrawing["gaps"] {
  return (answer?.gaps ?? []).map((gap) => ({
    points: (answer?.points ?? []).filter(({ distance_m }) => distance_m >= gap.from_m && distance_m <= gap.to_m),
    label: gapLabel(gap, format),
  }));
}

/** The cursor with its altitude. */
export function cursorDrawing(
  { x_m, y_m, track_rad, altitude_m }: PlanePoint & { readonly track_rad: number; readonly altitude_m: number },
  format: Format,
): NonNullable<RouteDrawing["cursor"]> {
  return { x_m, y_m, track_rad, label: `here, ${format("height", altitude_m)}` };
}

/** Where the wind at the cursor is told. */
export function windAt({
  ground_m,
  altitude_m,
  track_rad,
}: {
  readonly ground_m: number | null;
  readonly altitude_m: number;
  readonly track_rad: number;
}): { ground_m: number; altitude_m: number; heading_rad: number } {
  return { ground_m: Math.max(0, ground_m ?? 0), altitude_m, heading_rad: track_rad };
}
