"use client";
import { Dialog } from "radix-ui";
import { useMemo, useState } from "react";
import { toast } from "sonner";
import { type Arrival, comparePlaces } from "@/core/places/compare-places";
import {
  type LineFault,
  TABLE_FIELDS,
  type TableColumns,
  type TableField,
  type TableUnits,
  guessColumns,
  guessUnits,
  placesOfTable,
} from "@/core/places/place-table";
import { DataTable } from "@/ui/kit/tables/DataTable";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { usePlacesStore } from "@/ui/library/places-store";
import type { ReadFile } from "./exchange";
import { stripNames } from "./strip-names";

const FIELD_WORDS: Record<TableField, string> = {
  name: "Name",
  kind: "Kind",
  position: "Position",
  latitude: "Latitude",
  longitude: "Longitude",
  elevation: "Elevation",
  runway: "Runway, such as 09/27",
  direction: "True direction",
  length: "Length",
  width: "Width",
  surface: "Surface",
  latitude1: "Latitude, first end",
  longitude1: "Longitude, first end",
  latitude2: "Latitude, other end",
  longitude2: "Longitude, other end",
  notes: "Notes",
};

const STATE_WORDS: Record<Arrival["state"], { readonly text: string; readonly tone: string }> = {
  new: { text: "new", tone: "text-pine" },
  changed: { text: "changed", tone: "text-ochre" },
  same: { text: "as it is here", tone: "text-ink2" },
  double: { text: "likely here already", tone: "text-ochre" },
};

/** A line of the file: a place, or why it gives none. */
type ImportRow = LineFault | { readonly line: number; readonly arrival: Arrival; readonly i: number };

const stateInWords = (arrival: Arrival) =>
  `${STATE_WORDS[arrival.state].text}${arrival.state === "double" ? `: ${arrival.before.name}` : ""}`;

/** Shown of long lists; all of them are counted and taken. */
const MOST_SHOWN = 300;

/** What a file would bring, before anything of it is taken. */
export function ImportDialog({ file, onClose }: { file: ReadFile; onClose: () => void }) {
  const own = usePlacesStore((state) => state.places);
  const exchange = usePlacesStore((state) => state.exchange);
  const header = useMemo(() => (file.kind === "table" ? file.header : []), [file]);
  const [columns, setColumns] = useState<TableColumns>(() => guessColumns(header));
  const [units, setUnits] = useState<TableUnits>(() => guessUnits(header, guessColumns(header)));
  /** Places of which the usual is not done, by their place in the list. */
  const [chosen, setChosen] = useState<ReadonlySet<number>>(new Set());
  const [removeGone, setRemoveGone] = useState(false);
  const read = useMemo(
    () =>
      file.kind === "places"
        ? file.read
        : placesOfTable(file.rows, columns, { newId: () => crypto.randomUUID(), day: new Date(), units }),
    [file, columns, units],
  );
  const set = file.kind === "places" ? file.set : null;
  const { arrivals, gone } = useMemo(
    () =>
      comparePlaces(
        own,
        read.places.map(({ place }) => place),
        set?.id ?? null,
        () => crypto.randomUUID(),
      ),
    // What is there is compared with once, when the file is opened and its columns are matched.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [read, set],
  );
  // What is likely here already is taken when it is chosen, all else unless it is.
  const isTaken = (arrival: Arrival, i: number) =>
    arrival.state !== "same" && (arrival.state === "double") === chosen.has(i);
  const wanted = arrivals.filter(isTaken);
  const rows: ImportRow[] = [
    ...read.faults.slice(0, MOST_SHOWN),
    ...arrivals.slice(0, MOST_SHOWN).map((arrival, i) => ({ line: read.places[i]?.line ?? i + 1, arrival, i })),
  ];
  const count = (state: Arrival["state"]) => arrivals.filter((arrival) => arrival.state === state).length;
  const toggle = (i: number) =>
    setChosen((before) => {
      const next = new Set(before);
      if (!next.delete(i)) next.add(i);
      return next;
    });
  const accept = () => {
    exchange(
      wanted.map(({ place }) => place),
      removeGone ? gone.map(({ id }) => id) : [],
    );
    const off = removeGone ? gone.length : 0;
    toast(
      `${wanted.length} places taken${off > 0 ? `, ${off} removed` : ""}. Ctrl Z under Places takes all of it back.`,
    );
    onClose();
  };
  return (
    <Dialog.Root open onOpenChange={(open) => !open && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-[#0b0e13]/35" />
        <Dialog.Content
          className="panel fixed top-[6vh] left-1/2 z-50 flex max-h-[88vh] w-[94vw] max-w-4xl -translate-x-1/2 flex-col gap-3 px-5 py-4"
          aria-describedby={undefined}
        >
          <Dialog.Title className="text-lg font-bold">
            {set ? `The set “${set.name}”` : "What this file would bring"}
          </Dialog.Title>
          {file.kind === "table" && (
            <fieldset className="max-h-[26vh] overflow-auto border-y border-rule py-2">
              <legend className="pr-2 font-semibold">Which column holds what</legend>
              <div className="grid grid-cols-4 gap-x-3 gap-y-2">
                {TABLE_FIELDS.map((field) => (
                  <ChoiceField
                    key={field}
                    label={FIELD_WORDS[field]}
                    value={String(columns[field] ?? "")}
                    choices={[
                      { value: "", label: "–" },
                      ...header.map((name, i) => ({ value: String(i), label: name || `column ${i + 1}` })),
                    ]}
                    onChange={(value) => {
                      setColumns({ ...columns, [field]: value === "" ? undefined : Number(value) });
                      // Other columns make another list.
                      setChosen(new Set());
                    }}
                  />
                ))}
                {(["elevation", "length"] as const).map((what) => (
                  <ChoiceField
                    key={what}
                    label={what === "elevation" ? "Elevations are in" : "Lengths are in"}
                    value={units[what]}
                    choices={[
                      { value: "m", label: "metres" },
                      { value: "ft", label: "feet" },
                    ]}
                    onChange={(value) => setUnits({ ...units, [what]: value })}
                  />
                ))}
              </div>
            </fieldset>
          )}
          <p role="status">
            {count("new")} new, {count("changed")} changed, {count("double")} likely here already, {count("same")} as
            they are here{gone.length > 0 ? `, ${gone.length} not in the set any more` : ""}
            {read.faults.length > 0 && (
              <strong className="text-brick">; {read.faults.length} lines with faults are left out</strong>
            )}
            . Nothing is stored until you take it.
          </p>
          <div
            className="min-h-0 overflow-auto border-y border-rule"
            tabIndex={0}
            role="region"
            aria-label="Places in the file"
          >
            <DataTable
              rows={rows}
              label="Places in the file"
              rowKey={({ line }, i) => `${line} ${i}`}
              columns={[
                { name: "Line", cell: ({ line }) => line, kind: "figure" },
                {
                  name: "Place",
                  kind: "words",
                  cell: (row) => ("message" in row ? row.message : row.arrival.place.name),
                  tone: (row) => ("message" in row ? "text-brick" : ""),
                },
                {
                  name: "Strips",
                  kind: "words",
                  cell: (row) => "arrival" in row && stripNames(row.arrival.place),
                },
                {
                  name: "State",
                  kind: "words",
                  cell: (row) => ("arrival" in row ? stateInWords(row.arrival) : "left out"),
                  tone: (row) => ("arrival" in row ? STATE_WORDS[row.arrival.state].tone : "text-brick"),
                },
                {
                  name: "Take",
                  kind: "words",
                  cell: (row) =>
                    "arrival" in row &&
                    row.arrival.state !== "same" && (
                      <input
                        type="checkbox"
                        className="size-4 accent-harbour"
                        aria-label={`Take ${row.arrival.place.name}`}
                        checked={isTaken(row.arrival, row.i)}
                        onChange={() => toggle(row.i)}
                      />
                    ),
                },
              ]}
            />
          </div>
          {gone.length > 0 && (
            <label className="flex items-center gap-2">
              <input
                type="checkbox"
                className="size-4 accent-harbour"
                checked={removeGone}
                onChange={(event) => setRemoveGone(event.currentTarget.checked)}
              />
              also remove what the set does not have any more:{" "}
              {gone
                .map(({ name }) => name)
                .slice(0, 8)
                .join(", ")}
              {gone.length > 8 && " …"}
            </label>
          )}
          <div className="flex gap-2">
            <button
              type="button"
              className="btn"
              disabled={wanted.length === 0 && !(removeGone && gone.length > 0)}
              onClick={accept}
            >
              Take {wanted.length} {wanted.length === 1 ? "place" : "places"}
            </button>
            <Dialog.Close className="btn btn-quiet">Take nothing</Dialog.Close>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
