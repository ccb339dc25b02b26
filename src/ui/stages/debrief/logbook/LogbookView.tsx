"use client";
import { Plus, Printer } from "lucide-react";
import { useEffect, useState } from "react";
import { newEntry } from "@/core/logbook/drafted-entry";
import { CheckField } from "@/ui/kit/forms/CheckField";
import { useFormat } from "@/ui/kit/units/units-store";
import { useAircraft } from "@/ui/situation/useAircraft";
import { newOwnId } from "@/ui/library/own/own-documents-store";
import { flightWords, runWords, useOwnFlown } from "../useOwnFlown";
import { EntryEditor } from "./EntryEditor";
import { EntryRead } from "./EntryRead";
import { entrySub } from "./entry-lines";
import { beginFromFlight, beginFromLog, beginFromRun, search, searchOn, useEntries, useLogbook } from "./logbook-store";
import { printReport } from "./print-report";

/** After the last key so long is waited before it is looked for, ms. */
const PAUSE_MS = 250;

/** The logbook: entries that are looked for, read, written, reported. */
export function LogbookView() {
  const draft = useEntries((state) => state.draft);
  const { words, tag, entries, found, tags, read, fault } = useLogbook();
  const [nameless, setNameless] = useState(true);
  const [beginning, setBeginning] = useState(false);
  const format = useFormat();
  useEffect(() => {
    void search();
  }, []);
  const [typed, setTyped] = useState(words);
  useEffect(() => {
    const timer = setTimeout(() => {
      if (typed !== useLogbook.getState().words) void search({ words: typed });
    }, PAUSE_MS);
    return () => clearTimeout(timer);
  }, [typed]);

  if (draft) return <EntryEditor draft={draft} />;
  const looked = entries?.find(({ id }) => id === read);
  return (
    <div className="grid min-h-0 min-w-0 grid-cols-[minmax(0,1fr)] grid-rows-[auto_minmax(0,1fr)]">
      <div className="flex flex-wrap items-center gap-2 border-b border-rule px-4 py-1.5">
        <label className="text-sm text-ink2">
          <span className="sr-only">Look for</span>
          <input
            type="search"
            className="field w-40"
            placeholder="Look for"
            maxLength={200}
            value={typed}
            onChange={(event) => setTyped(event.currentTarget.value)}
          />
        </label>
        <label className="text-sm text-ink2">
          <span className="sr-only">Tag</span>
          <select
            className="field w-32"
            value={tag ?? ""}
            onChange={(event) => void search({ tag: event.currentTarget.value || null })}
          >
            <option value="">any tag</option>
            {tags.map((one) => (
              <option key={one} value={one}>
                {one}
              </option>
            ))}
          </select>
        </label>
        <button type="button" className="btn" aria-expanded={beginning} onClick={() => setBeginning(!beginning)}>
          <Plus size={15} aria-hidden="true" /> New entry
        </button>
        <span className="ml-auto flex items-center gap-3 text-[14px]">
          <CheckField label="Names left out" checked={nameless} onChange={setNameless} />
          <button
            type="button"
            className="btn btn-quiet"
            disabled={!entries || entries.length === 0}
            onClick={() =>
              void printReport(
                looked ? [looked.document] : (entries ?? []).map(({ document }) => document),
                nameless,
                format,
              )
            }
          >
            <Printer size={15} aria-hidden="true" /> {looked ? "Report of this one" : "Report of these"}
          </button>
        </span>
      </div>
      <div className="min-h-0 overflow-auto px-5 py-3" tabIndex={0} role="region" aria-label="Logbook">
        {fault !== null && <p className="text-brick">{fault}</p>}
        {beginning && <Beginnings onDone={() => setBeginning(false)} />}
        {looked ? (
          <EntryRead entry={looked} />
        ) : entries === null ? (
          <p className="text-ink2">Fetching …</p>
        ) : entries.length === 0 ? (
          <p className="max-w-prose text-ink2">
            {words || tag
              ? "No entry holds that."
              : "No entry yet. An entry says what failed, why, what was done and what was learnt; it begins from a drill, a flight by hand, or a log."}
          </p>
        ) : (
          <>
            <p className="pb-1 text-[14px] text-ink2" role="status">
              {found} {found === 1 ? "entry" : "entries"}
            </p>
            <ul>
              {entries.map(({ id, document }) => (
                <li key={id} className="border-t border-rule py-2">
                  <button
                    type="button"
                    className="text-left text-[16px] font-bold underline-offset-4 hover:underline focus-visible:underline"
                    onClick={() => useLogbook.setState({ read: id })}
                  >
                    {document.name}
                  </button>
                  <p className="text-[14px] text-ink2">{entrySub(document)}</p>
                  {document.learnt !== "" && <p className="max-w-prose">{document.learnt}</p>}
                  {document.tags.length > 0 && <p className="text-[13px] text-ink2">{document.tags.join(", ")}</p>}
                </li>
              ))}
            </ul>
            {entries.length < found && (
              <button type="button" className="btn btn-quiet mt-2" onClick={() => void searchOn()}>
                More
              </button>
            )}
          </>
        )}
      </div>
    </div>
  );
}

/** What an entry can begin from. */
function Beginnings({ onDone }: { onDone: () => void }) {
  const { document } = useAircraft();
  const { runs, flights, logs } = useOwnFlown();
  const choice = (label: string, some: readonly { id: string; words: string }[], begin: (id: string) => void) => (
    <label className="text-sm text-ink2">
      <span className="mb-0.5 block">{label}</span>
      <select
        className="field w-64"
        value=""
        disabled={some.length === 0}
        onChange={(event) => {
          begin(event.currentTarget.value);
          onDone();
        }}
      >
        <option value="">{some.length === 0 ? "none yet" : "choose …"}</option>
        {some.map(({ id, words }) => (
          <option key={id} value={id}>
            {words}
          </option>
        ))}
      </select>
    </label>
  );
  return (
    <section className="mb-3 flex flex-wrap items-end gap-3 border-b border-rule pb-3" aria-label="Begin an entry">
      {choice(
        "From a drill",
        runs.map((run) => ({ id: run.id, words: runWords(run) })),
        (id) => {
          const run = runs.find((one) => one.id === id);
          if (run) void beginFromRun(run);
        },
      )}
      {choice(
        "From a flight by hand",
        flights.map((flight) => ({ id: flight.id, words: flightWords(flight) })),
        (id) => {
          const flight = flights.find((one) => one.id === id);
          if (flight) beginFromFlight(flight);
        },
      )}
      {choice(
        "From a log",
        logs.filter(({ summary }) => summary.failures > 0).map(({ id, name }) => ({ id, words: name })),
        (id) => void beginFromLog(id),
      )}
      <button
        type="button"
        className="btn btn-quiet"
        onClick={() => {
          useEntries
            .getState()
            .edit({ ...newEntry(newOwnId(), new Date().toISOString(), document.name), name: "" }, null);
          onDone();
        }}
      >
        From nothing
      </button>
    </section>
  );
}
