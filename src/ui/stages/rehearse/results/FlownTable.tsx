"use client";
import { Play, Trash2 } from "lucide-react";
import { formatClock } from "@/core/quantities/clock";
import type { ListedFlight } from "@/server/flights";
import { DataTable } from "@/ui/kit/tables/DataTable";
import { useFormat } from "@/ui/kit/units/units-store";
import { flownHow, isHeld } from "./flown-result-words";
import { useFlown } from "./flown-store";

interface Props {
  flights: readonly ListedFlight[] | null;
  /** They are one's own, to be deleted. */
  mine: boolean;
  onLook: () => void;
}

/** Flights by hand, the latest first, each to be looked at again. */
export function FlownTable({ flights, mine, onLook }: Props) {
  const format = useFormat();
  if (flights === null) return <p className="text-ink2">Fetching …</p>;
  const on = ({ flownAt }: ListedFlight) => flownAt.slice(0, 16).replace("T", " ");
  return (
    <DataTable
      rows={flights}
      rowKey={({ id }) => id}
      label="Flights by hand"
      empty="None flown yet. A flight by hand that is over is kept here."
      columns={[
        { name: "flown", cell: (flight) => <span className="num">{on(flight)}</span> },
        { name: "what", kind: "words", cell: ({ words }) => words },
        { name: "took", cell: ({ result }) => formatClock(result.took_s) },
        {
          name: "beyond the least",
          cell: ({ result: { glide } }) => (glide ? format("height", Math.max(glide.beyond_m, 0), "up") : "–"),
        },
        {
          name: "how",
          kind: "words",
          cell: ({ result }) => flownHow(result, format),
          tone: ({ result }) => (isHeld(result) ? "text-pine" : "text-brick"),
        },
        {
          name: "look",
          head: <span className="sr-only">look at it, delete</span>,
          kind: "words",
          cell: (flight) => (
            <span className="flex">
              <button
                type="button"
                className="rounded p-1 hover:bg-mark"
                aria-label={`Look at the flight of ${on(flight)}`}
                onClick={() =>
                  void useFlown
                    .getState()
                    .look(flight.id)
                    .then((ok) => ok && onLook())
                }
              >
                <Play size={14} aria-hidden="true" />
              </button>
              {mine && (
                <button
                  type="button"
                  className="rounded p-1 hover:bg-mark"
                  aria-label={`Delete the flight of ${on(flight)}`}
                  onClick={() => void useFlown.getState().remove(flight.id)}
                >
                  <Trash2 size={14} aria-hidden="true" />
                </button>
              )}
            </span>
          ),
        },
      ]}
    />
  );
}
