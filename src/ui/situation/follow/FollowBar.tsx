"use client";
import { Square } from "lucide-react";
import { CheckField } from "@/ui/kit/forms/CheckField";
import { setSimulatedEngine, stopFollowing } from "./follow";
import { type FollowSource, useFollow } from "./follow-store";

const SOURCE_WORDS: Record<FollowSource, string> = {
  simulated: "simulated aircraft",
  file: "recording",
  device: "this device",
};

const SIGNAL_WORDS = {
  waiting: "Waiting for a position …",
  lost: "Signal lost: what is shown is where it was.",
};

/** What is followed, whether it is heard, and the caution that stays. */
export function FollowBar({ now, called }: { now: string | null; called: string | null }) {
  const { source, signal, withHeight, running, aloud, fault, set } = useFollow();
  if (source === null)
    return fault ? (
      <p role="status" className="border-b border-rule px-4 py-2 text-[14px] text-ochre">
        {fault}
      </p>
    ) : null;
  return (
    <section aria-label="Followed" className="border-b border-rule bg-sheet px-4 py-2 text-[14px]">
      <p className="flex items-baseline justify-between gap-2">
        <span className="text-ink2">Following: {SOURCE_WORDS[source]}</span>
        <button type="button" className="btn btn-quiet px-2 py-0.5" onClick={stopFollowing}>
          <Square size={13} aria-hidden="true" /> Stop
        </button>
      </p>
      {/* Seen every second; heard only when something has changed. */}
      <p aria-hidden="true" className={signal === "lost" ? "font-bold text-brick" : "text-[17px]"}>
        {signal === "here" ? (now ?? "…") : SIGNAL_WORDS[signal]}
      </p>
      <p role="status" aria-live="assertive" className="sr-only">
        {signal === "here" ? called : SIGNAL_WORDS[signal]}
      </p>
      <div className="mt-1 flex flex-wrap items-center gap-x-3 gap-y-1">
        {source === "simulated" && (
          <button type="button" className="btn btn-quiet px-2 py-0.5" onClick={() => void setSimulatedEngine(!running)}>
            {running ? "Its engine stops" : "Its engine runs again"}
          </button>
        )}
        <CheckField label="Said aloud" checked={aloud} onChange={(value) => set({ aloud: value })} />
      </div>
      <p className="mt-1 text-[13px] text-ink2">
        A training aid, not for navigation.{" "}
        {withHeight ? "Heights are the receiver’s, not the altimeter’s." : "It tells no height: the situation’s stays."}
      </p>
    </section>
  );
}
