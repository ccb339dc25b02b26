"use client";
import { useEffect } from "react";
import { toast } from "sonner";
import type { KeptFlight } from "@/core/simulation/kept-flight";
import { KeptFlightOfAnyVersion } from "@/core/simulation/kept-flight-versions";
import { FileButton } from "@/ui/kit/forms/FileButton";
import { readOwnFile } from "@/ui/library/own/read-own-file";
import { FlyReplay } from "./FlyReplay";
import { lookAgain } from "./flight-lane";
import { useFlights } from "./flights-store";
import { useFly } from "./fly-store";
import { useFlySet } from "./useFlySet";

/** Of a recording that is read, bytes: an hour of hands that never rest. */
const MOST_BYTES = 8_000_000;

const look = (flight: KeptFlight) => void lookAgain(flight).then((issue) => issue && toast(issue.message));

/** The last flight, or those that are kept, to be looked at. */
export function ReplayView() {
  const last = useFly((state) => state.last);
  const flights = useFlights((state) => state.flights);
  const { forget } = useFlights.getState();
  const set = useFlySet();
  useEffect(() => void useFlights.persist.rehydrate(), []);
  if (last && last.rows.length >= 2)
    return <FlyReplay key={last.flight.at} last={last} set={set} onClose={() => useFly.setState({ last: null })} />;
  const open = async (file: File) => {
    const read = await readOwnFile(file, KeptFlightOfAnyVersion, MOST_BYTES);
    if (typeof read === "string") toast(read);
    else look(read);
  };
  return (
    <div className="min-h-0 overflow-auto px-5 py-3" tabIndex={0} role="region" aria-label="Flights">
      <p>
        <FileButton
          label="Import a recording"
          fileLabel="Recording file"
          accept="application/json,.json"
          onChoose={(file) => void open(file)}
        />
      </p>
      {flights.length === 0 && (
        <p className="mt-2 text-ink2">None is kept in this browser yet. “Fly it” is beside this tab.</p>
      )}
      <ul className="mt-2">
        {flights.map((flight) => (
          <li key={flight.at} className="flex items-center gap-3 border-b border-rule py-1">
            <span className="min-w-0 flex-1">
              <span className="num text-ink2">{flight.at.slice(0, 16).replace("T", " ")}</span> {flight.words}
            </span>
            <button type="button" className="btn btn-quiet py-0" onClick={() => look(flight)}>
              Look at it
            </button>
            <button
              type="button"
              className="btn btn-quiet py-0"
              aria-label={`Forget the flight of ${flight.at.slice(0, 16).replace("T", " ")}`}
              onClick={() => forget(flight.at)}
            >
              ×
            </button>
          </li>
        ))}
      </ul>
    </div>
  );
}
