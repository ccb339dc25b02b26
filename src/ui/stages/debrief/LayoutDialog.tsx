"use client";
import { Dialog } from "radix-ui";
import { useState } from "react";
import {
  COLUMN_NAMES,
  type ColumnName,
  type CsvLayout,
  type LayoutColumn,
  kindOf,
} from "@/core/track/formats/csv-layout";
import { CSV_UNITS } from "@/core/track/formats/csv-units";
import type { Column } from "@/ui/kit/tables/column";
import { DataTable } from "@/ui/kit/tables/DataTable";

/** What columns are called here. */
const WORDS: Record<ColumnName, string> = {
  date: "date",
  clock: "time of day",
  moment: "date and time",
  elapsed: "time since the beginning",
  latitude_deg: "latitude",
  longitude_deg: "longitude",
  altitudeGps_m: "height by satellites",
  altitudePressure_m: "pressure altitude",
  groundSpeed_mps: "speed over the ground",
  track_rad: "track",
  ias_mps: "indicated airspeed",
  tas_mps: "true airspeed",
  roll_rad: "bank",
  pitch_rad: "pitch",
  heading_rad: "heading, true",
  loadFactor: "load factor",
  outsideAir_K: "outside air temperature",
  rpm1: "rpm, left or only",
  rpm2: "rpm, right",
  fuelFlow1_m3ps: "fuel flow, left or only",
  fuelFlow2_m3ps: "fuel flow, right",
  manifold1_Pa: "manifold pressure, left or only",
  manifold2_Pa: "manifold pressure, right",
  egt1_K: "exhaust temperature, left or only",
  egt2_K: "exhaust temperature, right",
  cht1_K: "head temperature, left or only",
  cht2_K: "head temperature, right",
  power1_W: "shaft power, left or only",
  power2_W: "shaft power, right",
};

interface Props {
  readonly name: string;
  readonly layout: CsvLayout;
  readonly onRead: (layout: CsvLayout) => void;
  readonly onCancel: () => void;
}

/** What the columns of a table hold, for confirmation: nothing is guessed silently. */
export function LayoutDialog({ name, layout: recognised, onRead, onCancel }: Props) {
  const [layout, setLayout] = useState(recognised);
  const change = (i: number, to: Partial<CsvLayout["columns"][number]>) =>
    setLayout({ ...layout, columns: layout.columns.map((column, k) => (k === i ? { ...column, ...to } : column)) });
  const asked = layout.columns.filter(({ name: column, unit }) => column && kindOf(column) && unit === null).length;
  const columns: Column<LayoutColumn>[] = [
    { name: "Heading", className: "num py-1 pr-3", cell: ({ heading }) => heading || "(none)" },
    {
      name: "Holds",
      kind: "words",
      className: "py-1 pr-3",
      cell: ({ heading, name: column }, i) => (
        <select
          className="field"
          aria-label={`${heading} holds`}
          value={column ?? ""}
          onChange={(event) =>
            change(i, { name: (event.currentTarget.value || null) as ColumnName | null, unit: null })
          }
        >
          <option value="">left out</option>
          {COLUMN_NAMES.map((one) => (
            <option key={one} value={one}>
              {WORDS[one]}
            </option>
          ))}
        </select>
      ),
    },
    {
      name: "Unit",
      kind: "words",
      className: "py-1",
      cell: ({ heading, name: column, unit }, i) => {
        const kind = column && kindOf(column);
        return (
          kind && (
            <select
              className={`field ${unit === null ? "border-brick" : ""}`}
              aria-label={`Unit of ${heading}`}
              value={unit ?? ""}
              onChange={(event) => change(i, { unit: event.currentTarget.value || null })}
            >
              <option value="">not known</option>
              {Object.entries(CSV_UNITS[kind]).map(([key, { words }]) => (
                <option key={key} value={key}>
                  {words[0]}
                </option>
              ))}
            </select>
          )
        );
      },
    },
  ];
  return (
    <Dialog.Root open onOpenChange={(open) => !open && onCancel()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-[#0b0e13]/35" />
        <Dialog.Content className="panel fixed top-[8vh] left-1/2 z-50 flex max-h-[84vh] w-[92vw] max-w-2xl -translate-x-1/2 flex-col gap-3 px-5 py-4">
          <Dialog.Title className="text-lg font-bold">What do the columns of {name} hold?</Dialog.Title>
          <Dialog.Description>
            {asked > 0
              ? `${asked === 1 ? "One column does" : `${asked} columns do`} not say the unit: it is left out until you do.`
              : "As recognised. Tables of the same headings are read so from now on."}
          </Dialog.Description>
          <div className="min-h-0 overflow-auto border-y border-rule" tabIndex={0} role="region" aria-label="Columns">
            <DataTable rows={layout.columns} columns={columns} rowKey={(_, i) => i} label="Columns of the table" />
          </div>
          <div className="flex justify-end gap-2">
            <Dialog.Close className="btn btn-quiet">Cancel</Dialog.Close>
            <button type="button" className="btn" onClick={() => onRead(layout)}>
              Read it so
            </button>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
