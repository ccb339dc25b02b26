"use client";
import { useEffect, useMemo } from "react";
import { useSelectedLayoutSegment } from "next/navigation";
import { allowedBanks } from "@/core/departure/best-bank";
import type { LatLon } from "@/core/earth/geodesic";
import type { DepartureQuestion } from "@/core/departure/departure-day";
import { COMPARED_BANKS_RAD, SCAN_HEIGHTS_M, type TurnbackAtHeight } from "@/core/departure/scan";
import { asking } from "@/ui/kit/lanes/asking";
import type { Work } from "@/ui/kit/lanes/core-link";
import { askAll, askCore, untilCovered } from "@/ui/kit/lanes/lanes";
import { useTerrain } from "@/ui/kit/lanes/terrain";
import { useKept } from "@/ui/kit/lanes/useAnswer";
import { useRested } from "@/ui/kit/lanes/useRested";
import { usePlaneOrigin } from "@/ui/situation/usePlaneOrigin";
import { flownNear, scanOf, sideOf, turnsBack, useDeparture, type DepartureScan } from "./departure-store";
import { useDepartureQuestion } from "./useDepartureQuestion";

/**
 * A change is waited out this long, so that a value being typed or dragged does not start the long work at every step.
 */
const SETTLE_MS = 100;
/** Heights are dealt out to the workers in so many hands. */
const HANDS = 4;

/** One failure height that is looked at. */
interface Pointed {
  readonly question: DepartureQuestion;
  readonly height_m: number;
  readonly side: 1 | -1 | null;
  readonly flown: ReturnType<typeof flownNear>;
  readonly endId: string | null;
  readonly origin: LatLon;
}

const pointed = asking(
  "pointed",
  (core, { question, height_m, side, flown, endId, origin }: Pointed) =>
    core.departureAt(question, { height_m, side, flown, endId }, origin),
  ({ question }) => JSON.stringify(question.aircraft),
);

pointed.subscribe(() => useDeparture.getState().set({ at: pointed.get().value }));

/** Keeps the scan, the height that is looked at and the chance up to date. */
export function useDepartureAnswer(): void {
  const asked = useDepartureQuestion();
  const stage = useSelectedLayoutSegment();
  const everyBank = stage === "departure";
  const open = everyBank || stage === "today";
  // The ground ahead is another when another terrain has come.
  const terrain = useTerrain((state) => state.grid);
  const wanted = asked.ok ? asked.value : null;
  const question = useRested(wanted, open);

  useEffect(() => {
    if (!asked.ok) useDeparture.getState().set({ scan: null, chance: null, progress: null, issue: asked.issue });
  }, [asked]);

  useEffect(() => {
    const { scan, issue, set } = useDeparture.getState();
    // A refusal of another asked and figures of another aircraft are no answer to this one.
    if (question && (issue || (scan && scan.question.aircraft !== question.aircraft)))
      set({ scan: null, chance: null, progress: null, issue: null });
    // What was the answer to an older question is none until this one is looked at.
    if (wanted && !question) set({ scan: null, chance: null, progress: null, issue: null });
  }, [question, wanted]);

  useEffect(() => {
    if (!question) return;
    const stop = new AbortController();
    const timer = setTimeout(() => void scanAll(question, everyBank, stop.signal), SETTLE_MS);
    return () => {
      clearTimeout(timer);
      stop.abort();
    };
  }, [question, everyBank, terrain]);

  const height_m = useDeparture((state) => state.height_m);
  const choice = useDeparture((state) => state.choice);
  const scan = useDeparture((state) => state.scan);
  const origin = usePlaneOrigin();
  useKept(
    pointed,
    useMemo(
      () =>
        question && open
          ? {
              question,
              height_m,
              side: sideOf(choice),
              flown: flownNear(scan, question, height_m, sideOf(choice)),
              endId: turnsBack(choice) || choice === "stop" || choice === "ahead" ? null : choice,
              origin,
            }
          : null,
      [question, open, height_m, choice, scan, origin],
    ),
  );
  const ready = useDeparture((state) => state.scan !== null && state.scan.question === question && state.scan.complete);
  const stopped = useDeparture((state) => state.stopped);
  useEffect(() => {
    const { set, scan, chance } = useDeparture.getState();
    if (!question || !scan || !open || stopped || !ready || (chance?.question === question && chance.complete)) return;
    const stop = new AbortController();
    set({ progress: 0 });
    const report = (progress: number) => set({ progress });
    // It comes when it is wanted: the first view does without.
    import("./compute-chance")
      .then(({ computeChance }) => computeChance(question, scan, stop.signal, report, (gate) => set({ chance: gate })))
      .then((chance) => set({ chance, progress: null }))
      // Stopped because the asked changed or the user asked; what went wrong otherwise the scan has said already.
      .catch(() => !stop.signal.aborted && set({ progress: null }));
    return () => {
      stop.abort(new DOMException("stopped", "AbortError"));
      set({ progress: null });
    };
  }, [question, open, stopped, ready]);
}

/** Turning back at all heights, both ways, by bank. */
async function turnbacksOf(
  question: DepartureQuestion,
  banks: readonly number[],
  signal: AbortSignal,
): Promise<Map<number, readonly TurnbackAtHeight[]>> {
  // Every hand holds low and high heights, which take unlike long.
  const hands = Array.from({ length: HANDS }, (_, hand) => SCAN_HEIGHTS_M.filter((_, i) => i % HANDS === hand));
  const pieces = banks.flatMap((bank) =>
    hands.map((heights): Work<{ bank: number; turnbacks: TurnbackAtHeight[] }> => async (core) => {
      const outcome = await core.departureTurnbacks(question, bank, heights);
      return { bank, turnbacks: outcome.ok ? outcome.value : [] };
    }),
  );
  const parts = await askAll(pieces, signal);
  return new Map(
    banks.map((bank) => [
      bank,
      parts
        .filter((part) => part.bank === bank)
        .flatMap((part) => part.turnbacks)
        .sort((a, b) => a.height_m - b.height_m),
    ]),
  );
}

/** The whole scan: first with the banks that may be flown, and on the stage with the others too. */
async function scanAll(question: DepartureQuestion, everyBank: boolean, signal: AbortSignal): Promise<void> {
  const { set } = useDeparture.getState();
  const began = performance.now();
  const allowed = allowedBanks(question.plan);
  const others = everyBank
    ? COMPARED_BANKS_RAD.filter((bank) => !allowed.some((own) => Math.abs(own - bank) < 0.009))
    : [];
  try {
    await untilCovered(signal);
    signal.throwIfAborted();
    const [facts, ahead, first] = await Promise.all([
      askCore("long", async (core) => core.departureFacts(question)),
      askCore("long", async (core) => core.departureAhead(question, SCAN_HEIGHTS_M)),
      turnbacksOf(question, allowed, signal),
    ]);
    if (signal.aborted) return;
    if (!facts.ok || !ahead.ok) {
      const refused = facts.ok ? ahead : facts;
      set({ scan: null, chance: null, progress: null, issue: refused.ok ? null : refused.issue });
      return;
    }
    const show = (byBank: DepartureScan["byBank"], complete: boolean) => {
      const parts = { question, facts: facts.value, ahead: ahead.value, byBank, complete };
      const scan = scanOf({ ...parts, took_ms: performance.now() - began }, allowed);
      set({ scan, issue: null, stopped: false });
    };
    show(first, others.length === 0);
    if (others.length > 0) show(new Map([...first, ...(await turnbacksOf(question, others, signal))]), true);
  } catch (error) {
    if (signal.aborted) return;
    const message = `The computation failed: ${error instanceof Error ? error.message : String(error)}`;
    set({ scan: null, issue: { code: "core_failed", path: "", message } });
  }
}
