"use client";
import { useState } from "react";
import { useCrew } from "./crew-store";

/** A note at this moment. */
export function NoteForm() {
  const { act } = useCrew.getState();
  const [note, setNote] = useState("");
  return (
    <form
      className="flex min-w-56 flex-1 items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (note.trim() !== "") void act({ kind: "note", text: note.trim() }).then(() => setNote(""));
      }}
    >
      <label className="min-w-0 flex-1">
        <span className="mb-0.5 block text-sm text-ink2">Note at this moment</span>
        <input
          className="field w-full"
          maxLength={200}
          value={note}
          onChange={(event) => setNote(event.currentTarget.value)}
        />
      </label>
      <button type="submit" className="btn" disabled={note.trim() === ""}>
        Note
      </button>
      <button type="button" className="btn" onClick={() => void act({ kind: "note", text: "Mark" })}>
        Mark
      </button>
    </form>
  );
}
