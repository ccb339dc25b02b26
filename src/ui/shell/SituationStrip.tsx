"use client";
import { AirEditor } from "@/ui/situation/AirEditor";
import { AircraftEditor } from "@/ui/situation/AircraftEditor";
import { MassEditor } from "@/ui/situation/MassEditor";
import { PilotEditor } from "@/ui/situation/PilotEditor";
import { PlaceEditor } from "@/ui/situation/PlaceEditor";
import { WindEditor } from "@/ui/situation/WindEditor";
import { useShownDay } from "@/ui/situation/shown-day";
import { saveStateOf, useSituation } from "@/ui/situation/situation-store";
import { saveSituation } from "@/ui/situation/useSaving";
import { useDialogs } from "@/ui/kit/dialogs/dialogs-store";

/** One part of the day of a flight that is looked at again: it is told, not set here. */
function FlownChip({ name, value }: { name: string; value: string | null }) {
  return (
    <div className="flex min-w-16 flex-col items-start border-r border-rule bg-mark px-2.5 py-1.5">
      <span className="text-[13px] whitespace-nowrap text-ink2">{name}, flown</span>
      <span className="num max-w-full truncate text-[14px]">{value ?? "not known"}</span>
    </div>
  );
}

/** The situation that all stages share, as chips with editors behind them. */
export function SituationStrip() {
  const saveState = useSituation(saveStateOf);
  const show = useDialogs((state) => state.show);
  const { day, present, lookAt } = useShownDay();
  const flown = present ? null : day;
  return (
    <header className="col-start-2 row-start-1 flex items-stretch border-b border-l border-rule">
      <div className="flex min-w-0 flex-1" role="group" aria-label="Situation">
        {flown ? <FlownChip name="Aircraft" value={flown.aircraft} /> : <AircraftEditor />}
        {flown ? <FlownChip name="Mass" value={flown.mass} /> : <MassEditor />}
        {!flown && <PlaceEditor />}
        {flown ? <FlownChip name="Wind" value={flown.wind} /> : <WindEditor />}
        {flown ? <FlownChip name="Air" value={flown.air} /> : <AirEditor />}
        <PilotEditor />
        {day && (
          <button
            type="button"
            className="btn btn-quiet ml-2 self-center px-2 py-1 text-[13px] whitespace-nowrap"
            onClick={() => lookAt(!present)}
          >
            {present ? "The flight’s own day" : "Back to the present"}
          </button>
        )}
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
