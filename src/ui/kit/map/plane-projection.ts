import Projection from "ol/proj/Projection";
import type { LocalPlane } from "@/core/earth/local-plane";

/** A local plane as a map's projection: metres east and north of its origin, drawn as they are. */
export function planeProjection({ origin }: LocalPlane): Projection {
  return new Projection({
    // What is laid on it from elsewhere is found by this name.
    code: `utrimax:plane:${origin.latitude_deg},${origin.longitude_deg}`,
    units: "m",
    extent: [-200_000, -200_000, 200_000, 200_000],
    getPointResolution: (resolution) => resolution,
  });
}
