"use client";

/** A line of text. */
export function TextField({
  label,
  value,
  onChange,
  fault,
}: {
  label: string;
  value: string;
  onChange: (value: string) => void;
  fault: string | null;
}) {
  return (
    <label className="block text-sm text-ink2">
      {label}
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
