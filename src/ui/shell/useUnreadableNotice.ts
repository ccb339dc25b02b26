"use client";
import { useEffect } from "react";
import { toast } from "sonner";
import { create } from "zustand";
import type { UnreadableRow } from "@/server/readable-rows";
import { useDialogs } from "@/ui/kit/dialogs/dialogs-store";
import { send } from "@/ui/kit/request";

const LOOK_MS = 1500;

/** Rows of the account that could not be read. */
export const useUnreadable = create<{ readonly rows: readonly UnreadableRow[] }>(() => ({ rows: [] }));

async function look(): Promise<void> {
  const answer = await send<{ unreadable: UnreadableRow[] }>("GET", "/api/account/unreadable");
  if (answer.ok) useUnreadable.setState({ rows: answer.value.unreadable });
}

/** Says once that something of the account could not be read, and where it is listed. */
export function useUnreadableNotice(): void {
  const length = useUnreadable(({ rows }) => rows.length);
  const show = useDialogs((state) => state.show);
  useEffect(() => {
    // Everything of the account is read for it: not while the page is coming up.
    const timer = setTimeout(() => void look(), LOOK_MS);
    return () => clearTimeout(timer);
  }, []);
  useEffect(() => {
    if (length === 0) return;
    toast(`${length} ${length === 1 ? "entry" : "entries"} of your account cannot be read. Everything else works.`, {
      id: "unreadable",
      duration: 30_000,
      action: { label: "Look", onClick: () => show("account") },
    });
  }, [length, show]);
}
