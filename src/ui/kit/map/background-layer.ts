import TileLayer from "ol/layer/Tile";
import type Projection from "ol/proj/Projection";
import { addCoordinateTransforms, fromLonLat, get as projectionOf, toLonLat } from "ol/proj";
import XYZ from "ol/source/XYZ";
import type { Background } from "@/core/earth/background";
import type { LocalPlane } from "@/core/earth/local-plane";

const WEB = "EPSG:3857";
/** Finest level asked for; closer up its tiles are drawn larger. */
const FINEST = 19;

/**
 * Tiles from outside, laid on a map's plane.
 *
 * @param projection - the map's, whose coordinates are those of the plane
 * @param onFault - a tile does not come
 */
export function backgroundLayer(
  { address, opacity }: Background,
  plane: LocalPlane,
  projection: Projection,
  onFault: () => void,
): TileLayer<XYZ> {
  addCoordinateTransforms(
    projectionOf(WEB) ?? WEB,
    projection,
    (point) => {
      const [longitude_deg, latitude_deg] = toLonLat(point);
      const { x_m, y_m } = plane.toPlane({ latitude_deg, longitude_deg });
      return [x_m, y_m];
    },
    (point) => {
      const { latitude_deg, longitude_deg } = plane.toLatLon({ x_m: point[0], y_m: point[1] });
      return fromLonLat([longitude_deg, latitude_deg]);
    },
  );
  const source = new XYZ({ url: address, projection: WEB, maxZoom: FINEST });
  source.on("tileloaderror", onFault);
  // On a canvas of its own, so that it can be dimmed by night.
  return new TileLayer({ source, opacity, className: "map-background" });
}
