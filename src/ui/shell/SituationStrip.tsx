"use client";
import { AirEditor } from "@/ui/situation/AirEditor";
import { AircraftEditor } from "@/ui/situation/AircraftEditor";
import { MassEditor } from "@/ui/situation/MassEditor";
import { PilotEditor } from "@/ui/situation/PilotEditor";
import { PlaceEditor } from "@/ui/situation/PlaceEditor";
import { WindEditor } from "@/ui/situation/WindEditor";
import { saveStateOf, useSituation } from "@/ui/situation/situation-store";
import { saveSituation } from "@/ui/situation/useSaving";
import { useDialogs } from "@/ui/kit/dialogs/dialogs-store";

/** The situation that all stages share, as chips with editors behind them. */
export function SituationStrip() {
  const saveState = useSituation(saveStateOf);
  const show = useDialogs((state) => state.show);
  return (
    <header className="col-start-2 row-start-1 flex items-stretch border-b border-l border-rule">
      <div className="flex min-w-0 flex-1" role="group" aria-label="Situation">
        <AircraftEditor />
        <MassEditor />
        <PlaceEditor />
        <WindEditor />
        <AirEditor />
        <PilotEditor />
      </div>
      <div className="flex shrink-0 items-center gap-2 px-3">
        <button type="button" className="key" aria-label="Commands (key /)" onClick={() => show("commands")}>
          /
        </button>
        <button
          type="button"
          className="btn"
          disabled={saveState === "saved" || saveState === "saving"}
          onClick={() => void saveSituation()}
        >
          {saveState === "saved" ? "Saved" : saveState === "saving" ? "Saving" : "Save"}
        </button>
      </div>
    </header>
  );
}
