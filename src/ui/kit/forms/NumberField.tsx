"use client";
import { type KeyboardEvent, useId, useState } from "react";
import { formatNumber } from "@/core/quantities/units";
import type { Check } from "./fault";
import { nextStep, parseNumber } from "./parse-number";

interface Props {
  label: string;
  /** Shown value, in `unit`. */
  value: number | null;
  unit: string;
  digits: number;
  /** What one press of an arrow key adds; ten times that with Shift. */
  step: number;
  check: Check;
  onChange: (value: number) => void;
  /** Called when the field is emptied; without it a number is needed. */
  onClear?: () => void;
  /** Another unit, when its label is pressed. */
  onUnit?: () => void;
  hint?: string;
  autoFocus?: boolean;
  /** The label is read out and not seen: a heading says the same. */
  bare?: boolean;
}

/**
 * A number with its unit. What is valid takes effect while it is typed; what is not is explained and changes nothing.
 */
export function NumberField({
  label,
  value,
  unit,
  digits,
  step,
  check,
  onChange,
  onClear,
  onUnit,
  hint,
  autoFocus,
  bare = false,
}: Props) {
  const id = useId();
  const [typed, setTyped] = useState<string | null>(null);
  const shown = typed ?? (value === null ? "" : formatNumber(value, digits));
  const number = typed === null ? null : parseNumber(typed);
  const emptied = typed === "" && onClear !== undefined;
  const fault =
    number === null || emptied
      ? null
      : Number.isFinite(number)
        ? check(number)
        : typed === ""
          ? "A number is needed here."
          : `“${typed}” is not a number.`;

  const take = (text: string) => {
    setTyped(text);
    if (text === "") onClear?.();
    const next = parseNumber(text);
    if (Number.isFinite(next) && check(next) === null) onChange(next);
  };
  const nudge = (event: KeyboardEvent) => {
    const direction = event.key === "ArrowUp" ? 1 : event.key === "ArrowDown" ? -1 : 0;
    if (direction === 0) return;
    event.preventDefault();
    const from = number !== null && Number.isFinite(number) ? number : (value ?? 0);
    take(formatNumber(nextStep(from, direction * (event.shiftKey ? 10 : 1), step), digits));
  };

  return (
    <div>
      <label htmlFor={id} className={bare ? "sr-only" : "mb-0.5 block text-sm text-ink2"}>
        {label}
      </label>
      <div className="flex items-baseline gap-1.5">
        <input
          id={id}
          className="field num w-28 text-right"
          inputMode="decimal"
          autoComplete="off"
          value={shown}
          autoFocus={autoFocus}
          onFocus={(event) => event.currentTarget.select()}
          onChange={(event) => take(event.currentTarget.value)}
          onKeyDown={nudge}
          onBlur={() => fault === null && setTyped(null)}
          aria-invalid={fault ? true : undefined}
          aria-describedby={fault ? `${id}-fault` : hint ? `${id}-hint` : undefined}
        />
        {onUnit ? (
          <button
            type="button"
            className="num text-sm text-ink2 underline decoration-dotted underline-offset-4 hover:text-ink"
            aria-label={`${label} in ${unit}: another unit`}
            onClick={onUnit}
          >
            {unit}
          </button>
        ) : (
          <span className="num text-sm text-ink2">{unit}</span>
        )}
      </div>
      {fault ? (
        <p id={`${id}-fault`} role="alert" className="mt-0.5 max-w-64 text-sm text-brick">
          {fault}
        </p>
      ) : (
        hint && (
          <p id={`${id}-hint`} className="mt-0.5 max-w-64 text-sm text-ink2">
            {hint}
          </p>
        )
      )}
    </div>
  );
}
