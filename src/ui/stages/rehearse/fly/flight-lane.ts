// The worker that flies, for as long as the page does.
import type * as Comlink from "comlink";
import { toast } from "sonner";
import { type FlownResult, flownResult, flownScore } from "@/core/exercise/flown-result";
import { drillResult } from "@/core/exercise/flown-drill";
import { failedFrom } from "@/core/exercise/glide-rows";
import type { Practice } from "@/core/exercise/height-account";
import { type Issue, issuesOf } from "@/core/outcome";
import type { Actor, Procedure } from "@/core/procedure/procedure";
import type { Assistance, HandKey } from "@/core/simulation/at-controls";
import type { Planned } from "@/core/simulation/cockpit";
import type { FlightView } from "@/core/simulation/flight-view";
import { KEPT_FLIGHT_VERSION, KeptFlight } from "@/core/simulation/kept-flight";
import type { PlannedGlide } from "@/core/simulation/planned-legs";
import type { FailureKind } from "@/core/simulation/trouble";
import { useSituation } from "@/ui/situation/situation-store";
import { terrainSettled } from "@/ui/kit/lanes/terrain";
import { heard, startFlight } from "@/workers/flight-client";
import type { FlightWorker } from "@/workers/flight.worker";
import { bookSpeed_mps } from "@/core/exercise/book-speed";
import { exercisesOf } from "../exercises/useExercises";
import type { HandEvent } from "../drill/drill-store";
import { speedToHold_mps, toHold } from "./fly-set-up";
import { useFlights } from "./flights-store";
import { type DrillOfFlight, actedInDrill, leadDrill } from "./fly-drill";
import { type FlownFlight, type UnderWay, useFly } from "./fly-store";
import { sendWaiting } from "./send-flights";

let lane: Promise<Comlink.Remote<FlightWorker>> | null = null;

/** The flight that was over last, and after how many steps. */
let over: { readonly under: UnderWay; readonly steps: number } | null = null;

/** What is shorter was no flight: two seconds. */
const LEAST_ROWS = 20;
/** A point of the path is kept every so far, m; so many at most. */
const PATH_M = 25;
const PATH_MOST = 20_000;

/** The worker, started when it is first needed, over the ground that the page has. */
function flight(): Promise<Comlink.Remote<FlightWorker>> {
  lane ??= (async () => {
    const { flown } = startFlight();
    await flown.listen(heard((view: FlightView) => shown(view)));
    return flown;
  })();
  return lane;
}

function shown(view: FlightView): void {
  useFly.setState(({ path, running, under, drill: before }) => {
    const at = path.length;
    const far =
      at === 0 || Math.hypot(view.north_m - path[at - 2], view.east_m - path[at - 1]) > PATH_M
        ? [...path.slice(-PATH_MOST), view.north_m, view.east_m]
        : path;
    const drill = under?.procedure ? leadDrill(drillOf(under, under.procedure), before, view) : null;
    return { view, drill, path: far, running: running && view.ended === null };
  });
  if (view.ended) void landed();
}

const drillOf = ({ flown, fails }: UnderWay, procedure: Procedure): DrillOfFlight => {
  const { aircraft, mass_kg } = flown.setUp;
  return { aircraft, procedure, speed_mps: speedToHold_mps(aircraft, mass_kg), waits: fails };
};

/** Something of the drill is said, named, answered or set at its panel; what it sets is set in the aeroplane. */
export async function actInDrill(event: HandEvent, by: Actor | null = null): Promise<void> {
  const { under, drill, view } = useFly.getState();
  if (!under || !drill || !view) return;
  const done = actedInDrill(under.flown.setUp.aircraft, drill, view, event, by);
  useFly.setState({ drill: done.drill });
  if (done.moved) await set(done.moved.control, done.moved.value);
}

/** How far each point of the ground is from the coast, m; null without ground. */
export async function coastOf(): Promise<Float32Array | null> {
  const worker = await flight();
  await worker.useTerrain(await terrainSettled());
  return worker.coast();
}

/** Sets a flight up; it stands until it is let go. @returns what is wrong with it, or null */
export async function beginFlight(
  under: UnderWay,
  planned: readonly Planned[],
  assistance: Assistance,
): Promise<Issue | null> {
  const worker = await flight();
  await worker.useTerrain(await terrainSettled());
  const begun = await worker.begin(under.flown, assistance, planned);
  if (!begun.ok) {
    useFly.setState({ under: null, view: null, drill: null, issue: begun.issue, running: false });
    return begun.issue;
  }
  const { north_m, east_m } = begun.value;
  useFly.setState({
    under,
    view: begun.value,
    drill: null,
    issue: null,
    running: false,
    path: [north_m, east_m],
  });
  return null;
}

/** Lets it go, or holds it. */
export async function letGo(on: boolean): Promise<void> {
  const worker = await flight();
  await worker.go(on, useFly.getState().half ? 0.5 : 1);
  if (!on) await worker.release();
  useFly.setState(({ view }) => ({ running: on && view?.ended === null }));
}

/** Half as fast, or as fast as it is. */
export async function goHalf(half: boolean): Promise<void> {
  useFly.setState({ half });
  if (useFly.getState().running) await letGo(true);
}

/** Back by so many seconds; it stands then. */
export async function goBack(seconds: number): Promise<void> {
  const worker = await flight();
  await letGo(false);
  const view = await worker.back(seconds);
  if (view) shown(view);
}

/** A key that flies, down or up. */
export const press = async (key: HandKey, down: boolean): Promise<void> => (await flight()).press(key, down);

/** A stick that is held, or let go with null. */
export const holdStick = async (stick: Parameters<FlightWorker["stick"]>[0]): Promise<void> =>
  (await flight()).stick(stick);

/** A lever or a switch. */
export async function set(control: number, value: number): Promise<void> {
  const view = await (await flight()).set(control, value);
  if (view && !useFly.getState().running) useFly.setState({ view });
}

/** What helps from now on. */
export async function assist(assistance: Partial<Assistance>): Promise<void> {
  useFly.getState().help(assistance);
  await (await flight()).assist(useFly.getState().assistance);
}

/** Something fails now. */
export const failNow = async (kind: FailureKind, engine: 0 | 1 | null): Promise<void> =>
  (await flight()).fail(kind, engine);

/** Something fails later; with null, nothing more that is to. */
export async function failLater(planned: Planned | null): Promise<void> {
  await (await flight()).failLater(planned);
}

/** What is to fail. */
export const toFail = async (): Promise<readonly Planned[]> => (await flight()).planned();

/** It is over: what was flown is kept for the replay. */
export async function landed(): Promise<void> {
  const { under, view, drill, assistance } = useFly.getState();
  const worked = await (await flight()).result();
  if (!under || !worked) return;
  const { rows, recording, state, backs } = worked;
  // One that has ended by itself is ended by hand too: it is the same flight.
  if (over?.under === under && over.steps === recording.steps) return;
  over = { under, steps: recording.steps };
  const { flown, words, exerciseId } = under;
  const done = KeptFlight.safeParse({
    format: "utrimax/kept-flight",
    version: KEPT_FLIGHT_VERSION,
    at: new Date().toISOString(),
    words,
    exerciseId,
    assistance,
    drill: drill && { began_s: drill.began_s, run: drill.run },
    backs,
    ended: view?.ended ?? null,
    flown,
    recording,
    state,
  });
  if (!done.success) throw new Error(`landed: ${issuesOf(done.error)[0].path} cannot be kept`);
  useFly.setState({ last: { flight: done.data, rows }, account: null, running: false });
  if (rows.length <= LEAST_ROWS) return;
  // What was kept before is read first, or it would be written over.
  if (!useFlights.persist.hasHydrated()) await useFlights.persist.rehydrate();
  const result = await cameOf({ flight: done.data, rows });
  useFlights.getState().keep(done.data, { id: crypto.randomUUID(), at: done.data.at, result });
  // Nobody waits for the server.
  void sendWaiting().then((fault) => fault !== null && toast(fault));
}

/** What came of a flight: as it is judged, and as its exercise is. */
async function cameOf(last: FlownFlight): Promise<FlownResult> {
  const { flight: kept, rows } = last;
  const { aircraft } = kept.flown.setUp;
  const exercise = exercisesOf(aircraft).exercises.find(({ id }) => id === kept.exerciseId);
  return flownResult(rows, {
    held: toHold(kept),
    ended: kept.ended,
    spent: await spentOf(last, failedFrom(rows), useSituation.getState().current.pilot),
    score: exercise
      ? flownScore(exercise, rows, { drill: drillResult(kept, rows), book_mps: bookSpeed_mps(aircraft) })
      : null,
  });
}

/** The rows of a kept flight, flown again. */
export async function flownAgain({ flown, recording }: KeptFlight) {
  const worker = await flight();
  await worker.useTerrain(await terrainSettled());
  return worker.again(flown, recording);
}

/** Flies a kept flight again, to be looked at. @returns what is wrong with it, or null */
export async function lookAgain(kept: KeptFlight): Promise<Issue | null> {
  const rows = await flownAgain(kept);
  if (!rows.ok) return rows.issue;
  useFly.setState({ last: { flight: kept, rows: rows.value }, account: null });
  return null;
}

/** Where the height of a flight went since a row of its trace; null where that cannot be said. */
export async function spentOf({ flight: kept, rows }: FlownFlight, from: number, practice: Practice) {
  const spent = await (await flight()).spent(kept.flown.setUp, rows, from, practice);
  return spent.ok ? spent.value : null;
}

/** The flight as the modelled pilot would have flown a plan from a step on; null where that cannot be said. */
export async function insteadOf({ flight: kept }: FlownFlight, step: number, plan: PlannedGlide, aim_m: number) {
  const instead = await (await flight()).instead(kept.flown, kept.recording, step, plan, aim_m);
  return instead.ok ? instead.value : null;
}

/** Ends it where it is. */
export async function end(): Promise<void> {
  await letGo(false);
  await landed();
  useFly.setState({ under: null, view: null, drill: null, path: [] });
}
