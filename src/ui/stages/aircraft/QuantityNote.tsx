"use client";
import { calibrated_mps, indicated_mps } from "@/core/aircraft/airspeed-calibration";
import type { QuantityKind } from "@/core/quantities/units";
import { QuantityField } from "@/ui/kit/forms/QuantityField";
import { noteAt } from "./notes";
import type { AircraftDocument } from "@/core/aircraft/aircraft-document";
import type { EditedOf } from "./useEdited";

interface Props {
  edited: Pick<EditedOf<AircraftDocument>, "faults" | "doubts" | "document">;
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

/**
 * A quantity of the handbook: its meaning below it, or what is wrong with it. With a table of the airspeed indicator
 * speeds are shown and typed as the book prints them, indicated; the document has them calibrated.
 */
export function QuantityNote({ edited, path, hint, kind, value, onChange, ...rest }: Props) {
  const note = noteAt(edited, path);
  const table = kind === "speed" ? edited.document.airspeedCalibration : null;
  return (
    <div className={note ? "border-l-4 border-ochre pl-2" : ""}>
      <QuantityField
        {...rest}
        kind={kind}
        value={value === null ? null : table ? indicated_mps(table, value) : value}
        onChange={(typed) => onChange(table ? calibrated_mps(table, typed) : typed)}
        step={1}
        digits={kind === "speed" ? 1 : undefined}
        check={anyPositive}
        hint={note ?? (table ? `${hint}; indicated` : hint)}
      />
    </div>
  );
}
