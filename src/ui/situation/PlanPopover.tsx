"use client";
import { SlidersHorizontal } from "lucide-react";
import { Popover } from "radix-ui";
import type { ReactNode } from "react";
import { EditorSheet } from "./EditorSheet";

/** A stage's plan behind a button of its heading; a dot says that it differs from what is saved. */
export function PlanPopover({
  label,
  changed,
  width,
  children,
}: {
  label: string;
  changed: boolean;
  width: number;
  children: ReactNode;
}) {
  return (
    <Popover.Root>
      <Popover.Trigger className="btn btn-quiet whitespace-nowrap">
        <SlidersHorizontal size={15} aria-hidden="true" /> {label}
        {changed && (
          <>
            <span aria-hidden="true" className="inline-block size-1.5 rounded-full bg-ochre" />
            <span className="sr-only"> (not saved)</span>
          </>
        )}
      </Popover.Trigger>
      <EditorSheet label={label} width={width} align="end">
        {children}
      </EditorSheet>
    </Popover.Root>
  );
}
