import type OlMap from "ol/Map";
import type { KeyboardEvent } from "react";

/** What one press of plus or minus does to the scale. */
const FACTORS: Readonly<Record<string, number>> = { "+": 1 / 1.4, "=": 1 / 1.4, "-": 1.4 };

/** Plus and minus zoom a map that has the focus; other keys are left alone. */
export function zoomByKey(event: KeyboardEvent, map: OlMap | undefined): void {
  const factor = FACTORS[event.key];
  const view = map?.getView();
  const resolution_m = view?.getResolution();
  if (factor === undefined || resolution_m === undefined || event.ctrlKey || event.metaKey) return;
  event.preventDefault();
  view?.setResolution(resolution_m * factor);
}
