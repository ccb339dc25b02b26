"use client";
import { X } from "lucide-react";
import type { EntrySource, LogbookEntry } from "@/core/logbook/logbook-entry";
import { flightWords, runWords, useOwnFlown } from "../useOwnFlown";

/** What it came from: drills, flights by hand, logs; one entry may tell of several. */
export function EntrySources({ draft, set }: { draft: LogbookEntry; set: (part: Partial<LogbookEntry>) => void }) {
  const { runs, flights, logs } = useOwnFlown();
  const known = new Set(draft.sources.map(({ id }) => id));
  const all: EntrySource[] = [
    ...runs.map((run) => ({ kind: "run" as const, id: run.id, name: runWords(run) })),
    ...flights.map((flight) => ({ kind: "flight" as const, id: flight.id, name: flightWords(flight).slice(0, 120) })),
    ...logs.map(({ id, name: called }) => ({ kind: "log" as const, id, name: called })),
  ].filter(({ id }) => !known.has(id));
  return (
    <section className="max-w-3xl" aria-label="Came from">
      <h3 className="font-bold">Came from</h3>
      <ul>
        {draft.sources.map(({ id, kind, name: called }) => (
          <li key={id} className="flex items-center gap-2">
            {SOURCE_WORDS[kind]}: {called}
            <button
              type="button"
              className="btn btn-quiet px-2 py-0"
              aria-label={`Take ${called} out`}
              onClick={() => set({ sources: draft.sources.filter((one) => one.id !== id) })}
            >
              <X size={14} aria-hidden="true" />
            </button>
          </li>
        ))}
      </ul>
      {draft.sources.length < 6 && all.length > 0 && (
        <select
          className="field mt-1 w-80"
          aria-label="Add a source"
          value=""
          onChange={(event) => {
            const one = all.find(({ id }) => id === event.currentTarget.value);
            if (one) set({ sources: [...draft.sources, one] });
          }}
        >
          <option value="">add one …</option>
          {all.map(({ id, kind, name: called }) => (
            <option key={id} value={id}>
              {SOURCE_WORDS[kind]}: {called}
            </option>
          ))}
        </select>
      )}
    </section>
  );
}

const SOURCE_WORDS: Record<EntrySource["kind"], string> = { run: "drill", flight: "by hand", log: "log", card: "card" };
