import { Trash2 } from "lucide-react";
import type { ReactNode } from "react";

/** Some fields with a button that takes them away. */
export function FieldRow({
  name,
  onRemove,
  children,
}: {
  name: string;
  onRemove: (() => void) | undefined;
  children: ReactNode;
}) {
  return (
    <div className="col-span-full grid max-w-3xl grid-cols-[1fr_1fr_1fr_auto] items-start gap-x-4">
      {children}
      <button
        type="button"
        className="mt-6 rounded p-1.5 hover:bg-mark disabled:opacity-40"
        disabled={!onRemove}
        aria-label={`Remove ${name}`}
        onClick={onRemove}
      >
        <Trash2 size={15} aria-hidden="true" />
      </button>
    </div>
  );
}
