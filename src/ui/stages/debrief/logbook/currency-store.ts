// Rules of currency and what counts for them.
import { create } from "zustand";
import { CurrencyRule, type Practised } from "@/core/logbook/currency";
import { send } from "@/ui/kit/request";
import { ownDocumentsStore } from "@/ui/library/own/own-documents-store";

/** Rules of one's own. */
export const useRules = ownDocumentsStore("/api/currency-rules", CurrencyRule);

interface PractisedState {
  /** What was practised, and when that was asked, ms; null until it has come. */
  readonly practised: readonly Practised[] | null;
  readonly asked_ms: number;
  readonly fault: string | null;
}

/** @see PractisedState */
export const usePractised = create<PractisedState>()(() => ({ practised: null, asked_ms: 0, fault: null }));

/** Asks what was practised. */
export async function loadPractised(): Promise<void> {
  const answer = await send<{ practised: Practised[] }>("GET", "/api/practised");
  if (answer.ok) usePractised.setState({ practised: answer.value.practised, asked_ms: Date.now(), fault: null });
  else
    usePractised.setState(({ practised }) => ({
      practised,
      fault: answer.issues.map(({ message }) => message).join(" "),
    }));
}
