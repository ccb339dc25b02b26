import Projection from "ol/proj/Projection";

/** The local plane as the map's projection: metres east and north of its origin, drawn as they are. */
export const PLANE_PROJECTION = new Projection({
  code: "utrimax:plane",
  units: "m",
  extent: [-200_000, -200_000, 200_000, 200_000],
  getPointResolution: (resolution) => resolution,
});
