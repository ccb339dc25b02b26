"use client";
import { useEffect } from "react";
import { toast } from "sonner";
import { send } from "@/ui/kit/request";
import { keepDraft } from "./draft";
import { saveStateOf, useSituation } from "./situation-store";

/** How often saving is tried again while the database is away, ms. */
const RETRY_MS = 3000;

/** Saves the situation. A server that is away keeps the work in the browser; `useSaving` tries again. */
export async function saveSituation(): Promise<void> {
  const { id, current, link, setLink, markSaved } = useSituation.getState();
  if (link === "saving") return;
  const wasAway = link === "away";
  if (!wasAway) setLink("saving");
  const answer = await send("PUT", `/api/situations/${id}`, current);
  // Another situation may have been opened meanwhile; its state is not ours to touch.
  if (useSituation.getState().id !== id) return;
  if (answer.ok) {
    markSaved(current);
    if (wasAway) toast("The database is back: your work is saved.");
    return;
  }
  setLink(answer.away ? "away" : "idle");
  if (!answer.away) toast(answer.issues.map((issue) => issue.message).join(" "));
}

/** Keeps drafts while there is something unsaved, and tries again while the database is away. */
export function useSaving(): void {
  const id = useSituation((state) => state.id);
  const current = useSituation((state) => state.current);
  const saveState = useSituation(saveStateOf);
  useEffect(() => {
    localStorage.setItem("utrimax:situation", id);
  }, [id]);
  useEffect(() => {
    const keep = () => keepDraft(id, saveState === "saved" ? null : current);
    // A drag changes the situation every frame; the browser's store is slow, so it is written when the hand rests.
    const timer = setTimeout(keep, 150);
    addEventListener("pagehide", keep);
    return () => {
      clearTimeout(timer);
      removeEventListener("pagehide", keep);
    };
  }, [id, current, saveState]);
  useEffect(() => {
    if (saveState !== "away") return;
    const timer = setInterval(() => void saveSituation(), RETRY_MS);
    return () => clearInterval(timer);
  }, [saveState]);
}
