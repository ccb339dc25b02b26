"use client";
import { Redo2, Undo2 } from "lucide-react";
import { useState } from "react";
import {
  type StopByHand,
  addedStop,
  asSaid,
  movedStop,
  namedStop,
  splitStop,
  withoutStop,
} from "@/core/track/events/stops-by-hand";
import type { KeptLog } from "@/core/track/kept-log";
import { TextField } from "@/ui/kit/forms/TextField";
import type { DebriefedLog } from "@/workers/track.worker";
import { changeStops, redoStops, undoStops, useDebrief } from "./debrief-store";
import { momentWords } from "./debrief-words";

interface Props {
  readonly log: KeptLog;
  readonly found: DebriefedLog;
}

/** Engine stops as the pilot says they were, at the moment that is pointed at; each change can be taken back. */
export function StopEditor({ log, found }: Props) {
  const looked = useDebrief((state) => state.looked);
  const cursor_s = useDebrief((state) => state.cursor_s);
  const past = useDebrief((state) => state.past);
  const future = useDebrief((state) => state.future);
  const failures = found.flights.flatMap((flight) => flight.failures);
  const stops = asSaid(failures);
  const moment = momentWords(cursor_s, found.summary.begins_s);
  const flies = found.flights.some(({ begins_s, ends_s }) => cursor_s >= begins_s && cursor_s < ends_s);
  return (
    <section
      className="flex flex-col gap-2 border-t border-rule px-4 py-2 text-[14px]"
      aria-label="Engine stops, by hand"
    >
      <h2 className="flex items-center gap-1 font-bold">
        <span className="mr-auto">{log.stops ? "Engine stops, as you say" : "Engine stops, as found"}</span>
        <button
          type="button"
          className="btn btn-quiet px-1.5 py-0.5"
          disabled={past.length === 0}
          onClick={undoStops}
          aria-label="Undo the last change of the engine stops"
        >
          <Undo2 size={16} aria-hidden="true" />
        </button>
        <button
          type="button"
          className="btn btn-quiet px-1.5 py-0.5"
          disabled={future.length === 0}
          onClick={redoStops}
          aria-label="Redo the change of the engine stops"
        >
          <Redo2 size={16} aria-hidden="true" />
        </button>
      </h2>
      {looked !== null && stops[looked] && (
        <>
          <NameForm
            key={`${looked} ${stops[looked].name}`}
            name={stops[looked].name ?? ""}
            onName={(name) => {
              const next = namedStop(stops, looked, name);
              if (next) changeStops(next);
            }}
          />
          <p className="flex flex-wrap gap-1.5">
            <Choice words="Begins" at={moment} next={flies ? movedStop(stops, looked, cursor_s) : null} />
            <Choice words="Split" at={moment} next={flies ? splitStop(stops, looked, cursor_s) : null} />
            <Choice words="It was none" next={withoutStop(stops, looked)} />
          </p>
        </>
      )}
      <p className="flex flex-wrap gap-1.5">
        <Choice words="Engine stopped" at={moment} next={flies ? addedStop(stops, cursor_s) : null} />
        {log.stops && (
          <button type="button" className="btn btn-quiet px-2 py-0.5" onClick={() => changeStops(null)}>
            As found
          </button>
        )}
      </p>
    </section>
  );
}

/** What the pilot calls a stop. */
function NameForm({ name, onName }: { name: string; onName: (name: string) => void }) {
  const [draft, setDraft] = useState(name);
  return (
    <form
      className="flex items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        onName(draft);
      }}
    >
      <div className="flex-1">
        <TextField label="Name of this stop" value={draft} onChange={setDraft} fault={null} />
      </div>
      <button type="submit" className="btn btn-quiet px-2 py-1" disabled={draft.trim() === name}>
        Name it
      </button>
    </form>
  );
}

/** A change at the moment that is pointed at; it cannot be made where there is none. */
function Choice({ words, at, next }: { words: string; at?: string; next: StopByHand[] | null }) {
  return (
    <button
      type="button"
      className="btn btn-quiet px-2 py-0.5"
      disabled={next === null}
      onClick={() => next && changeStops(next)}
    >
      {words}
      {at && (
        <>
          {" at "}
          <span className="num">{at}</span>
        </>
      )}
    </button>
  );
}
