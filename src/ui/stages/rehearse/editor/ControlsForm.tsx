"use client";
import { useState } from "react";
import type { Control, Procedure } from "@/core/procedure/procedure";
import { CheckField } from "@/ui/kit/forms/CheckField";
import { TextField } from "@/ui/kit/forms/TextField";
import { withControl } from "./edit-steps";

/** Positions as they are typed, apart by commas. */
const listed = (text: string) =>
  text
    .split(",")
    .map((part) => part.trim().slice(0, 20))
    .filter((part) => part !== "")
    .slice(0, 8);

const idOf = (procedure: Procedure) => {
  const taken = new Set(procedure.controls.map(({ id }) => id));
  // One more than there are is free at the latest.
  const ids = Array.from({ length: procedure.controls.length + 1 }, (_, i) => `control-${i + 1}`);
  return ids.find((id) => !taken.has(id)) ?? ids[0];
};

/** What can be set in a procedure: names, positions, and which of them cannot be taken back. */
export function ControlsForm({ procedure, onChange }: { procedure: Procedure; onChange: (next: Procedure) => void }) {
  const put = (at: number, control: Control) => onChange(withControl(procedure, at, control));
  return (
    <details className="mt-4 border-t border-rule pt-2">
      <summary className="cursor-pointer font-semibold">Controls</summary>
      {procedure.controls.map((control, i) => (
        <fieldset key={control.id} className="mt-2 grid gap-1 border-b border-rule pb-2">
          <TextField
            label="Name"
            value={control.name}
            fault={control.name.trim() === "" ? "A name is needed." : null}
            onChange={(name) => put(i, { ...control, name: name.slice(0, 30) })}
          />
          <ListField
            label="Positions, the first as it stands"
            values={control.positions}
            fault={control.positions.length < 2 ? "At least two, apart by commas." : null}
            onChange={(positions) => put(i, { ...control, positions })}
          />
          <ListField
            label="Of these, not to be taken back"
            values={control.final}
            fault={null}
            onChange={(final) => put(i, { ...control, final })}
          />
          <CheckField
            label="One for each engine"
            checked={control.perEngine}
            onChange={(perEngine) => put(i, { ...control, perEngine })}
          />
        </fieldset>
      ))}
      <button
        type="button"
        className="btn btn-quiet mt-2"
        disabled={procedure.controls.length >= 24}
        onClick={() =>
          put(procedure.controls.length, {
            id: idOf(procedure),
            name: "New control",
            perEngine: false,
            drawn: "switch",
            positions: ["off", "on"],
            final: [],
          })
        }
      >
        Another control
      </button>
    </details>
  );
}

interface ListProps {
  label: string;
  values: readonly string[];
  fault: string | null;
  onChange: (values: string[]) => void;
}

/** Words apart by commas. What is typed stays as it is typed for as long as it means what stands there. */
function ListField({ label, values, fault, onChange }: ListProps) {
  const [typed, setTyped] = useState(() => values.join(", "));
  const meant = listed(typed).join() === values.join();
  return (
    <TextField
      label={label}
      value={meant ? typed : values.join(", ")}
      fault={fault}
      onChange={(text) => {
        setTyped(text);
        onChange(listed(text));
      }}
    />
  );
}
