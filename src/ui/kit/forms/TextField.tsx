"use client";

/** A line of text. */
export function TextField({
  label,
  value,
  onChange,
  fault,
  bare = false,
}: {
  label: string;
  value: string;
  onChange: (value: string) => void;
  fault: string | null;
  /** The label is read out and not seen: a heading says the same. */
  bare?: boolean;
}) {
  return (
    <label className="block text-sm text-ink2">
      <span className={bare ? "sr-only" : undefined}>{label}</span>
      <input
        className="field mt-0.5 text-[15px]"
        value={value}
        aria-invalid={fault ? true : undefined}
        onChange={(event) => onChange(event.currentTarget.value)}
      />
      {fault && (
        <span role="alert" className="text-brick">
          {fault}
        </span>
      )}
    </label>
  );
}
