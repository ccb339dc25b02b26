"use client";
import { giveUp, useDebrief } from "./debrief-store";

/** In place of a flight while it is read, and while there is none. */
export function NoFlight({ onChoose }: { readonly onChoose: () => void }) {
  const open = useDebrief((state) => state.open);
  const progress = useDebrief((state) => state.progress);
  if (progress !== null)
    return (
      <div className="flex flex-col items-start gap-3 p-5">
        <p role="status">
          Reading{open ? ` ${open.log.name}` : ""}: {Math.round(progress * 100)} %
        </p>
        <progress className="w-64" max={1} value={progress} aria-label="Reading" />
        <button type="button" className="btn btn-quiet" onClick={giveUp}>
          Give up
        </button>
      </div>
    );
  return (
    <div className="flex flex-col items-start gap-3 p-5">
      <p className="max-w-prose text-ink2">
        Add a log, or drop a file on this page. IGC, GPX 1.1, NMEA 0183 and tables (CSV) of any columns are read; engine
        stops, turns, glides and landings are found and measured, each with its bound.
      </p>
      <button type="button" className="btn" onClick={onChoose}>
        Kept logs
      </button>
    </div>
  );
}
