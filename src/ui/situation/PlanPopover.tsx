"use client";
import { SlidersHorizontal } from "lucide-react";
import { Popover } from "radix-ui";
import type { ReactNode } from "react";

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
      <Popover.Portal>
        <Popover.Content
          className="panel z-30 flex max-h-[84vh] flex-col gap-3 overflow-auto p-4"
          style={{ width }}
          align="end"
          sideOffset={4}
          collisionPadding={8}
          aria-label={label}
        >
          {children}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
