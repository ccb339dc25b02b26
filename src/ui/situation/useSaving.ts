"use client";
import { useEffect } from "react";
import { toast } from "sonner";
import { readSituation } from "@/core/situation/situation-versions";
import { send } from "@/ui/kit/request";
import { keepDraft } from "./draft";
import { hearTabs, type TabMessage, tellTabs } from "@/ui/kit/tabs";
import { rememberSituation } from "./last-situation";
import { type AwayReason, type Opened, saveStateOf, useSituation } from "./situation-store";

/** How often saving is tried again while the database is away, ms. */
const RETRY_MS = 3000;

/** The situation whose save is under way: one that is tried again is not sent twice. */
let sending: string | null = null;

/** Saves the situation. A server that is away keeps the work in the browser; `useSaving` tries again. */
export async function saveSituation(): Promise<void> {
  const { id, version, current, link, awayReason, setLink, setMeanwhile, markSaved } = useSituation.getState();
  if (link === "saving" || sending === id) return;
  const wasAway = link === "away";
  if (!wasAway) setLink("saving");
  sending = id;
  const answer = await send<{ version: number }>("PUT", `/api/situations/${id}`, current, { version });
  if (sending === id) sending = null;
  // Another situation may have been opened meanwhile; its state is not ours to touch.
  if (useSituation.getState().id !== id) return;
  if (answer.ok) {
    markSaved(current, answer.value.version);
    tellTabs({ kind: "saved", id, version: answer.value.version, document: current });
    if (wasAway)
      toast(
        awayReason === "disk"
          ? "The disk has room again: your work is saved."
          : `The ${awayReason} is back: your work is saved.`,
      );
    return;
  }
  if (answer.stored) return setMeanwhile(answer.stored as Opened);
  setLink(answer.away ? "away" : "idle", reasonOf(answer.issues[0]?.code));
  if (!answer.away) toast(answer.issues.map((issue) => issue.message).join(" "));
}

/** Takes over what another tab has saved of the same situation, unless something is unsaved here. */
function adopt(message: TabMessage): void {
  const { id, version, open } = useSituation.getState();
  if (message.kind !== "saved" || message.id !== id || message.version <= version) return;
  if (saveStateOf(useSituation.getState()) !== "saved") return;
  const read = readSituation(message.document);
  if (read.ok) open({ id, version: message.version, document: read.value });
}

function reasonOf(code: string | undefined): AwayReason {
  if (code === "disk_full") return "disk";
  return code === "server_away" ? "server" : "database";
}

/** Keeps drafts while there is something unsaved, and tries again while the database is away. */
export function useSaving(): void {
  const id = useSituation((state) => state.id);
  const version = useSituation((state) => state.version);
  const current = useSituation((state) => state.current);
  const saveState = useSituation(saveStateOf);
  useEffect(() => {
    rememberSituation(id);
  }, [id]);
  useEffect(() => hearTabs(adopt), []);
  useEffect(() => {
    const keep = () =>
      keepDraft(id, saveState === "saved" ? null : { version, document: current, asked: saveState === "away" });
    // A drag changes the situation every frame; the browser's store is slow, so it is written when the hand rests.
    const timer = setTimeout(keep, 150);
    addEventListener("pagehide", keep);
    return () => {
      clearTimeout(timer);
      removeEventListener("pagehide", keep);
    };
  }, [id, version, current, saveState]);
  useEffect(() => {
    if (saveState !== "away") return;
    const timer = setInterval(() => void saveSituation(), RETRY_MS);
    return () => clearInterval(timer);
  }, [saveState]);
}
