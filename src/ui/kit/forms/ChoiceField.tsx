"use client";
import { useId } from "react";

interface Props<T extends string> {
  label: string;
  value: T;
  choices: readonly { readonly value: T; readonly label: string }[];
  onChange: (value: T) => void;
  hint?: string;
  autoFocus?: boolean;
}

/** One of a few. */
export function ChoiceField<T extends string>({ label, value, choices, onChange, hint, autoFocus }: Props<T>) {
  const id = useId();
  return (
    <div>
      <label htmlFor={id} className="mb-0.5 block text-sm text-ink2">
        {label}
      </label>
      <select
        id={id}
        className="field"
        value={value}
        autoFocus={autoFocus}
        onChange={(event) => onChange(event.currentTarget.value as T)}
        aria-describedby={hint ? `${id}-hint` : undefined}
      >
        {choices.map((choice) => (
          <option key={choice.value} value={choice.value}>
            {choice.label}
          </option>
        ))}
      </select>
      {hint && (
        <p id={`${id}-hint`} className="mt-0.5 text-sm text-ink2">
          {hint}
        </p>
      )}
    </div>
  );
}
