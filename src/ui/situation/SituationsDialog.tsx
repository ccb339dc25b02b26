"use client";
import { Copy, Download, Trash2 } from "lucide-react";
import { useState } from "react";
import { SituationDocument } from "@/core/situation/situation-document";
import { Panel } from "@/ui/kit/dialogs/Panel";
import { useDialogs } from "@/ui/kit/dialogs/dialogs-store";
import { useWorkspace } from "@/ui/library/workspace";
import { FileButton } from "@/ui/kit/forms/FileButton";
import { checkText } from "@/ui/kit/forms/fault";
import { useSituation } from "./situation-store";
import { downloadSituation, useSituationActions } from "./useSituationActions";
import { useSituationList } from "./useSituationList";
import { useLibraryAircraft } from "@/ui/library/library-aircraft";

const nameCheck = checkText(SituationDocument.shape.name);

/** All situations of the account: open, rename, copy, delete, import, export. */
export function SituationsDialog() {
  const { library } = useWorkspace();
  const aircraft = useLibraryAircraft();
  const { id, current } = useSituation();
  const list = useSituationList();
  const show = useDialogs((state) => state.show);
  const actions = useSituationActions();
  const [deleted, setDeleted] = useState<readonly { id: string; name: string }[]>([]);
  const open = async (situationId: string) => {
    if (situationId === id || (await actions.open(situationId))) show(null);
  };
  const remove = async (situation: { id: string; name: string }) => {
    if (await actions.mark(situation.id, true)) setDeleted((list) => [situation, ...list]);
  };
  const restore = async (situationId: string) => {
    if (await actions.mark(situationId, false)) setDeleted((list) => list.filter((entry) => entry.id !== situationId));
  };
  return (
    <Panel name="situations" title="Situations" wide>
      <NameField key={id} name={current.name} onChange={actions.rename} />
      <div className="mt-3 flex flex-wrap gap-2 border-b border-rule pb-4">
        <button type="button" className="btn btn-quiet" onClick={() => void actions.copy()}>
          <Copy size={15} aria-hidden="true" /> Copy
        </button>
        <button type="button" className="btn btn-quiet" onClick={() => downloadSituation(current, aircraft)}>
          <Download size={15} aria-hidden="true" /> Export JSON
        </button>
        <FileButton
          label="Import JSON"
          fileLabel="Situation file"
          accept="application/json,.json"
          onChoose={(chosen) => void actions.importFile(chosen, library)}
        />
      </div>
      {list.searchable && (
        <label className="mt-3 block">
          <span className="mb-0.5 block text-sm text-ink2">Find by a part of the name</span>
          <input
            className="field"
            type="search"
            maxLength={80}
            value={list.name}
            onChange={(event) => list.find(event.currentTarget.value)}
          />
        </label>
      )}
      <ul className="mt-2">
        {deleted.map((situation) => (
          <li key={situation.id} className="flex items-center gap-2 border-b border-rule px-2 py-1.5">
            <span role="status" className="min-w-0 flex-1 truncate text-ink2">
              “{situation.name}” is deleted.
            </span>
            <button type="button" className="btn btn-quiet" onClick={() => void restore(situation.id)}>
              Undo
            </button>
          </li>
        ))}
        {list.items.map((situation) => (
          <li key={situation.id} className="flex items-center gap-2 border-b border-rule py-1">
            <button
              type="button"
              className="min-w-0 flex-1 rounded px-2 py-1 text-left hover:bg-mark"
              aria-current={situation.id === id ? "true" : undefined}
              onClick={() => void open(situation.id)}
            >
              <span className="block truncate font-semibold">{situation.name}</span>
              <span className="num block text-[13px] text-ink2">
                {situation.id === id ? "open now" : `saved ${situation.updatedAt.slice(0, 16).replace("T", " ")} UTC`}
              </span>
            </button>
            <button
              type="button"
              className="rounded p-1.5 hover:bg-mark disabled:opacity-40"
              disabled={situation.id === id}
              aria-label={`Delete ${situation.name}`}
              onClick={() => void remove(situation)}
            >
              <Trash2 size={16} aria-hidden="true" />
            </button>
          </li>
        ))}
      </ul>
      {list.items.length === 0 && <p className="mt-3 text-ink2">No situation has “{list.name}” in its name.</p>}
      {list.more && (
        <button type="button" className="btn btn-quiet mt-3" disabled={list.busy} onClick={() => void list.more?.()}>
          {list.busy ? "Fetching …" : "Show more"}
        </button>
      )}
      <p className="mt-3 text-[13px] text-ink2">
        The open situation cannot be deleted; open another first. A deletion can be undone.
      </p>
    </Panel>
  );
}

function NameField({ name, onChange }: { name: string; onChange: (name: string) => void }) {
  const [typed, setTyped] = useState(name);
  const fault = nameCheck(typed);
  return (
    <label className="block">
      <span className="mb-0.5 block text-sm text-ink2">Name of the open situation</span>
      <input
        className="field"
        value={typed}
        aria-invalid={fault ? true : undefined}
        onChange={(event) => {
          setTyped(event.currentTarget.value);
          if (!nameCheck(event.currentTarget.value)) onChange(event.currentTarget.value);
        }}
      />
      {fault && (
        <span role="alert" className="text-sm text-brick">
          {fault}
        </span>
      )}
    </label>
  );
}
