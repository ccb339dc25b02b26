"use client";
import { useState } from "react";
import { LogbookEntry } from "@/core/logbook/logbook-entry";
import { TextField } from "@/ui/kit/forms/TextField";
import { checkText } from "@/ui/kit/forms/fault";

const { at } = LogbookEntry.shape;

/** A day and a time of UTC. */
export function MomentField({ at: value, onChange }: { at: string; onChange: (at: string) => void }) {
  const [typed, setTyped] = useState<string | null>(null);
  const shown = typed ?? value.slice(0, 16).replace("T", " ");
  const read = (text: string) => `${text.trim().replace(" ", "T")}:00.000Z`;
  const fault = typed !== null && checkText(at)(read(typed)) !== null ? "YYYY-MM-DD hh:mm, UTC, 1950 to 2099." : null;
  return (
    <div onBlur={() => fault === null && setTyped(null)}>
      <TextField
        label="When, UTC"
        value={shown}
        fault={fault}
        onChange={(text) => {
          setTyped(text);
          if (checkText(at)(read(text)) === null) onChange(read(text));
        }}
      />
    </div>
  );
}

/** A few sentences. */
export function WordsField({
  label,
  value,
  check,
  onChange,
}: {
  label: string;
  value: string;
  check: (text: string) => string | null;
  onChange: (text: string) => void;
}) {
  const fault = check(value);
  return (
    <label className="col-span-full block max-w-2xl text-sm text-ink2">
      {label}
      <textarea
        className="field mt-0.5 text-[15px]"
        rows={3}
        maxLength={2000}
        value={value}
        aria-invalid={fault ? true : undefined}
        onChange={(event) => onChange(event.currentTarget.value)}
      />
      {fault && <span role="alert">{fault}</span>}
    </label>
  );
}

/** Several in one line: what is typed stays as it is until the field is left. */
export function SplitField<T>({
  label,
  value,
  read,
  onChange,
}: {
  label: string;
  value: string;
  read: (text: string) => T[];
  onChange: (some: T[]) => void;
}) {
  const [typed, setTyped] = useState<string | null>(null);
  return (
    <div className="col-span-full max-w-xl" onBlur={() => setTyped(null)}>
      <TextField
        label={label}
        value={typed ?? value}
        fault={null}
        onChange={(text) => {
          setTyped(text);
          onChange(read(text));
        }}
      />
    </div>
  );
}
