"use client";
import { NumberField } from "@/ui/kit/forms/NumberField";
import { noteAt } from "./notes";
import type { Edited } from "./useEdited";

/** A drag coefficient is typed freely; what it makes of the whole is said beside it. */
const anyNumber = (value: number) => (value >= 0 ? null : "Not below 0.");

interface Props {
  edited: Edited;
  label: string;
  path: string;
  value: number | null;
  hint?: string;
  onChange: (value: number) => void;
  onClear?: () => void;
}

/** A drag coefficient. */
export function Coefficient({ edited, path, hint, ...rest }: Props) {
  return (
    <NumberField {...rest} unit="" digits={3} step={0.001} check={anyNumber} hint={noteAt(edited, path) ?? hint} />
  );
}
