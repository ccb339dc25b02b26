"use client";
import { useId, useState } from "react";
import { formatLatitude, formatLongitude } from "@/core/earth/coordinates";
import type { LatLon } from "@/core/earth/geodesic";
import { parsePosition } from "@/core/earth/parse-position";

interface Props {
  label: string;
  value: LatLon | null;
  onChange: (position: LatLon) => void;
  hint?: string;
  autoFocus?: boolean;
  /** The label is read out and not seen: a heading says the same. */
  bare?: boolean;
}

/** A position in any usual form. It takes effect while it is typed, and is shown as charts print it. */
export function PositionField({ label, value, onChange, hint, autoFocus, bare = false }: Props) {
  const id = useId();
  const [typed, setTyped] = useState<string | null>(null);
  const shown = value ? `${formatLatitude(value.latitude_deg, 3)} ${formatLongitude(value.longitude_deg, 3)}` : "";
  const read = typed === null ? null : parsePosition(typed);
  const fault = read && !read.ok ? read.issue.message : null;
  return (
    <div className="min-w-0">
      <label htmlFor={id} className={bare ? "sr-only" : "mb-0.5 block text-sm text-ink2"}>
        {label}
      </label>
      <input
        id={id}
        className="field num w-full! px-1.5 text-[13px]"
        autoComplete="off"
        spellCheck={false}
        autoFocus={autoFocus}
        value={typed ?? shown}
        onFocus={(event) => event.currentTarget.select()}
        onChange={(event) => {
          setTyped(event.currentTarget.value);
          const next = parsePosition(event.currentTarget.value);
          if (next.ok) onChange(next.value);
        }}
        onBlur={() => fault === null && setTyped(null)}
        aria-invalid={fault ? true : undefined}
        aria-describedby={fault ? `${id}-fault` : hint ? `${id}-hint` : undefined}
      />
      {fault ? (
        <p id={`${id}-fault`} role="alert" className="mt-0.5 text-sm text-brick">
          {fault}
        </p>
      ) : (
        hint && (
          <p id={`${id}-hint`} className="mt-0.5 text-sm text-ink2">
            {hint}
          </p>
        )
      )}
    </div>
  );
}
