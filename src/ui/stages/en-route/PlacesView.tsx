"use client";
import { useMemo } from "react";
import type { RoutePlace } from "@/core/route/route-question";
import { useRoute } from "@/ui/answers/route-store";
import { DataTable } from "@/ui/kit/tables/DataTable";
import type { Column } from "@/ui/kit/tables/column";
import { useFormat } from "@/ui/kit/units/units-store";
import { useSituation } from "@/ui/situation/situation-store";
import { WHY_LEFT_OUT, howKnown } from "./route-words";

interface Row {
  readonly place: RoutePlace;
  /** Parts of the flight that it holds, m. */
  readonly held_m: number;
  readonly parts: string;
}

/** Every place that counts, what of the flight it holds, and how it is known. */
export function PlacesView() {
  const answer = useRoute((state) => state.route?.answer ?? null);
  const day = useSituation((state) => state.current.day);
  const except = useSituation((state) => state.current.route.places.except);
  const change = useSituation((state) => state.change);
  const format = useFormat();
  const leave = (ids: readonly string[]) =>
    change(({ route }) => ({ route: { ...route, places: { ...route.places, except: [...ids] } } }));
  const rows = useMemo(
    () =>
      (answer?.places ?? [])
        .map((place, i): Row => {
          const parts = (answer?.stretches ?? []).filter((stretch) => stretch.place === i);
          return {
            place,
            held_m: parts.reduce((sum, { from_m, to_m }) => sum + to_m - from_m, 0),
            parts: parts
              .map(({ from_m, to_m }) => `${format("distance", from_m)} – ${format("distance", to_m)}`)
              .join(", "),
          };
        })
        .sort((a, b) => b.held_m - a.held_m),
    [answer, format],
  );
  const columns: Column<Row>[] = [
    { name: "Place", className: "px-3 py-1", cell: ({ place }) => place.name },
    { name: "Holds", cell: ({ held_m }) => (held_m > 0 ? format("distance", held_m) : "–") },
    { name: "From – to", kind: "words", cell: ({ parts }) => parts },
    { name: "Length", cell: ({ place }) => format("length", place.length_m) },
    { name: "Elevation", cell: ({ place }) => format("height", place.elevation_m) },
    { name: "How it is known", kind: "words", cell: ({ place }) => howKnown(place, day) },
    {
      name: "Counts",
      kind: "words",
      cell: ({ place }) => (
        <button
          type="button"
          className="btn btn-quiet px-2 py-0"
          aria-label={`Leave out ${place.name}`}
          onClick={() => leave([...except, place.id])}
        >
          Leave out
        </button>
      ),
    },
  ];
  return (
    <div className="min-h-0 overflow-auto bg-sheet" tabIndex={0} role="region" aria-label="Places that count">
      <DataTable
        className="w-full text-[13px]"
        headClassName="sticky top-0 z-10 bg-sheet [&_th]:py-1.5"
        label="Places that count, those that hold most of the flight first"
        rows={rows}
        rowKey={({ place }) => place.id}
        columns={columns}
      />
      {answer && answer.left.length > 0 && (
        <section className="p-3 text-[13px]" aria-label="Places that do not count">
          <h2 className="font-bold">Not counted</h2>
          <ul>
            {answer.left.map(({ place, why }) => (
              <li key={place.id}>
                {place.name}, {format("length", place.length_m)}: {WHY_LEFT_OUT[why]}
                {why === "hand" && (
                  <button
                    type="button"
                    className="btn btn-quiet ml-2 px-2 py-0"
                    aria-label={`Count again ${place.name}`}
                    onClick={() => leave(except.filter((id) => id !== place.id))}
                  >
                    Count again
                  </button>
                )}
              </li>
            ))}
          </ul>
        </section>
      )}
      {except.length > 0 && (
        <p className="p-3">
          <button type="button" className="btn" onClick={() => leave([])}>
            Count all {except.length} again that were left out by hand
          </button>
        </p>
      )}
    </div>
  );
}
