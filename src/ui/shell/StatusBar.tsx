"use client";
import { useSelectedLayoutSegment } from "next/navigation";
import { useDeparture } from "@/ui/departure/departure-store";
import { useReach } from "@/ui/landing/reach-store";
import { saveStateOf, useSituation } from "@/ui/situation/situation-store";
import { useDialogs } from "./dialogs-store";

/** Keys on the left, how the work stands on the right. */
export function StatusBar() {
  const saveState = useSituation(saveStateOf);
  const show = useDialogs((state) => state.show);
  return (
    <footer className="col-span-2 flex items-center gap-4 border-t border-rule px-3 py-1 text-[13px] text-ink2">
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
      <span className="ml-auto" role="status">
        {saveState === "away" && (
          <strong className="text-ochre">
            Database away: your work is kept in this browser and saved when it is back.
          </strong>
        )}
      </span>
      {saveState !== "away" && <Took />}
    </footer>
  );
}

/** What the answer on the page took, and what it stands on. */
function Took() {
  const stage = useSelectedLayoutSegment();
  const reach = useReach((state) => state.answer);
  const scan = useDeparture((state) => state.scan);
  if (stage === "departure")
    return (
      scan && (
        <span>
          {scan.ahead.length} heights, {scan.byBank.size} banks in {(scan.took_ms / 1000).toFixed(1)} s · point mass in
          wind, parabolic polar
        </span>
      )
    );
  if (!reach?.reach || stage === "aircraft" || stage === "engine-out") return null;
  return (
    <span>
      {reach.reach.ends.length} landing ends in {Math.max(1, Math.round(reach.took_ms))} ms · parabolic polar from the
      aircraft document
    </span>
  );
}
