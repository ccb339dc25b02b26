import { useReach } from "@/ui/answers/reach-store";
import type { Command } from "../stage-face";
import { exportShownPath } from "./export-path";

/** What can be done with the landing's paths from anywhere. */
export const COMMANDS: readonly Command[] = [
  {
    title: "Export the path as GeoJSON",
    group: "Path",
    keys: "",
    keyLabel: "",
    run: () => exportShownPath("geojson"),
  },
  { title: "Export the path as GPX", group: "Path", keys: "", keyLabel: "", run: () => exportShownPath("gpx") },
  {
    title: "Follow the best landing end",
    group: "Path",
    keys: "b",
    keyLabel: "b",
    run: () => useReach.getState().pin(null),
  },
];
