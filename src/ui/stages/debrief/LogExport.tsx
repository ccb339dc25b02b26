"use client";
import { Download } from "lucide-react";
import { DropdownMenu } from "radix-ui";
import { toast } from "sonner";
import type { KeptLog } from "@/core/track/kept-log";
import { download } from "@/ui/kit/download";
import { startTrack } from "@/workers/track-client";
import type { LogFormat } from "@/workers/track.worker";

const ITEM = "rounded px-3 py-1.5 outline-none data-[highlighted]:bg-mark";
const FORMATS: readonly (readonly [LogFormat, string, string])[] = [
  ["gpx", "Flight as GPX", "application/gpx+xml"],
  ["igc", "Flight as IGC", "text/plain"],
  ["nmea", "Flight as NMEA", "text/plain"],
  ["geojson", "Flight as GeoJSON", "application/geo+json"],
  ["csv", "All columns as a table", "text/csv"],
  ["measures", "Measures as a table", "text/csv"],
];

/** The open log in the formats that are read, and its measures. */
export function LogExport({ log }: { log: KeptLog }) {
  const write = async (format: LogFormat, type: string) => {
    const { track, worker } = startTrack();
    try {
      const text = await track.write(log, format);
      const name = log.name.replace(/\.[^.]*$/, "");
      if (text.ok) download(format === "measures" ? `${name}-measures.csv` : `${name}.${format}`, type, text.value);
      else toast(text.issue.message);
    } finally {
      worker.terminate();
    }
  };
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger className="btn btn-quiet whitespace-nowrap">
        <Download size={15} aria-hidden="true" /> Export
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content className="panel z-30 flex min-w-44 flex-col p-1" align="end" sideOffset={4}>
          {FORMATS.map(([format, label, type]) => (
            <DropdownMenu.Item key={format} className={ITEM} onSelect={() => void write(format, type)}>
              {label}
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
