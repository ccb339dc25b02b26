"use client";
import { type QuantityKind, UNITS, fromSi, toSi, unitOf } from "@/core/quantities/units";
import { useUnits } from "@/ui/kit/units/units-store";
import { NumberField } from "./NumberField";
import type { Check } from "./fault";

interface Props {
  label: string;
  kind: QuantityKind;
  /** SI. */
  value: number | null;
  check: Check;
  onChange: (value: number) => void;
  /** Called when the field is emptied; without it a number is needed. */
  onClear?: () => void;
  /** Decimals when the kind's own are too few. */
  digits?: number;
  step?: number;
  hint?: string;
  autoFocus?: boolean;
  bare?: boolean;
}

/** A quantity in the user's unit; SI towards the situation. */
export function QuantityField({ kind, value, check, onChange, digits, step, ...rest }: Props) {
  const name = useUnits((state) => state.units[kind]);
  const choose = useUnits((state) => state.choose);
  const names = Object.keys(UNITS[kind]);
  const unit = unitOf(kind, name);
  return (
    <NumberField
      {...rest}
      // Another unit is another number: what was half typed in the old one is dropped.
      key={name}
      value={value === null ? null : fromSi(kind, name, value)}
      unit={unit.label}
      onUnit={() => choose(kind, names[(names.indexOf(name) + 1) % names.length])}
      digits={digits ?? unit.digits}
      step={step ?? unit.step ?? 10 ** -unit.digits}
      check={(shown) => check(toSi(kind, name, shown))}
      onChange={(shown) => onChange(toSi(kind, name, shown))}
    />
  );
}
