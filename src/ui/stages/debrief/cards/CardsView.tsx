"use client";
import { Download, Plus } from "lucide-react";
import { useEffect, useState } from "react";
import { TestCardOfAnyVersion } from "@/core/series/test-card-versions";
import { download, fileName } from "@/ui/kit/download";
import { FileButton } from "@/ui/kit/forms/FileButton";
import { Segments } from "@/ui/kit/forms/Segments";
import { useFormat } from "@/ui/kit/units/units-store";
import { OwnActions } from "@/ui/library/own/OwnActions";
import { newOwnId } from "@/ui/library/own/own-documents-store";
import { readOwnFile } from "@/ui/library/own/read-own-file";
import { toast } from "sonner";
import { loadLogs, useLogs } from "../logs-store";
import { CardEditor } from "./CardEditor";
import { CardMarking } from "./CardMarking";
import { NewCard } from "./NewCard";
import { SeriesChart } from "./SeriesChart";
import { SeriesTable } from "./SeriesTable";
import { type CardMode, fillFrom, openCard, useCardLook, useCards } from "./cards-store";
import { seriesCsv } from "./series-csv";
import { useSeries } from "./useSeries";

const MODES: readonly (readonly [CardMode, string])[] = [
  ["result", "Runs"],
  ["plan", "Plan"],
  ["mark", "Mark"],
];

/** Test cards: planned, marked in flight, filled from logs, beside their prediction. */
export function CardsView() {
  const { own, draft, saved, past, future } = useCards();
  const { load, undo, redo, save, remove, edit } = useCards.getState();
  const mode = useCardLook((state) => state.mode);
  const logs = useLogs((state) => state.logs);
  const [making, setMaking] = useState(false);
  const result = useSeries(draft);
  const format = useFormat();
  useEffect(() => {
    void load();
    if (useLogs.getState().logs === null) void loadLogs();
  }, [load]);
  useEffect(() => {
    if (own && !useCards.getState().draft) openCard(null);
  }, [own]);

  const take = async (file: File) => {
    const read = await readOwnFile(file, TestCardOfAnyVersion);
    if (typeof read === "string") return void toast(read);
    edit({ ...read, id: newOwnId() }, null);
  };
  if (own === null) return <p className="p-5 text-ink2">Fetching …</p>;
  const unsaved = draft !== null && JSON.stringify(saved?.document) !== JSON.stringify(draft);
  return (
    <div className="grid min-h-0 min-w-0 grid-cols-[minmax(0,1fr)] grid-rows-[auto_minmax(0,1fr)]">
      <div className="flex flex-wrap items-center gap-x-2 gap-y-1 border-b border-rule px-4 py-1.5">
        <label>
          <span className="sr-only">Card</span>
          <select
            className="field w-48"
            value={draft?.id ?? ""}
            onChange={(event) => openCard(event.currentTarget.value)}
          >
            {draft && !own.some(({ id }) => id === draft.id) && <option value={draft.id}>{draft.name} (new)</option>}
            {own.map(({ id, document }) => (
              <option key={id} value={id}>
                {document.name}, {document.aircraft.name}
              </option>
            ))}
            {own.length === 0 && !draft && <option value="">none yet</option>}
          </select>
        </label>
        <button
          type="button"
          className="btn btn-quiet px-2"
          aria-label="A new card"
          aria-expanded={making}
          onClick={() => setMaking(!making)}
        >
          <Plus size={17} aria-hidden="true" />
        </button>
        {draft && (
          <>
            <Segments
              label="How the card is looked at"
              value={mode}
              parts={MODES}
              onChange={(value) => useCardLook.setState({ mode: value })}
            />
            <OwnActions
              noun="test card"
              undoable={past.length > 0}
              redoable={future.length > 0}
              unsaved={unsaved}
              stored={saved !== null}
              onUndo={undo}
              onRedo={redo}
              onExport={() =>
                download(`test-card-${fileName(draft.name)}.json`, "application/json", JSON.stringify(draft, null, 2))
              }
              onRemove={() => void remove().then(() => openCard(null))}
              onSave={() => void save()}
            />
          </>
        )}
      </div>
      {making || !draft ? (
        <NewCard onDone={() => setMaking(false)}>
          <FileButton label="From a file" fileLabel="Test card" accept=".json" onChoose={(file) => void take(file)} />
        </NewCard>
      ) : mode === "plan" ? (
        <CardEditor
          card={draft}
          result={result?.ok ? result.value : null}
          issue={result && !result.ok ? result.issue.message : null}
        />
      ) : mode === "mark" ? (
        <CardMarking card={draft} stored={saved !== null} onSave={() => void save()} />
      ) : !result?.ok ? (
        <p role="alert" className="p-5 text-brick">
          {result?.issue.message}
        </p>
      ) : (
        <div className="grid min-h-0 grid-cols-[minmax(0,1fr)] grid-rows-[minmax(0,1.25fr)_minmax(0,1fr)]">
          <SeriesChart card={draft} result={result.value} table={<SeriesTable card={draft} result={result.value} />} />
          <div className="min-h-0 overflow-auto border-t border-rule" tabIndex={0} role="region" aria-label="Runs">
            <div className="flex items-center gap-2 px-4 py-1.5">
              <label className="flex items-center gap-2 text-[14px]">
                <span className="text-ink2">Runs from</span>
                <select
                  className="field w-auto max-w-64 py-0.5"
                  value=""
                  onChange={(event) => {
                    const { value } = event.currentTarget;
                    if (value) void fillFrom(value);
                  }}
                >
                  <option value="">a log …</option>
                  {logs?.map(({ id, name }) => (
                    <option key={id} value={id}>
                      {name}
                    </option>
                  ))}
                </select>
              </label>
              <button
                type="button"
                className="btn btn-quiet ml-auto py-0.5"
                disabled={draft.runs.length === 0}
                onClick={() =>
                  download(`${fileName(draft.name)}.csv`, "text/csv", seriesCsv(draft, result.value, format))
                }
              >
                <Download size={14} aria-hidden="true" /> CSV
              </button>
            </div>
            {draft.runs.length === 0 ? (
              <p className="px-4 pb-3 text-ink2">
                No run yet. Print the card, fly it, mark it in flight if you like, then choose its log: what is found
                with the engine idle or off is filled in.
              </p>
            ) : (
              <SeriesTable card={draft} result={result.value} />
            )}
          </div>
        </div>
      )}
    </div>
  );
}
