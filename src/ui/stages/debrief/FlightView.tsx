"use client";
import dynamic from "next/dynamic";
import { Gauge } from "lucide-react";
import { useMemo, useState } from "react";
import type { TurnBackBeside } from "@/core/debrief/turn-back-beside";
import { asSaid, movedStop } from "@/core/track/events/stops-by-hand";
import { useFormat } from "@/ui/kit/units/units-store";
import type { DebriefedLog } from "@/workers/track.worker";
import { StopsHere } from "./StopsHere";
import { FlightProfile } from "./FlightProfile";
import { OverlayChoice, useOverlay } from "./OverlayChoice";
import { LogInstruments } from "./LogInstruments";
import { NoFlight } from "./NoFlight";
import { ReplayControls } from "./ReplayControls";
import { useReplay } from "./useReplay";
import { type OpenLog, changeStops, useDebrief } from "./debrief-store";
import { dayWords, momentWords, stopWords } from "./debrief-words";
import { lookedAt, trackMarks } from "./track-marks";

/** The same at every render. */
const NOTHING: TurnBackBeside["predicted"]["points"] = [];

const FlightMap = dynamic(() => import("./FlightMap").then((module) => module.FlightMap), { ssr: false });

interface Props {
  /** The planner's way from the engine stop that is looked at. */
  readonly beside: TurnBackBeside | null;
  readonly onChoose: () => void;
}

/** The flight on map and profile, with one moment pointed at in both. */
export function FlightView({ beside, onChoose }: Props) {
  const open = useDebrief((state) => state.open);
  if (open?.found) return <Shown open={open} found={open.found} beside={beside} />;
  return <NoFlight onChoose={onChoose} />;
}

interface ShownProps {
  readonly open: OpenLog;
  readonly found: DebriefedLog;
  readonly beside: TurnBackBeside | null;
}

function Shown({ open, found, beside }: ShownProps) {
  const { log } = open;
  const looked = useDebrief((state) => state.looked);
  const format = useFormat();
  const { flights, drawn, summary } = found;
  const marks = useMemo(() => trackMarks(flights, looked, format), [flights, looked, format]);
  const span = useMemo(() => lookedAt(flights, looked, summary.duration_s), [flights, looked, summary.duration_s]);
  const failures = flights.flatMap((flight) => flight.failures.map((failure) => ({ flight, failure })));
  const one = looked === null ? null : failures[looked];
  const flight = one?.flight ?? flights[0];
  const replay = useReplay(span);
  const [instruments, setInstruments] = useState(false);
  const over = useOverlay(found);
  const ground = flight?.takeOff?.ground_m ?? flight?.landing?.ground_m ?? null;
  const predicted = beside?.predicted.points ?? NOTHING;
  const look = (to: number | null) => {
    const from = lookedAt(flights, to, summary.duration_s).from_s;
    const at = to === null ? null : failures[to].failure.time_s;
    useDebrief.setState({ looked: to, cursor_s: at ?? from });
  };
  return (
    <div className="grid h-full min-h-0 grid-cols-[minmax(0,1fr)] grid-rows-[auto_minmax(0,1fr)_236px]">
      <div className="flex items-center gap-3 border-b border-rule px-4 py-1.5 text-[14px]">
        <strong className="min-w-24 shrink truncate">{log.name}</strong>
        <span className="min-w-0 shrink-[3] truncate text-ink2">{dayWords(summary.begins_s)}</span>
        {looked !== null && <OverlayChoice id={open.id} />}
        <label className="ml-auto flex items-center gap-2 whitespace-nowrap">
          <span className="text-ink2">Look at</span>
          <select
            className="field w-auto max-w-52 py-0.5"
            value={looked ?? "all"}
            onChange={({ currentTarget: { value } }) => look(value === "all" ? null : Number(value))}
          >
            <option value="all">the whole log</option>
            {failures.map(({ failure }, i) => (
              <option key={failure.time_s} value={i}>
                {momentWords(failure.time_s, summary.begins_s)} {stopWords(failure)}
              </option>
            ))}
          </select>
        </label>
      </div>
      <FlightMap
        drawn={drawn}
        marks={marks}
        span={span}
        predicted={predicted}
        legend={
          predicted.length > 0 && (
            <p className="w-fit bg-sheet/90 px-2 py-0.5">dashed: as the plan would have flown from there</p>
          )
        }
      >
        <div className="pointer-events-none absolute right-2 bottom-8 flex flex-col gap-1 border border-rule bg-sheet/92 p-1.5">
          <span className="pointer-events-auto flex items-center justify-between gap-1.5">
            <ReplayControls replay={replay} />
            <button
              type="button"
              className="btn btn-quiet px-1.5 py-0.5"
              aria-pressed={instruments}
              aria-label="Instruments"
              onClick={() => setInstruments(!instruments)}
            >
              <Gauge size={15} aria-hidden="true" />
            </button>
          </span>
          {(instruments || replay.playing) && (
            <LogInstruments drawn={drawn} ground_m={ground ?? 0} airKnown={found.airKnown} />
          )}
        </div>
      </FlightMap>
      <FlightProfile
        drawn={drawn}
        marks={marks}
        holes={found.holes}
        span={span}
        ground={ground}
        predicted={predicted}
        over={over}
        since_s={one?.failure.time_s ?? null}
        begins_s={summary.begins_s}
        windKnown={found.wind !== null}
        onMoveStop={(stop, to_s) => {
          const next = movedStop(asSaid(failures.map(({ failure }) => failure)), stop, to_s);
          if (next) changeStops(next);
        }}
        actions={<StopsHere log={log} found={found} ground={ground} />}
      />
    </div>
  );
}
