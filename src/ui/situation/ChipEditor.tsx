"use client";
import { Popover } from "radix-ui";
import type { ReactNode } from "react";

interface Props {
  label: string;
  value: string;
  /** Differs from the saved situation. */
  changed: boolean;
  children: ReactNode;
  width?: number;
}

/** One part of the situation: what it is now, and an editor behind it. */
export function ChipEditor({ label, value, changed, children, width = 320 }: Props) {
  return (
    <Popover.Root>
      <Popover.Trigger className="flex min-w-0 flex-col items-start border-r border-rule px-3 py-1.5 text-left hover:bg-mark data-[state=open]:bg-mark">
        <span className="text-[13px] text-ink2">{label}</span>
        <span className="num max-w-full truncate text-[15px]">
          {value}
          {changed && (
            <>
              <span aria-hidden="true" className="ml-1.5 inline-block size-1.5 rounded-full bg-ochre align-middle" />
              <span className="sr-only"> (not saved)</span>
            </>
          )}
        </span>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content className="panel z-30 flex max-h-[84vh] flex-col gap-3 overflow-auto p-4" style={{ width }} align="start" sideOffset={4} collisionPadding={8} aria-label={label}>
          {children}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
