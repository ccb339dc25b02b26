"use client";
import { Copy, Download, Plus, Trash2 } from "lucide-react";
import { FileButton } from "@/ui/kit/forms/FileButton";
import { useState } from "react";
import { toast } from "sonner";
import { fetchAllAircraft, useLibraryAircraft } from "@/ui/library/library-aircraft";
import { useWorkspace } from "@/ui/library/workspace";
import { useSituation } from "@/ui/situation/situation-store";
import { NEW_ID, useDrafts } from "@/ui/library/aircraft-drafts";
import { flyAircraft, useAircraftActions } from "@/ui/situation/useAircraftActions";
import { useEditedAircraft } from "./useEdited";

/** The library's aircraft and one's own: choose, create, copy, delete, export, import. */
export function AircraftList() {
  const aircraft = useLibraryAircraft();
  const currentId = useSituation((state) => state.current.aircraftId);
  const drafts = useDrafts((state) => state.drafts);
  const drop = useDrafts((state) => state.drop);
  const { moreAircraft } = useWorkspace().library;
  const [fetching, setFetching] = useState(false);
  const [all, setAll] = useState(false);
  const showAll = async () => {
    setFetching(true);
    const answer = await fetchAllAircraft();
    setFetching(false);
    setAll(answer.ok);
    if (!answer.ok) toast(answer.issues.map((issue) => issue.message).join(" "));
  };
  const actions = useAircraftActions();
  const edited = useEditedAircraft();
  const choose = (id: string) => {
    const chosen = aircraft.find((candidate) => candidate.id === id);
    if (chosen) flyAircraft(chosen.id, chosen.document);
  };
  return (
    <section aria-label="Aircraft" className="flex min-h-0 flex-col">
      <div className="flex flex-wrap gap-1.5 px-4 py-2 [&_.btn]:px-2 [&_.btn]:py-0.5 [&_.btn]:text-[13px]">
        <button
          type="button"
          className="btn btn-quiet"
          disabled={drafts[NEW_ID] !== undefined}
          onClick={actions.create}
        >
          <Plus size={14} aria-hidden="true" /> New
        </button>
        <button
          type="button"
          className="btn btn-quiet"
          onClick={() => void actions.copy(edited.document)}
          disabled={edited.faults.length > 0}
        >
          <Copy size={14} aria-hidden="true" /> Copy
        </button>
        <button type="button" className="btn btn-quiet" onClick={() => actions.export(edited.document)}>
          <Download size={14} aria-hidden="true" /> Export
        </button>
        <FileButton
          label="Import"
          fileLabel="Aircraft file"
          accept="application/json,.json"
          onChoose={(chosen) => void actions.importFile(chosen)}
        />
      </div>
      <ul className="min-h-0 overflow-auto border-t border-rule text-[14px]">
        {drafts[NEW_ID] && (
          <li className="flex items-center border-b border-rule border-l-4 border-l-harbour bg-mark">
            <span className="min-w-0 flex-1 truncate px-3 py-1 font-semibold">
              {drafts[NEW_ID].name} <span className="font-normal text-ochre">not saved</span>
            </span>
            <button
              type="button"
              className="rounded p-1.5 hover:bg-sheet"
              aria-label={`Discard ${drafts[NEW_ID].name}`}
              onClick={() => drop(NEW_ID)}
            >
              <Trash2 size={15} aria-hidden="true" />
            </button>
          </li>
        )}
        {aircraft.map(({ id, shared, document }) => {
          const current = id === currentId && !drafts[NEW_ID];
          return (
            <li
              key={id}
              className={`flex items-center border-b border-rule border-l-4 ${current ? "border-l-harbour bg-mark" : "border-l-transparent"}`}
            >
              <button
                type="button"
                disabled={drafts[NEW_ID] !== undefined}
                aria-current={current ? "true" : undefined}
                className="min-w-0 flex-1 px-3 py-1 text-left enabled:hover:bg-mark disabled:text-ink2"
                onClick={() => choose(id)}
              >
                <span className="block truncate font-semibold">
                  {document.name}
                  {drafts[id] && <span className="font-normal text-ochre"> changed</span>}
                </span>
                <span className="block truncate text-[13px] text-ink2">
                  {document.category}, {shared ? "library" : "yours"}
                </span>
              </button>
              {!shared && (
                <button
                  type="button"
                  className="rounded p-1.5 hover:bg-sheet disabled:opacity-40"
                  disabled={id === currentId}
                  aria-label={`Delete ${document.name}`}
                  onClick={() => void actions.remove(id, document.name)}
                >
                  <Trash2 size={15} aria-hidden="true" />
                </button>
              )}
            </li>
          );
        })}
        {moreAircraft && !all && (
          <li className="px-3 py-1.5">
            <button type="button" className="btn btn-quiet" disabled={fetching} onClick={() => void showAll()}>
              {fetching ? "Fetching …" : "Show all of mine"}
            </button>
          </li>
        )}
      </ul>
    </section>
  );
}
