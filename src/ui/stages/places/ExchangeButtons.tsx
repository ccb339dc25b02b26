"use client";
import { Download } from "lucide-react";
import dynamic from "next/dynamic";
import { DropdownMenu } from "radix-ui";
import { useState } from "react";
import { toast } from "sonner";
import { FileButton } from "@/ui/kit/forms/FileButton";
import { usePlacesStore } from "@/ui/library/places-store";
import { EXPORTS, type ReadFile, exportPlaces, readPlacesFile } from "./exchange";
import { mySet } from "./my-set";

const ImportDialog = dynamic(() => import("./ImportDialog").then((module) => module.ImportDialog));

const ITEM = "rounded px-3 py-1.5 outline-none data-[highlighted]:bg-mark";

/** Places in from a file, and out. */
export function ExchangeButtons() {
  const [file, setFile] = useState<ReadFile | null>(null);
  const [busy, setBusy] = useState(false);
  const none = usePlacesStore((state) => state.places.length === 0);
  const choose = async (chosen: File) => {
    setBusy(true);
    const read = await readPlacesFile(chosen);
    setBusy(false);
    if (read.ok) setFile(read.value);
    else toast(read.issue.message);
  };
  const out = (format: (typeof EXPORTS)[number], asSet = false) =>
    void exportPlaces(usePlacesStore.getState().places, format, asSet ? mySet() : null).catch(() =>
      toast("What writes this file could not be loaded. Try again when the network is back."),
    );
  return (
    <>
      <FileButton
        label="Import"
        busyLabel="Reading …"
        fileLabel="File of places"
        accept=".csv,.txt,.geojson,.json,.gpx,.kml"
        busy={busy}
        onChoose={(chosen) => void choose(chosen)}
      />
      <DropdownMenu.Root>
        <DropdownMenu.Trigger className="btn btn-quiet" disabled={none}>
          <Download size={14} aria-hidden="true" /> Export
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content className="panel z-30 flex min-w-44 flex-col p-1" align="end" sideOffset={4}>
            <DropdownMenu.Item className={ITEM} onSelect={() => out("geojson", true)}>
              As a set to share (GeoJSON)
            </DropdownMenu.Item>
            {EXPORTS.map((format) => (
              <DropdownMenu.Item key={format} className={ITEM} onSelect={() => out(format)}>
                {format === "geojson" ? "GeoJSON" : format.toUpperCase()}
              </DropdownMenu.Item>
            ))}
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
      {file && <ImportDialog file={file} onClose={() => setFile(null)} />}
    </>
  );
}
