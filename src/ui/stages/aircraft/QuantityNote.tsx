"use client";
import type { QuantityKind } from "@/core/quantities/units";
import { QuantityField } from "@/ui/kit/forms/QuantityField";
import { noteAt } from "./notes";
import type { Edited } from "./useEdited";

interface Props {
  edited: Edited;
  label: string;
  path: string;
  kind: QuantityKind;
  value: number | null;
  hint: string;
  onChange: (value: number) => void;
  onClear?: () => void;
}

/** Any number goes in while it is typed; what it makes of the whole document is said beside the field. */
const anyPositive = (value: number) => (value > 0 ? null : "More than 0.");

/** A quantity of the handbook: its meaning below it, or what is wrong with it. */
export function QuantityNote({ edited, path, hint, kind, ...rest }: Props) {
  const note = noteAt(edited, path);
  return (
    <div className={note ? "border-l-4 border-ochre pl-2" : ""}>
      <QuantityField
        {...rest}
        kind={kind}
        step={1}
        digits={kind === "speed" ? 1 : undefined}
        check={anyPositive}
        hint={note ?? hint}
      />
    </div>
  );
}
