"use client";
import { degrees, radians } from "@/core/quantities/angle";
import { NumberField } from "./NumberField";
import type { Check } from "./fault";

interface Props {
  label: string;
  /** Radians. */
  value: number | null;
  check: Check;
  onChange: (value: number) => void;
  step?: number;
  hint?: string;
  autoFocus?: boolean;
}

/** An angle or direction in degrees. */
export function AngleField({ value, check, onChange, step = 5, ...rest }: Props) {
  return (
    <NumberField
      {...rest}
      value={value === null ? null : degrees(value)}
      unit="°"
      digits={0}
      step={step}
      check={(shown) => check(radians(shown))}
      onChange={(shown) => onChange(radians(shown))}
    />
  );
}
