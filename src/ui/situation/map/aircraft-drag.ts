import type { MapBrowserEvent } from "ol";
import PointerInteraction from "ol/interaction/Pointer";
import type { LocalPlane } from "@/core/earth/local-plane";
import { wrapTurn } from "@/core/quantities/angle";
import { holdUndo, releaseUndo, useSituation } from "@/ui/situation/situation-store";
import { HANDLE_PX } from "@/ui/kit/map/aircraft-layer";

/** How near the pointer must be to take hold, px. */
const GRAB_PX = 18;
const HANDLE_GRAB_PX = 13;

type Hold = "aircraft" | "heading" | null;

/**
 * Dragging the aircraft moves it, dragging its handle turns it; the situation changes with every move of the pointer.
 */
export function aircraftDrag(plane: LocalPlane): PointerInteraction {
  let hold: Hold = null;
  // Where on the aircraft it was taken hold of, so that it does not jump.
  let offset = [0, 0];

  const holdAt = ({ map, pixel }: MapBrowserEvent): Hold => {
    const { position, heading_rad } = useSituation.getState().current;
    const here = plane.toPlane(position);
    const aircraft = map.getPixelFromCoordinate([here.x_m, here.y_m]);
    if (!aircraft) return null;
    const heading = heading_rad + plane.convergence_rad(position);
    const handle = [aircraft[0] + HANDLE_PX * Math.sin(heading), aircraft[1] - HANDLE_PX * Math.cos(heading)];
    if (Math.hypot(pixel[0] - handle[0], pixel[1] - handle[1]) < HANDLE_GRAB_PX) return "heading";
    return Math.hypot(pixel[0] - aircraft[0], pixel[1] - aircraft[1]) < GRAB_PX ? "aircraft" : null;
  };

  return new PointerInteraction({
    handleDownEvent: (event) => {
      hold = holdAt(event);
      if (hold === "aircraft") {
        const here = plane.toPlane(useSituation.getState().current.position);
        offset = [here.x_m - event.coordinate[0], here.y_m - event.coordinate[1]];
      }
      if (hold !== null) holdUndo();
      return hold !== null;
    },
    handleDragEvent: (event) => {
      const { current, change } = useSituation.getState();
      if (hold === "aircraft") {
        change({
          position: plane.toLatLon({ x_m: event.coordinate[0] + offset[0], y_m: event.coordinate[1] + offset[1] }),
        });
      } else if (hold === "heading") {
        const here = plane.toPlane(current.position);
        const heading =
          Math.atan2(event.coordinate[0] - here.x_m, event.coordinate[1] - here.y_m) -
          plane.convergence_rad(current.position);
        change({ heading_rad: wrapTurn(heading) });
      }
    },
    handleUpEvent: () => {
      hold = null;
      releaseUndo();
      return false;
    },
    handleMoveEvent: (event) => {
      const over = holdAt(event);
      event.map
        .getViewport()
        ?.style.setProperty("cursor", over === "aircraft" ? "grab" : over === "heading" ? "pointer" : "");
    },
  });
}
