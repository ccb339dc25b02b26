"use client";
import { Upload } from "lucide-react";
import { useRef } from "react";

interface Props {
  /** What the button says; while busy, `busyLabel`. */
  label: string;
  busyLabel?: string;
  /** What is chosen, for those who do not see the button. */
  fileLabel: string;
  accept: string;
  busy?: boolean;
  onChoose?: (file: File) => void;
  /** Several may be chosen. */
  onChooseAll?: (files: readonly File[]) => void;
}

/** A button that asks for a file. */
export function FileButton({
  label,
  busyLabel = label,
  fileLabel,
  accept,
  busy = false,
  onChoose,
  onChooseAll,
}: Props) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <button type="button" className="btn btn-quiet self-start" disabled={busy} onClick={() => input.current?.click()}>
        <Upload size={15} aria-hidden="true" /> {busy ? busyLabel : label}
      </button>
      <input
        ref={input}
        type="file"
        accept={accept}
        multiple={onChooseAll !== undefined}
        className="hidden"
        aria-label={fileLabel}
        onChange={(event) => {
          const chosen = [...(event.currentTarget.files ?? [])];
          // Cleared, so that the same file can be chosen again.
          event.currentTarget.value = "";
          if (chosen.length === 0) return;
          onChoose?.(chosen[0]);
          onChooseAll?.(chosen);
        }}
      />
    </>
  );
}
