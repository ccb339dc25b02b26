"use client";
import { useEffect, useMemo, useState } from "react";
import { localPlane } from "@/core/earth/local-plane";
import type { DrillShown, FlightShown, NowShown } from "@/core/exercise/flight-crew";
import type { CrewRole } from "@/core/procedure/crew-run";
import { type DrillRun, isRunOver, runAt } from "@/core/procedure/drill-run";
import { formatNumber } from "@/core/quantities/units";
import { DecisionAside } from "@/ui/kit/page/DecisionAside";
import { useFormat } from "@/ui/kit/units/units-store";
import { DrillPanel } from "../drill/DrillPanel";
import { DueStep } from "../drill/DueStep";
import type { DrillNow, HandEvent } from "../drill/drill-store";
import { FlightFigures } from "../fly/FlightFigures";
import { FlyMap } from "../fly/FlyMap";
import { nowWords } from "../fly/flown-words";
import { speedToHold_mps } from "../fly/fly-set-up";
import { FlyInstruments } from "../fly/instruments/FlyInstruments";
import { rolesHere } from "../fly/others/roles-here";
import { CrewCode } from "./CrewCode";
import { CrewHeader } from "./CrewHeader";
import { CrewNotes } from "./CrewNotes";
import { FailPanel } from "./FailPanel";
import { NoteForm } from "./NoteForm";
import { type ShownFlight, useCrew } from "./crew-store";
import { ROLE_WORDS } from "./crew-words";
import { sendLever } from "./send-lever";

const CAUTIONS = [
  "Trains decisions, order, speeds and control. Not a certified device.",
  "Failures in the air are for an instructor, by the flight manual.",
];

/** Nothing heard for so long: something is wrong where it is flown, s. */
const SILENT_S = 5;

/** A flight that is looked on at: by an instructor, who lets things fail, or by the one who monitors. */
export function CrewFlight({ code }: { code: string }) {
  const { crew, link, shown, log } = useCrew();
  const silent_s = useSilence(shown);
  if (!crew) return null;
  const { flight, now } = shown;
  if (!flight || !now)
    return (
      <main className="p-8">
        <h1 className="text-[19px] font-bold">{crew.aircraft}</h1>
        <p className="mt-1 text-ink2">
          {link === "lost"
            ? "The server cannot be reached: trying again."
            : `You are ${ROLE_WORDS[crew.role]}. The flight has not begun yet: it is shown here as soon as it does.`}
        </p>
        <CrewCode code={code} />
      </main>
    );
  const here = rolesHere(log).filter((role) => role !== crew.role);
  return <Looked role={crew.role} here={here} flight={flight} drill={shown.drill} now={now} silent_s={silent_s} />;
}

/** For how long nothing was heard of the flight, s. */
function useSilence({ told_ms, now }: ShownFlight): number {
  const [at_ms, setAt] = useState(0);
  useEffect(() => {
    const timer = setInterval(() => setAt(performance.now()), 1000);
    return () => clearInterval(timer);
  }, []);
  return now && !now.over ? Math.max(at_ms - told_ms, 0) / 1000 : 0;
}

interface Props {
  role: CrewRole;
  here: readonly CrewRole[];
  flight: FlightShown;
  drill: DrillShown;
  now: NowShown;
  silent_s: number;
}

function Looked({ role, here, flight, drill, now, silent_s }: Props) {
  const format = useFormat();
  const log = useCrew((state) => state.log);
  const { view, running, over } = now;
  const { aircraft, mass_kg, bank_rad } = flight;
  const plane = useMemo(() => localPlane(flight.origin), [flight.origin]);
  const flying = useMemo(() => drillNow(drill, view.time_s, running), [drill, view.time_s, running]);
  const flies = !over && view.ended === null;
  const held_mps = speedToHold_mps(aircraft, mass_kg);
  const said = over
    ? { lead: "The flight is over.", rest: "The next one is shown here as soon as it begins.", good: true }
    : running || view.ended
      ? nowWords(view, held_mps, running, format)
      : { lead: view.time_s < 0.1 ? "Ready." : "Stopped.", rest: "Esc or Go on lets it fly.", good: true };
  return (
    <div className="grid h-full grid-cols-[minmax(0,1fr)_324px] max-[1150px]:grid-cols-[minmax(0,1fr)_276px]">
      <main className="grid min-h-0 min-w-0 grid-cols-[minmax(0,1fr)] grid-rows-[auto_minmax(0,1fr)_auto_auto] bg-sheet">
        <CrewHeader
          title={flight.words}
          role={role}
          here={here}
          status={silent_s > SILENT_S ? `Nothing heard of the flight for ${formatNumber(silent_s)} s.` : ""}
          running={flies ? running : null}
        />
        <div className="min-h-0 border-b border-ink2">
          <FlyMap plane={plane} ends={flight.ends} at={view} path={now.path} wind={flight.wind} />
        </div>
        <FlyInstruments
          aircraft={aircraft}
          view={view}
          mass_kg={mass_kg}
          bank_rad={bank_rad}
          disabled={!flies || role !== "monitoring"}
          onSet={sendLever}
        />
        {role === "instructor" ? <FailPanel aircraft={aircraft} now={now} disabled={!flies} /> : <span />}
      </main>
      <DecisionAside said={said} good={said.good} cautions={CAUTIONS}>
        <FlightFigures view={view} path={now.path} brief={flying !== null} />
        {role === "instructor" && (
          <div className="border-t border-rule px-4 py-2 text-[14px]">
            <NoteForm />
          </div>
        )}
        <CrewNotes log={log} />
        {flying && <DrillBeside flying={flying} role={role} />}
      </DecisionAside>
    </div>
  );
}

/** A drill as it stands at a time of the flight. */
function drillNow(drill: DrillShown, time_s: number, running: boolean): (DrillNow & { run: DrillRun }) | null {
  if (!drill) return null;
  const { run, began_s } = drill;
  const state = runAt(run, Math.max(time_s - began_s, run.events.at(-1)?.time_s ?? 0));
  return { run, state, over: isRunOver(run, state), paused: !running };
}

/** The drill that is done with the flight: the half of the one who monitors is done here. */
function DrillBeside({ flying, role }: { flying: DrillNow & { run: DrillRun }; role: CrewRole }) {
  const { act } = useCrew.getState();
  const { run, state } = flying;
  const { procedure } = run;
  const step = isRunOver(run, state) ? undefined : procedure.steps.at(state.drill.at);
  const byHand = (event: HandEvent) => {
    if (role === "monitoring" && event.type !== "back")
      void act({ kind: "hand", event: { ...event, actor: "monitoring" } });
  };
  return (
    <section aria-label="Drill">
      {step ? (
        <DueStep
          step={step}
          flying={flying}
          ofTwo={run.dead !== null}
          spoken={false}
          role={role}
          onAct={byHand}
          onTick={() => step.kind === "say" && byHand({ type: "say" })}
        />
      ) : (
        <p className="border-y-2 border-ink px-4 py-2 text-[18px] font-bold">The drill is done.</p>
      )}
      {role === "monitoring" && step && <DrillPanel procedure={procedure} flying={flying} onAct={byHand} />}
    </section>
  );
}
