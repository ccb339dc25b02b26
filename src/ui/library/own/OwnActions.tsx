"use client";
import { Download, Redo2, Trash2, Undo2 } from "lucide-react";
import { useState } from "react";

interface Props {
  /** What it is, in words. */
  noun: string;
  undoable: boolean;
  redoable: boolean;
  unsaved: boolean;
  /** It was saved once, and can be deleted. */
  stored: boolean;
  onUndo: () => void;
  onRedo: () => void;
  onExport: () => void;
  onRemove: () => void;
  onSave: () => void;
  /** Left out where there is nothing to go back to. */
  onClose?: () => void;
  children?: React.ReactNode;
}

/** What is done with a document that is edited. */
export function OwnActions(props: Props) {
  const { noun, undoable, redoable, unsaved, stored, children } = props;
  // What is not saved goes when it is closed: that is asked once more.
  const [sure, setSure] = useState(false);
  return (
    <span className="ml-auto flex gap-2">
      <button type="button" className="btn btn-quiet" aria-label="Undo" disabled={!undoable} onClick={props.onUndo}>
        <Undo2 size={15} aria-hidden="true" />
      </button>
      <button type="button" className="btn btn-quiet" aria-label="Redo" disabled={!redoable} onClick={props.onRedo}>
        <Redo2 size={15} aria-hidden="true" />
      </button>
      {children}
      <button type="button" className="btn btn-quiet" aria-label="Export JSON" onClick={props.onExport}>
        <Download size={15} aria-hidden="true" />
      </button>
      {stored && (
        <button type="button" className="btn btn-quiet" aria-label={`Delete the ${noun}`} onClick={props.onRemove}>
          <Trash2 size={15} aria-hidden="true" />
        </button>
      )}
      <button type="button" className="btn" disabled={!unsaved} onClick={props.onSave}>
        {unsaved ? "Save" : "Saved"}
      </button>
      {props.onClose && (
        <button
          type="button"
          className="btn btn-quiet"
          onBlur={() => setSure(false)}
          onClick={() => (unsaved && !sure ? setSure(true) : props.onClose?.())}
        >
          {unsaved && sure ? "Close unsaved?" : "Close"}
        </button>
      )}
    </span>
  );
}
