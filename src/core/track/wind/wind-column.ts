import type { WindColumn, WindLayer } from "../../air/wind";
import { wrapTurn } from "../../quantities/angle";
import { type FittedWind, windAt } from "./fitted-wind";

/** Heights above the ground at which a flown wind is handed to the planner, m; its change by height is a line. */
const LAYERS_M = [60, 150, 300];
/** A fit that is carried far beyond its heights may tell any speed; winds above this are not met with, m/s. */
const MOST_MPS = 100;

/** A flown wind as a column over a ground. */
export function windColumn(wind: FittedWind, ground_m: number): WindColumn {
  const layer = (height_m: number): WindLayer => {
    const { east_mps, north_mps } = windAt(wind, ground_m + height_m);
    return {
      altitude_m: ground_m + height_m,
      from_rad: wrapTurn(Math.atan2(-east_mps, -north_mps)),
      speed_mps: Math.min(Math.hypot(east_mps, north_mps), MOST_MPS),
    };
  };
  const { altitude_m: _, ...surface } = layer(10);
  return { surface, layers: LAYERS_M.map(layer) };
}
