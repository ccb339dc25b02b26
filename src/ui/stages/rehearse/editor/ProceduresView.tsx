"use client";
import { ClipboardPaste, Copy } from "lucide-react";
import { useState } from "react";
import { toast } from "sonner";
import { WRITTEN } from "@/core/procedure/library/procedures";
import { type AircraftCategory, type Procedure, Procedure as ProcedureSchema } from "@/core/procedure/procedure";
import { formatNumber } from "@/core/quantities/units";
import { FileButton } from "@/ui/kit/forms/FileButton";
import { readOwnFile } from "@/ui/library/own/read-own-file";
import { PasteChecklist } from "./PasteChecklist";
import { ProcedureEditor } from "./ProcedureEditor";
import { newOwnId } from "@/ui/library/own/own-documents-store";
import { useProcedures } from "@/ui/library/own/own-documents";

interface Props {
  category: AircraftCategory;
  /** What is edited is sound and can be flown. */
  sound: boolean;
  onRun: (id: string) => void;
}

/** Procedures that fit: those that ship, to be copied, and one's own, to be changed. */
export function ProceduresView({ category, sound, onRun }: Props) {
  const { own, draft } = useProcedures();
  const { edit } = useProcedures.getState();
  const [pasting, setPasting] = useState(false);
  if (draft) return <ProcedureEditor key={draft.id} draft={draft} sound={sound} onRun={() => onRun(draft.id)} />;
  if (pasting)
    return (
      <PasteChecklist
        fits={[category]}
        newId={newOwnId}
        onCancel={() => setPasting(false)}
        onTake={(procedure) => {
          setPasting(false);
          edit(procedure, null);
        }}
      />
    );
  const copy = (procedure: Procedure) =>
    edit({ ...procedure, id: newOwnId(), name: `${procedure.name}, mine`.slice(0, 60), madeFrom: procedure.id }, null);
  const open = async (file: File) => {
    const read = await readOwnFile(file, ProcedureSchema);
    if (typeof read === "string") return void toast(read);
    edit({ ...read, id: newOwnId() }, null);
  };
  return (
    <div className="min-h-0 overflow-auto px-5 py-3" tabIndex={0} role="region" aria-label="Procedures">
      <p className="flex gap-2">
        <button type="button" className="btn btn-quiet" onClick={() => setPasting(true)}>
          <ClipboardPaste size={15} aria-hidden="true" /> Paste a checklist
        </button>
        <FileButton
          label="Import JSON"
          fileLabel="Procedure file"
          accept="application/json,.json"
          onChoose={(file) => void open(file)}
        />
      </p>
      <h2 className="mt-3 font-bold">My own</h2>
      {own === null && <p className="text-ink2">Fetching …</p>}
      {own?.length === 0 && (
        <p className="text-ink2">None yet: copy one below, or paste the checklist of your operator.</p>
      )}
      <ul>
        {own?.map((stored) => (
          <li key={stored.id} className="flex items-center gap-3 border-b border-rule py-1">
            <span className="min-w-0 flex-1">
              {stored.document.name}
              <span className="text-ink2"> {formatNumber(stored.document.steps.length)} steps</span>
            </span>
            <button type="button" className="btn btn-quiet py-0" onClick={() => edit(stored.document, stored)}>
              Change
            </button>
          </li>
        ))}
      </ul>
      <h2 className="mt-4 font-bold">That ship</h2>
      <ul>
        {WRITTEN.filter(({ fits }) => fits.includes(category)).map((procedure) => (
          <li key={procedure.id} className="flex items-center gap-3 border-b border-rule py-1">
            <span className="min-w-0 flex-1">
              {procedure.name}
              <span className="text-ink2"> {formatNumber(procedure.steps.length)} steps</span>
            </span>
            <button
              type="button"
              className="btn btn-quiet py-0"
              aria-label={`Copy ${procedure.name}`}
              onClick={() => copy(procedure)}
            >
              <Copy size={14} aria-hidden="true" /> Copy
            </button>
          </li>
        ))}
      </ul>
    </div>
  );
}
