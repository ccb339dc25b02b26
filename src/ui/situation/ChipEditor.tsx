"use client";
import { Popover } from "radix-ui";
import type { ReactNode } from "react";
import { EditorSheet } from "./EditorSheet";

interface Props {
  label: string;
  value: string;
  /** Differs from the saved situation. */
  changed: boolean;
  children: ReactNode;
  width?: number;
  /** Gives way when the strip is too short. */
  yields?: boolean;
}

/** One part of the situation: what it is now, and an editor behind it. */
export function ChipEditor({ label, value, changed, children, width = 320, yields = false }: Props) {
  return (
    <Popover.Root>
      <Popover.Trigger
        className={`flex flex-col items-start border-r border-rule px-2.5 ${yields ? "min-w-16" : "shrink-0"} py-1.5 text-left hover:bg-mark data-[state=open]:bg-mark`}
      >
        <span className="text-[13px] text-ink2">{label}</span>
        <span className="num max-w-full truncate text-[14px]">
          {value}
          {changed && (
            <>
              <span aria-hidden="true" className="ml-1.5 inline-block size-1.5 rounded-full bg-ochre align-middle" />
              <span className="sr-only"> (not saved)</span>
            </>
          )}
        </span>
      </Popover.Trigger>
      <EditorSheet label={label} width={width} align="start">
        {children}
      </EditorSheet>
    </Popover.Root>
  );
}
