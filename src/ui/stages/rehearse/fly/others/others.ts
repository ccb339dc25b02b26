// Those who look on at a flight and have a part in it: what they see is told to the server as it changes, what they do
// is done here. The flight goes on without them when the line is lost.
import { toast } from "sonner";
import { create } from "zustand";
import { createJSONStorage, persist } from "zustand/middleware";
import {
  type DrillShown,
  type FlightDid,
  type FlightShown,
  type NowShown,
  type ShownPart,
  forShow,
  thinned,
} from "@/core/exercise/flight-crew";
import type { CrewRole } from "@/core/procedure/crew-run";
import type { DrillRun } from "@/core/procedure/drill-run";
import type { Planned } from "@/core/simulation/cockpit";
import type { FlightView } from "@/core/simulation/flight-view";
import { send } from "@/ui/kit/request";
import { useCrew } from "../../crew/crew-store";
import { actInDrill, failLater, failNow, goBack, letGo, set, toFail } from "../flight-lane";
import { type UnderWay, useFly } from "../fly-store";

/** It is told so often, ms; while nothing changes, every some seconds that it is still there. */
const [TELL_MS, STILL_MS] = [250, 2000];

interface Others {
  /** To be handed over; null while nobody is asked. */
  readonly code: string | null;
  readonly id: string | null;
}

/** Who is asked to look on at the flights of this tab; they are still there when it is loaded anew. */
export const useOthers = create<Others>()(
  persist((): Others => ({ code: null, id: null }), {
    name: "utrimax-others",
    storage: createJSONStorage(() => sessionStorage),
    skipHydration: true,
  }),
);

/** What was told last, by reference: the same is not told again. */
interface Told {
  readonly under: UnderWay | null;
  readonly run: DrillRun | null;
  readonly view: FlightView | null;
  readonly now: NowShown | null;
  readonly at_ms: number;
}
const NOTHING: Told = { under: null, run: null, view: null, now: null, at_ms: 0 };
type Parts = { [Part in ShownPart]?: { flight: FlightShown; drill: DrillShown; now: NowShown }[Part] };

let end: (() => void) | null = null;

/** Asks others in. @returns why it cannot be, or null */
export async function askOthers(aircraft: string): Promise<string | null> {
  const begun = await send<{ id: string; code: string }>("POST", "/api/crews", { aircraft, run: null });
  if (!begun.ok) return begun.issues.map(({ message }) => message).join(" ");
  const { id, code } = begun.value;
  const joined = await send("POST", "/api/crews/join", { code, role: "flying" });
  if (!joined.ok) return joined.issues.map(({ message }) => message).join(" ");
  sendAway();
  useOthers.setState({ code, id });
  showTo(id);
  return null;
}

/** Those who were asked before the page was loaded anew see it again. */
export async function showAgain(): Promise<void> {
  if (end) return;
  await useOthers.persist.rehydrate();
  const { id } = useOthers.getState();
  if (id !== null && !end) showTo(id);
}

function showTo(id: string): void {
  const close = useCrew.getState().open(id);
  let done = 0;
  const deaf = useCrew.subscribe(({ log, clock, link }) => {
    if (link === "gone") return sendAway();
    for (const { seq, role, did } of log)
      if (seq > done) {
        done = seq;
        // Until its clock is told comes what was done before.
        if (role !== "flying" && clock.told_ms > 0) void doneByOther(role, did);
      }
  });
  let told = NOTHING;
  let busy = false;
  const telling = setInterval(() => {
    if (busy) return;
    busy = true;
    void tell(id, told)
      .then((now) => (told = now))
      .finally(() => (busy = false));
  }, TELL_MS);
  end = () => {
    clearInterval(telling);
    deaf();
    close();
  };
}

/** Nobody looks on any more. */
export function sendAway(): void {
  end?.();
  end = null;
  useOthers.setState({ code: null, id: null });
}

/** Tells what has changed; what could not be told is told the next time. @returns what they have now */
async function tell(id: string, told: Told): Promise<Told> {
  // Before anything flies no worker is started for it.
  const planned = useFly.getState().under ? await toFail() : [];
  const [parts, next] = changed(told, performance.now(), planned);
  if (Object.keys(parts).length === 0) return told;
  const answer = await send("POST", `/api/crews/${id}/shown`, forShow(parts));
  if (answer.ok) return next;
  if (!answer.away) {
    toast(answer.issues.map(({ message }) => message).join(" "));
    sendAway();
  }
  return told;
}

/** What of the flight they do not have yet, and what they have with it. */
function changed(told: Told, at_ms: number, planned: readonly Planned[]): readonly [Parts, Told] {
  const { under, view, drill, running, path } = useFly.getState();
  if (!under || !view) {
    if (!told.now || told.now.over) return [{}, told];
    const now = { ...told.now, running: false, over: true };
    return [{ now }, { ...told, under: null, now, at_ms }];
  }
  const begun = under !== told.under;
  const run = drill?.run ?? null;
  const stands = !begun && view === told.view && running === told.now?.running && run === told.run;
  if (stands && at_ms - told.at_ms < STILL_MS) return [{}, told];
  const now: NowShown = { view, running, over: false, planned, path: thinned(path) };
  const parts: Parts = {
    now,
    ...(begun ? { flight: flightOf(under) } : {}),
    ...(begun || run !== told.run ? { drill: drill && { began_s: drill.began_s, run: drill.run } } : {}),
  };
  return [parts, { under, run, view, now, at_ms }];
}

function flightOf({ words, procedure, map, flown }: UnderWay): FlightShown {
  const { aircraft, mass_kg } = flown.setUp;
  const { bank_rad } = useFly.getState().assistance;
  return { words, aircraft, mass_kg, bank_rad, procedure, ...map };
}

/** What somebody else has done is done in the flight. */
async function doneByOther(role: CrewRole, did: FlightDid): Promise<void> {
  if (!useFly.getState().under) return;
  switch (did.kind) {
    case "fail":
      return did.when ? failLater({ ...did.what, when: did.when }) : failNow(did.what.kind, did.what.engine);
    case "calm":
      return failLater(null);
    case "set":
      return set(did.control, did.value);
    case "back":
      return goBack(did.seconds);
    case "go":
    case "stop":
      return letGo(did.kind === "go");
    case "hand":
      return did.event.type === "warning" ? undefined : actInDrill(did.event, role === "monitoring" ? role : null);
    case "note":
      toast(did.text);
      return;
    default:
      return;
  }
}
