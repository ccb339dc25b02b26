"use client";
import { useState } from "react";
import { degrees, radians } from "@/core/quantities/angle";
import { formatNumber } from "@/core/quantities/units";
import { type KeptLog, KeptLog as KeptLogSchema } from "@/core/track/kept-log";
import { CheckField } from "@/ui/kit/forms/CheckField";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { FileButton } from "@/ui/kit/forms/FileButton";
import { NumberField } from "@/ui/kit/forms/NumberField";
import { QuantityField } from "@/ui/kit/forms/QuantityField";
import { checkBy } from "@/ui/kit/forms/fault";
import { useLibraryAircraft } from "@/ui/library/library-aircraft";
import { PlanPopover } from "@/ui/situation/PlanPopover";
import { massFault } from "./mass-fault";
import { changeLog } from "./debrief-store";

/** Recorders besides the first. */
const MOST_ALSO = 3;

const { mass_kg: MASS, deviation_K: DEVIATION } = KeptLogSchema.shape;

interface Props {
  readonly log: KeptLog;
  /** A file of another recorder of this flight was chosen. */
  readonly onAlso: (file: File) => void;
}

/** What is known of the flight's day beside the log: changed, the log is measured anew. */
export function LogDay({ log, onAlso }: Props) {
  return (
    <PlanPopover label="Day" changed={false} width={330}>
      <DayFields key={`${log.text.length} ${log.also.length}`} log={log} onAlso={onAlso} />
    </PlanPopover>
  );
}

function DayFields({ log, onAlso }: Props) {
  const library = useLibraryAircraft();
  const [draft, setDraft] = useState(log);
  const put = (change: Partial<KeptLog>) => setDraft({ ...draft, ...change });
  const chosen = library.find(({ document }) => document.name === draft.aircraft?.name);
  return (
    <form
      className="flex flex-col gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        void changeLog(draft);
      }}
    >
      <ChoiceField
        label="Aircraft"
        value={chosen?.id ?? (draft.aircraft ? "own" : "none")}
        choices={[
          ...library.map(({ id, document }) => ({ value: id, label: document.name })),
          ...(draft.aircraft && !chosen ? [{ value: "own", label: `${draft.aircraft.name}, as it was` }] : []),
          { value: "none", label: "not known" },
        ]}
        onChange={(id) => {
          const to = library.find((one) => one.id === id);
          if (to) put({ aircraft: to.document, mass_kg: to.document.mass.usual_kg });
          else if (id === "none") put({ aircraft: null });
        }}
      />
      <QuantityField
        label="Mass"
        kind="mass"
        value={draft.mass_kg}
        check={(value) => checkBy(MASS)(value) ?? (draft.aircraft && massFault(draft.aircraft, value))}
        onChange={(mass_kg) => put({ mass_kg })}
      />
      <NumberField
        label="Air, against standard"
        unit="°C"
        value={draft.deviation_K}
        digits={0}
        step={1}
        check={checkBy(DEVIATION)}
        onChange={(deviation_K) => put({ deviation_K })}
        onClear={() => put({ deviation_K: null })}
        hint="Empty: fitted to the receiver’s heights."
      />
      <CheckField
        label="The wind was told"
        checked={draft.wind !== null}
        onChange={(told) => put({ wind: told ? { from_rad: 0, speed_mps: 5 } : null })}
      />
      {draft.wind && (
        <div className="grid grid-cols-2 gap-3">
          <NumberField
            label="From"
            unit="°"
            value={degrees(draft.wind.from_rad)}
            digits={0}
            step={10}
            check={(value) => (value >= 0 && value <= 360 ? null : "A direction is 0 to 360°.")}
            onChange={(from) => draft.wind && put({ wind: { ...draft.wind, from_rad: radians(from) } })}
          />
          <QuantityField
            label="Speed"
            kind="speed"
            value={draft.wind.speed_mps}
            check={(value) => (value >= 0 && value <= 60 ? null : "A wind is 0 to 116 kt.")}
            onChange={(speed_mps) => draft.wind && put({ wind: { ...draft.wind, speed_mps } })}
          />
        </div>
      )}
      {draft.also.map((recorder, i) => (
        <p key={recorder.name} className="flex items-center gap-2 text-[14px]">
          <span className="truncate">{recorder.name}</span>
          <span className="num ml-auto whitespace-nowrap text-ink2">
            {recorder.offset_s < 0 ? "−" : "+"}
            {formatNumber(Math.abs(recorder.offset_s), 1)} s
          </span>
          <button
            type="button"
            className="btn btn-quiet px-1.5 py-0"
            onClick={() => put({ also: draft.also.filter((_, at) => at !== i) })}
          >
            Take away<span className="sr-only"> {recorder.name}</span>
          </button>
        </p>
      ))}
      {log.also.length < MOST_ALSO && (
        <FileButton
          label="Another recorder of this flight"
          fileLabel="Another recorder’s file"
          accept=".igc,.gpx,.nmea,.csv,.txt,.log"
          onChoose={onAlso}
        />
      )}
      <p className="text-[13px] text-ink2">
        The log’s own wind comes first, the told one where it shows none. The plan beside it flies in the told one.
      </p>
      <button type="submit" className="btn self-start">
        Measure anew
      </button>
    </form>
  );
}
