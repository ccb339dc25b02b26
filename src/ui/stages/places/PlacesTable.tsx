"use client";
import { useMemo } from "react";
import { geodesicBetween } from "@/core/earth/geodesic";
import { type Place, positionOf, stripsOf } from "@/core/places/place";
import { stripLine } from "@/core/places/strip-line";
import { DataTable } from "@/ui/kit/tables/DataTable";
import type { Column } from "@/ui/kit/tables/column";
import { useFormat } from "@/ui/kit/units/units-store";
import { faultOfPlace } from "@/ui/library/place-fault";
import { usePlacesStore } from "@/ui/library/places-store";
import { useSituation } from "@/ui/situation/situation-store";
import { usePlacesView } from "./places-view-store";
import { stripNames } from "./strip-names";

interface Row {
  readonly place: Place;
  readonly away_m: number;
  readonly longest_m: number | null;
  readonly fault: string | null;
}

/** Rows that are drawn at once; the search finds the others. */
const MOST_ROWS = 200;

/** Places of one's own, the nearest first. */
export function PlacesTable({ search }: { search: string }) {
  const places = usePlacesStore((state) => state.places);
  const position = useSituation((state) => state.current.position);
  const { selectedId, select } = usePlacesView();
  const format = useFormat();
  const rows = useMemo(() => {
    const wanted = search.trim().toLowerCase();
    return places
      .filter(({ name, notes }) => wanted === "" || `${name} ${notes}`.toLowerCase().includes(wanted))
      .map((place): Row => ({
        place,
        away_m: geodesicBetween(position, positionOf(place)).distance_m,
        longest_m: stripsOf(place).reduce<number | null>(
          (longest, strip) => Math.max(longest ?? 0, stripLine(strip.ends).length_m),
          null,
        ),
        fault: faultOfPlace(place),
      }))
      .sort((a, b) => a.away_m - b.away_m);
  }, [places, position, search]);
  const columns = useMemo(
    (): Column<Row>[] => [
      {
        name: "Place",
        cell: ({ place }) => (
          <button
            type="button"
            className="text-left underline decoration-dotted underline-offset-4 hover:text-harbour"
            onClick={() => select(place.id, positionOf(place))}
          >
            {place.name || "without a name"}
          </button>
        ),
      },
      { name: "Kind", kind: "words", cell: ({ place }) => place.kind },
      { name: "Away", cell: ({ away_m }) => format("distance", away_m) },
      {
        name: "Strips",
        kind: "words",
        cell: ({ place }) => stripNames(place),
      },
      { name: "Longest", cell: ({ longest_m }) => (longest_m === null ? "–" : format("length", longest_m, "down")) },
      {
        name: "Looked at",
        cell: ({ place }) => place.lookedAt ?? "–",
        tone: ({ place }) => (isOld(place.lookedAt) ? "text-ochre" : ""),
      },
      {
        name: "State",
        kind: "words",
        cell: ({ fault }) => (fault ? "not stored: see the form" : "stored"),
        tone: ({ fault }) => (fault ? "text-brick" : "text-ink2"),
      },
    ],
    [format, select],
  );
  return (
    <>
      <DataTable
        rows={rows.slice(0, MOST_ROWS)}
        columns={columns}
        label="Places of your own"
        rowKey={({ place }) => place.id}
        rowProps={({ place }) => (place.id === selectedId ? { className: "bg-mark", "aria-current": true } : {})}
        empty={
          search
            ? "No place of that name."
            : "No places of your own yet. Draw your aerodrome on the map, add it by figures, or import a file."
        }
      />
      {rows.length > MOST_ROWS && (
        <p className="py-1 text-sm text-ink2">and {rows.length - MOST_ROWS} more: search by name</p>
      )}
    </>
  );
}

/** A place that nobody has looked at for a year is told apart. */
export function isOld(lookedAt: string | null): boolean {
  return lookedAt !== null && Date.now() - Date.parse(lookedAt) > 365 * 24 * 3600 * 1000;
}
