"use client";
import { Download } from "lucide-react";
import { DropdownMenu } from "radix-ui";
import { useRef } from "react";
import { toast } from "sonner";
import type { Outcome } from "@/core/outcome";
import { useRoute } from "@/ui/answers/route-store";
import { download } from "@/ui/kit/download";
import { askCore } from "@/ui/kit/lanes/lanes";
import { useSituation } from "@/ui/situation/situation-store";
import { ROUTE_FORMATS, exportRoute, readRoute } from "./route-exchange";
import { useRouteCard } from "./useRouteCard";

const ITEM = "rounded px-3 py-1.5 outline-none data-[highlighted]:bg-mark data-[disabled]:text-ink2";
const NAMES = { geojson: "GeoJSON", gpx: "GPX", kml: "KML", csv: "CSV" };
/** A file larger than this holds no route of 200 points. */
const MOST_BYTES = 4_000_000;

/** The route as a file and from one, and the card on paper. */
export function RouteExport() {
  const points = useSituation((state) => state.current.route.points);
  const change = useSituation((state) => state.change);
  const makeCard = useRouteCard();
  const input = useRef<HTMLInputElement>(null);
  const answered = useRoute((state) => (state.route?.answer ? state.route : null));
  const coverFile = async (format: "ascii" | "geojson") => {
    if (!answered) return;
    const made = await askCore<Outcome<string>>("cover", (core) =>
      core.coverFile(answered.question, answered.origin, format),
    );
    if (!made.ok) return void toast(`No file was made. ${made.issue.message}`);
    if (format === "ascii") download("cover.asc", "text/plain", made.value);
    else download("reach-by-altitude.geojson", "application/geo+json", made.value);
  };
  const take = async (file: File) => {
    if (file.size > MOST_BYTES) return void toast("This file is too large for a route.");
    const read = await readRoute(file.name, await file.text());
    if (!read.ok) return void toast(`No route was taken. ${read.issue.message}`);
    change((current) => ({ route: { ...current.route, points: read.value } }));
    toast(`${read.value.length} points are the route now. Undo brings the one before back.`);
  };
  return (
    <>
      <DropdownMenu.Root>
        <DropdownMenu.Trigger className="btn btn-quiet whitespace-nowrap">
          <Download size={15} aria-hidden="true" /> File
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content className="panel z-30 flex min-w-44 flex-col p-1" align="end" sideOffset={4}>
            {ROUTE_FORMATS.map((format) => (
              <DropdownMenu.Item
                key={format}
                className={ITEM}
                disabled={points.length < 2}
                onSelect={() => void exportRoute(points, format)}
              >
                Route as {NAMES[format]}
              </DropdownMenu.Item>
            ))}
            <DropdownMenu.Item className={ITEM} disabled={!answered} onSelect={() => void coverFile("geojson")}>
              Reach by altitude as GeoJSON
            </DropdownMenu.Item>
            <DropdownMenu.Item className={ITEM} disabled={!answered} onSelect={() => void coverFile("ascii")}>
              Cover as a grid (Esri ASCII)
            </DropdownMenu.Item>
            <DropdownMenu.Item className={ITEM} disabled={points.length < 2} onSelect={makeCard}>
              Card as PDF
            </DropdownMenu.Item>
            <DropdownMenu.Separator className="my-1 border-t border-rule" />
            <DropdownMenu.Item className={ITEM} onSelect={() => input.current?.click()}>
              Route from a file …
            </DropdownMenu.Item>
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
      <input
        ref={input}
        type="file"
        accept=".gpx,.geojson,.json,.kml,.csv,.txt"
        className="hidden"
        aria-label="Route from a file"
        onChange={(event) => {
          const [file] = event.currentTarget.files ?? [];
          // Cleared, so that the same file can be chosen again.
          event.currentTarget.value = "";
          if (file) void take(file);
        }}
      />
    </>
  );
}
