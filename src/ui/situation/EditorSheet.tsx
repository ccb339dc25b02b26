"use client";
import { Popover } from "radix-ui";
import type { ReactNode } from "react";

/** The sheet on which something of the situation is edited, under the button that opens it. */
export function EditorSheet({
  label,
  width,
  align,
  children,
}: {
  label: string;
  width: number;
  align: "start" | "end";
  children: ReactNode;
}) {
  return (
    <Popover.Portal>
      <Popover.Content
        className="panel z-30 flex max-h-[84vh] flex-col gap-3 overflow-auto p-4"
        style={{ width }}
        align={align}
        sideOffset={4}
        collisionPadding={8}
        aria-label={label}
      >
        {children}
      </Popover.Content>
    </Popover.Portal>
  );
}
