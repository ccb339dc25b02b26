"use client";
import { Fragment } from "react";
import type { BesideFailure } from "@/core/debrief/beside-failure";
import { type Outcome, success } from "@/core/outcome";
import type { Failure, FoundFlight } from "@/core/track/analyse";
import type { KeptLog } from "@/core/track/kept-log";
import { AsideFigures, DecisionAside } from "@/ui/kit/page/DecisionAside";
import { useFormat } from "@/ui/kit/units/units-store";
import { Figure } from "@/ui/kit/working/Figure";
import type { DebriefedLog } from "@/workers/track.worker";
import { BesidePanel } from "./BesidePanel";
import { lesson } from "./beside-words";
import { ExercisesPanel } from "./ExercisesPanel";
import { PilotPanel } from "./PilotPanel";
import { RatingsPanel } from "./RatingsPanel";
import { RunsPanel } from "./RunsPanel";
import { RecorderAsk } from "./RecorderAsk";
import { RefitPanel } from "./RefitPanel";
import { StopEditor } from "./StopEditor";
import { useDebrief } from "./debrief-store";
import { useLogs } from "./logs-store";
import {
  type MeasureRow,
  failureRows,
  failureSaid,
  glideRows,
  landingRows,
  slowedRows,
  summaryWords,
  turnRows,
  windWords,
} from "./debrief-words";

const CAUTIONS = [
  "Measured from a log, with its bounds: for the debriefing. The flight manual and your instructor come first.",
  "Engines stopped on purpose, and turning back low, are for height and an instructor.",
];

/**
 * What came of the flight, or of the engine stop that is looked at.
 *
 * @param beside - that stop beside the plan; null while there is none
 */
export function DebriefAside({ beside }: { beside: Outcome<BesideFailure> | null }) {
  const open = useDebrief((state) => state.open);
  const fault = useDebrief((state) => state.fault);
  const logs = useLogs((state) => state.logs);
  if (!open?.found)
    return (
      <DecisionAside
        said={
          fault
            ? { lead: "It could not be done.", rest: fault }
            : open
              ? { lead: "Reading.", rest: open.log.name }
              : {
                  lead: logs?.length === 0 ? "No log yet." : "Choose a log.",
                  rest: "A log is read here: IGC, GPX, NMEA, or a table of any columns. Nothing of it leaves your account.",
                }
        }
        good={!fault}
        cautions={CAUTIONS}
      />
    );
  return <Found log={open.log} found={open.found} beside={beside} />;
}

interface FoundProps {
  readonly log: KeptLog;
  readonly found: DebriefedLog;
  readonly beside: Outcome<BesideFailure> | null;
}

function Found({ log, found, beside }: FoundProps) {
  const format = useFormat();
  const looked = useDebrief((state) => state.looked);
  const fault = useDebrief((state) => state.fault);
  const one = looked === null ? null : stopOf(found.flights, looked);
  const said = one
    ? failureSaid(one.failure, one.flight, format)
    : {
        lead: found.summary.failures > 0 ? "The whole log." : "No engine stop.",
        rest: `${summaryWords(found.summary)}.`,
      };
  // One engine slowed at a height that is kept is slow flight; of two it is how minimum control is shown.
  const twin = log.aircraft?.category === "twin" || log.aircraft?.category === "jet";
  const landed = one?.failure.toGround ? one.flight.landed : null;
  const beyond_m = landed?.along_m.known ? landed.along_m.value - landed.length_m : null;
  const taught = beside?.ok ? lesson(beside.value.turnBack, beyond_m, format) : null;
  return (
    <DecisionAside said={said} good={!fault} cautions={CAUTIONS}>
      {fault && <p className="px-4 pb-2 text-[14px] text-brick">{fault}</p>}
      <RecorderAsk />
      {taught && (
        <p className={`px-4 pb-3 text-[15px] ${taught.good ? "" : "text-brick"}`}>
          <strong>{taught.lead}</strong> {taught.rest}
        </p>
      )}
      {beside?.ok && <BesidePanel beside={beside.value} />}
      {beside && !beside.ok && (
        <p className="border-t border-rule px-4 py-2 text-[13px] text-ink2">
          No plan beside it: {beside.issue.message}
        </p>
      )}
      {one && <RunsPanel found={found} failure={one.failure} />}
      {one && <StopRows found={found} stop={one} />}
      {!one &&
        found.flights.map((flight, i) => (
          <Rows
            key={flight.begins_s}
            found={found}
            rows={[
              ...(twin ? flight.slowed.flatMap((slowed, k) => slowedRows(slowed, `${i + 1}.${k + 1}`, format)) : []),
              ...landingRows(flight, `${i + 1}`, format),
            ]}
          />
        ))}
      <Rows
        found={found}
        rows={[
          { name: "Wind flown", figure: "wind", value: windWords(found.wind, format) },
          {
            name: "Fixes, one every",
            figure: "log",
            value: `${found.summary.fixes}, ${Number(found.interval_s.toFixed(1))} s`,
          },
        ]}
      />
      <RatingsPanel ratings={found.ratings} />
      <ExercisesPanel
        key={log.name}
        log={log}
        found={found}
        within={one && { from_s: one.failure.time_s - 1, to_s: one.failure.back_s ?? one.flight.ends_s }}
      />
      <StopEditor log={log} found={found} />
      <RefitPanel log={log} found={found} />
      <PilotPanel />
      <NotRead found={found} />
      <details className="border-t border-rule px-4 py-2 text-[14px]">
        <summary>What this log cannot tell</summary>
        <ul className="flex flex-col gap-1 pt-1 text-[13px] text-ink2">
          {found.notKnowable.map((text) => (
            <li key={text}>{text}</li>
          ))}
        </ul>
      </details>
    </DecisionAside>
  );
}

/** Lines of the file that hold nothing that could be read. */
function NotRead({ found }: { found: DebriefedLog }) {
  if (found.faultCount === 0) return null;
  return (
    <details className="border-t border-rule px-4 py-2 text-[14px]">
      <summary>
        {found.faultCount} {found.faultCount === 1 ? "line" : "lines"} could not be read
      </summary>
      <ol className="max-h-40 overflow-auto pt-1 text-[13px] text-ink2" tabIndex={0}>
        {found.faults.map(({ line, message }, i) => (
          <li key={i}>
            <span className="num">{line}</span> {message}
          </li>
        ))}
      </ol>
    </details>
  );
}

/** The figures of an engine stop and of what was flown after it. */
function StopRows({ found, stop }: { found: DebriefedLog; stop: Stop }) {
  const format = useFormat();
  return (
    <>
      <Rows found={found} title="Engine stop" rows={failureRows(stop.failure, stop.name, format)} />
      {stop.failure.turns.map((turn) => (
        <Rows
          key={turn.from_s}
          found={found}
          rows={turnRows(
            turn,
            `${stop.flightNumber}.${stop.flight.turns.findIndex(({ from_s }) => from_s === turn.from_s) + 1}`,
            format,
          )}
        />
      ))}
      {stop.failure.glides.map((glide, i) => (
        <Rows key={glide.from_s} found={found} rows={glideRows(glide, `${stop.name}.${i + 1}`, format)} />
      ))}
      {stop.failure.toGround && <Rows found={found} rows={landingRows(stop.flight, `${stop.flightNumber}`, format)} />}
    </>
  );
}

/** An engine stop with its flight, and the names of its workings. */
interface Stop {
  readonly flight: FoundFlight;
  readonly failure: Failure;
  readonly name: string;
  readonly flightNumber: number;
}

/** Engine stop by its number, with the names of its workings. */
function stopOf(flights: readonly FoundFlight[], looked: number): Stop | null {
  let n = -1;
  for (const [f, flight] of flights.entries())
    for (const [i, failure] of flight.failures.entries()) {
      n += 1;
      if (n === looked) return { flight, failure, name: `${f + 1}.${i + 1}`, flightNumber: f + 1 };
    }
  return null;
}

function Rows({ found, title, rows }: { found: DebriefedLog; title?: string; rows: readonly MeasureRow[] }) {
  if (rows.length === 0) return null;
  const source = { ask: async () => success([...found.working]) };
  return (
    <section aria-label={title}>
      <AsideFigures>
        {rows.map(({ name, value, figure, reason }) => (
          <Fragment key={name}>
            <dt>{name}</dt>
            <dd>
              {reason ? (
                <span className="text-ink2">{value}</span>
              ) : (
                <Figure title={name} figure={figure} source={source}>
                  {value}
                </Figure>
              )}
            </dd>
            {reason && <dd className="col-span-2 -mt-1 !text-left text-[13px] text-ink2">{reason}</dd>}
          </Fragment>
        ))}
      </AsideFigures>
    </section>
  );
}
