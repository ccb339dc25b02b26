"use client";

interface Props<T extends string> {
  /** What the row of buttons is called when it is read out. */
  label: string;
  value: T;
  /** Values with their names, in their order. */
  parts: readonly (readonly [T, string])[];
  onChange: (value: T) => void;
}

/** One of a few views of the same thing: buttons in a row, one of them pressed. */
export function Segments<T extends string>({ label, value, parts, onChange }: Props<T>) {
  return (
    <div className="flex" role="group" aria-label={label}>
      {parts.map(([one, name]) => (
        <button
          key={one}
          type="button"
          aria-pressed={value === one}
          className={`btn rounded-none border-l-0 first:rounded-l first:border-l last:rounded-r ${value === one ? "bg-mark font-semibold" : "btn-quiet"}`}
          onClick={() => onChange(one)}
        >
          {name}
        </button>
      ))}
    </div>
  );
}
