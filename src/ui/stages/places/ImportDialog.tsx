"use client";
import { Dialog } from "radix-ui";
import { useMemo, useState } from "react";
import { toast } from "sonner";
import { type Arrival, comparePlaces } from "@/core/places/compare-places";
import {
  TABLE_FIELDS,
  type TableColumns,
  type TableField,
  type TableUnits,
  guessColumns,
  guessUnits,
  placesOfTable,
} from "@/core/places/place-table";
import { stripsOf } from "@/core/places/place";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { usePlacesStore } from "@/ui/library/places-store";
import type { ReadFile } from "./exchange";

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

/** Shown of long lists; all of them are counted and taken. */
const MOST_SHOWN = 300;

/** What a file would bring, before anything of it is taken. */
export function ImportDialog({ file, onClose }: { file: ReadFile; onClose: () => void }) {
  const own = usePlacesStore((state) => state.places);
  const exchange = usePlacesStore((state) => state.exchange);
  const header = useMemo(() => (file.kind === "table" ? file.header : []), [file]);
  const [columns, setColumns] = useState<TableColumns>(() => guessColumns(header));
  const [units, setUnits] = useState<TableUnits>(() => guessUnits(header, guessColumns(header)));
  const [left, setLeft] = useState<ReadonlySet<number>>(new Set());
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
  const wanted = arrivals.filter((arrival, i) =>
    arrival.state === "same" ? false : arrival.state === "double" ? left.has(i) : !left.has(i),
  );
  const count = (state: Arrival["state"]) => arrivals.filter((arrival) => arrival.state === state).length;
  const toggle = (i: number) =>
    setLeft((before) => {
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
                    onChange={(value) => setColumns({ ...columns, [field]: value === "" ? undefined : Number(value) })}
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
            <table className="w-full text-[14px]">
              <thead>
                <tr className="text-left text-[13px] text-ink2">
                  <th scope="col" className="font-normal">
                    Take
                  </th>
                  <th scope="col" className="font-normal">
                    Line
                  </th>
                  <th scope="col" className="font-normal">
                    Place
                  </th>
                  <th scope="col" className="font-normal">
                    Strips
                  </th>
                  <th scope="col" className="font-normal">
                    State
                  </th>
                </tr>
              </thead>
              <tbody>
                {read.faults.slice(0, MOST_SHOWN).map(({ line, message }) => (
                  <tr key={`fault-${line}`} className="border-t border-rule text-brick">
                    <td />
                    <td className="num">{line}</td>
                    <td colSpan={3}>{message}</td>
                  </tr>
                ))}
                {arrivals.slice(0, MOST_SHOWN).map((arrival, i) => (
                  <tr key={`${arrival.place.id}-${i}`} className="border-t border-rule">
                    <td>
                      {arrival.state !== "same" && (
                        <input
                          type="checkbox"
                          className="size-4 accent-harbour"
                          aria-label={`Take ${arrival.place.name}`}
                          checked={arrival.state === "double" ? left.has(i) : !left.has(i)}
                          onChange={() => toggle(i)}
                        />
                      )}
                    </td>
                    <td className="num">{read.places[i]?.line}</td>
                    <td>{arrival.place.name}</td>
                    <td className="num">
                      {stripsOf(arrival.place)
                        .map((strip) => strip.ends.map((end) => end.designator).join("/"))
                        .join(", ") || "none"}
                    </td>
                    <td className={STATE_WORDS[arrival.state].tone}>
                      {STATE_WORDS[arrival.state].text}
                      {arrival.state === "double" && `: ${arrival.before.name}`}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
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
