"use client";
import { X } from "lucide-react";
import { Dialog } from "radix-ui";
import type { ReactNode } from "react";
import { type DialogName, useDialogs } from "./dialogs-store";

/** A dialog of the shell: title, close, and what it is for. */
export function Panel({
  name,
  title,
  children,
  wide = false,
}: {
  name: DialogName;
  title: string;
  children: ReactNode;
  wide?: boolean;
}) {
  const shown = useDialogs((state) => state.shown === name);
  const show = useDialogs((state) => state.show);
  return (
    <Dialog.Root open={shown} onOpenChange={(open) => show(open ? name : null)}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-[#0b0e13]/35" />
        <Dialog.Content
          className={`panel fixed top-[8vh] left-1/2 z-50 flex max-h-[84vh] w-[92vw] -translate-x-1/2 flex-col ${wide ? "max-w-3xl" : "max-w-lg"}`}
          aria-describedby={undefined}
        >
          <div className="flex items-center justify-between border-b border-rule px-5 py-3">
            <Dialog.Title className="text-lg font-bold">{title}</Dialog.Title>
            <Dialog.Close className="rounded p-1 hover:bg-mark" aria-label="Close">
              <X size={18} aria-hidden="true" />
            </Dialog.Close>
          </div>
          <div className="min-h-0 overflow-auto px-5 py-4" tabIndex={0} role="region" aria-label={title}>
            {children}
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
