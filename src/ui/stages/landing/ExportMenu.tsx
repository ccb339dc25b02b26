"use client";
import { Download } from "lucide-react";
import { DropdownMenu } from "radix-ui";
import type { PathFormat } from "./export-path";

const ITEM = "rounded px-3 py-1.5 outline-none data-[highlighted]:bg-mark";

/** The path as a file, the card on paper. */
export function ExportMenu({ onPath, onCard }: { onPath: (format: PathFormat) => void; onCard: () => void }) {
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger className="btn btn-quiet whitespace-nowrap">
        <Download size={15} aria-hidden="true" /> Export
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content className="panel z-30 flex min-w-44 flex-col p-1" align="end" sideOffset={4}>
          <DropdownMenu.Item className={ITEM} onSelect={() => onPath("geojson")}>
            Path as GeoJSON
          </DropdownMenu.Item>
          <DropdownMenu.Item className={ITEM} onSelect={() => onPath("gpx")}>
            Path as GPX
          </DropdownMenu.Item>
          <DropdownMenu.Item className={ITEM} onSelect={onCard}>
            Card as PDF
          </DropdownMenu.Item>
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
