"use client";
import { Plus, X } from "lucide-react";
import type { ReactNode } from "react";

/** A list whose rows are added, moved and taken out. */
export function ListField<T>({
  title,
  items,
  most,
  add,
  onMove,
  onRemove,
  row,
}: {
  title: string;
  items: readonly T[];
  most: number;
  add: () => void;
  onMove: (i: number, by: number) => void;
  onRemove: (i: number) => void;
  row: (item: T, i: number) => ReactNode;
}) {
  return (
    <section className="max-w-3xl" aria-label={title}>
      <h3 className="font-bold">{title}</h3>
      <ol>
        {items.map((item, i) => (
          <li key={i} className="flex items-end gap-2 py-0.5">
            {row(item, i)}
            <button
              type="button"
              className="btn btn-quiet px-2"
              aria-label={`Move ${i + 1} up`}
              disabled={i === 0}
              onClick={() => onMove(i, -1)}
            >
              ↑
            </button>
            <button
              type="button"
              className="btn btn-quiet px-2"
              aria-label={`Take ${i + 1} out`}
              onClick={() => onRemove(i)}
            >
              <X size={14} aria-hidden="true" />
            </button>
          </li>
        ))}
      </ol>
      {items.length < most && (
        <button type="button" className="btn btn-quiet" onClick={add}>
          <Plus size={14} aria-hidden="true" /> One more
        </button>
      )}
    </section>
  );
}
