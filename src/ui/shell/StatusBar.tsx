"use client";
import { useSelectedLayoutSegment } from "next/navigation";
import { useEffect, useState } from "react";
import type { StageFace } from "@/ui/stages/stage-face";
import { useLibraryAircraft } from "@/ui/library/library-aircraft";
import { type AwayReason, saveStateOf, useSituation } from "@/ui/situation/situation-store";
import { useAircraft } from "@/ui/situation/useAircraft";
import { useFaces } from "./useFaces";
import { useOnline } from "./useOffline";
import { useKeysHeld } from "@/ui/kit/keys-held";
import { useDialogs } from "@/ui/kit/dialogs/dialogs-store";

const AWAY: Record<AwayReason, string> = {
  database: "Database away: your work is kept in this browser and saved when it is back.",
  server: "Server away: your work is kept in this browser and saved when it is back.",
  disk: "The server’s disk is full: your work is kept in this browser and saved when there is room.",
};

/** Keys on the left, how the work stands on the right. */
export function StatusBar() {
  const slug = useSelectedLayoutSegment();
  const { kind, stages } = useFaces();
  const stage = stages.find((candidate) => candidate.slug === slug);
  const saveState = useSituation(saveStateOf);
  const awayReason = useSituation((state) => state.awayReason);
  const online = useOnline();
  const show = useDialogs((state) => state.show);
  const held = useKeysHeld((state) => state.held);
  return (
    <footer className="col-span-2 flex items-center gap-4 border-t border-rule px-3 py-1 text-[13px] text-ink2">
      {held ? (
        held.map(({ key, does }) => (
          <span key={key}>
            <kbd className="key">{key}</kbd> {does}
          </span>
        ))
      ) : (
        <>
          <span>
            <kbd className="key">1</kbd>–<kbd className="key">8</kbd> stages
          </span>
          <button type="button" onClick={() => show("commands")} className="hover:text-ink">
            <kbd className="key">/</kbd> commands
          </button>
          <button type="button" onClick={() => show("units")} className="hover:text-ink">
            <kbd className="key">u</kbd> units
          </button>
          <button type="button" onClick={() => show("keys")} className="hover:text-ink">
            <kbd className="key">?</kbd> keys
          </button>
        </>
      )}
      <span className="ml-auto" role="status">
        {!online && saveState !== "away" && (
          <span className="text-ochre">No network: all of it works, saving waits.</span>
        )}
        {saveState === "away" && <strong className="text-ochre">{AWAY[awayReason]}</strong>}
      </span>
      <StandIn />
      {saveState !== "away" && stage && <Took key={`${stage.slug} ${kind}`} stage={stage} />}
    </footer>
  );
}

/** What the answer on the page took, and what it stands on. */
function Took({ stage }: { stage: StageFace }) {
  const text = stage.useStatus?.();
  return text ? <span>{text}</span> : null;
}

/** One that has just been saved comes into the library a moment later, ms. */
const STAND_IN_MS = 2000;

/**
 * Said as long as another aircraft stands in for one that has gone or cannot be read: its figures are not those of the
 * situation.
 */
function StandIn() {
  const aircraft = useLibraryAircraft();
  const id = useSituation((state) => state.current.aircraftId);
  const shown = useAircraft();
  const missing = aircraft.some((candidate) => candidate.id === id) ? null : id;
  const [said, say] = useState<string | null>(null);
  useEffect(() => {
    const timer = setTimeout(() => say(missing), missing === null ? 0 : STAND_IN_MS);
    return () => clearTimeout(timer);
  }, [missing]);
  if (missing === null || said !== missing) return null;
  return (
    <strong className="text-brick" role="alert">
      The aircraft of this situation is not there: all figures are of {shown.document.name}. Choose one.
    </strong>
  );
}
