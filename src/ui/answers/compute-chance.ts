import { type ChanceCount, type PlannedHeight, addCounts, chanceHeights_m } from "@/core/departure/chance";
import { SCATTER_KINDS, type Scatter, pilotScatter, without } from "@/core/situation/scatter";
import { chanceAt, chanceCurve, chanceGates, gateBracket_m } from "@/core/departure/chance-curve";
import { type DepartureQuestion, TOP_M } from "@/core/departure/departure-day";
import type { Outcome } from "@/core/outcome";
import type { Work } from "@/ui/kit/lanes/core-link";
import { askAll, askCore } from "@/ui/kit/lanes/lanes";
import type { ChanceAnswer, DepartureScan } from "./departure-store";

/**
 * Draws at each height, those flown everywhere before it is known where the gate lies, and how many a worker flies
 * between two reports.
 */
const SAMPLES = 1000;
const FIRST = 200;
const SLICE = 100;
/** The same draws every time and at every height: the gate does not jitter from one look to the next. */
const SEED = 1;

function valueOf<T>(outcome: Outcome<T>): T {
  if (!outcome.ok) throw new Error(outcome.issue.message);
  return outcome.value;
}

/** Pieces of work that fly the draws of a range at a height. */
function slices(
  question: DepartureQuestion,
  plan: PlannedHeight,
  scatter: Scatter,
  [from, to]: readonly [number, number],
  hindsight: boolean,
): Work<ChanceCount>[] {
  return Array.from({ length: (to - from) / SLICE }, (_, i) => {
    const slice = { seed: SEED, samples: SAMPLES, from: from + i * SLICE, to: from + (i + 1) * SLICE };
    return async (core) => valueOf(await core.departureChance(question, plan, scatter, slice, hindsight));
  });
}

/** What the scan planned for the heights it looked at, and a search of its own for the others. */
async function plansFor(
  question: DepartureQuestion,
  scan: Pick<DepartureScan, "best">,
  heights_m: readonly number[],
  signal: AbortSignal,
): Promise<PlannedHeight[]> {
  const plans = await askAll(
    heights_m.map((height_m): Work<PlannedHeight | null> => async (core) => {
      const scanned = scan.best.find((entry) => Math.abs(entry.height_m - height_m) < 1e-6);
      if (scanned) return scanned.turnback && { height_m, technique: scanned.turnback.technique };
      return valueOf(await core.departurePlanned(question, height_m));
    }),
    signal,
  );
  return plans.filter((plan): plan is PlannedHeight => plan !== null);
}

/**
 * The chance by height, on every core. Few draws everywhere tell where the gate lies, all draws on both sides of it
 * settle it; then the rest of the curve, hindsight, and what scatters most.
 *
 * @param scan - of the same question
 * @param report - told the share that is done
 * @param early - told the answer with its gate settled, long before the rest
 * @returns rejects with the signal's reason when it is aborted
 */
export async function computeChance(
  question: DepartureQuestion,
  scan: Pick<DepartureScan, "best" | "bands">,
  signal: AbortSignal,
  report: (share: number) => void,
  early: (answer: ChanceAnswer) => void,
): Promise<ChanceAnswer> {
  const began = performance.now();
  const scatter = pilotScatter(question.pilot);
  const heights = chanceHeights_m(scan.bands[0]?.from_m ?? null).filter((height_m) => height_m <= TOP_M);
  const flown = await plansFor(question, scan, heights, signal);
  // Few everywhere, the rest on both sides of the gate, all with hindsight, and each kind made exact, a third as long.
  const draws =
    flown.length * FIRST + 2 * (SAMPLES - FIRST) + flown.length * SAMPLES + (SCATTER_KINDS.length / 3) * SAMPLES;
  const total = draws / SLICE;
  let done = 0;
  const fly = async (work: readonly Work<ChanceCount>[], weight = 1) => {
    const before = done;
    const counts = await askAll(work, signal, (finished) => report((before + finished * weight) / total));
    done += work.length * weight;
    return counts;
  };
  const answer = async (
    counts: readonly ChanceCount[],
    hindsight: boolean,
    more: Pick<ChanceAnswer, "complete" | "sensitivity">,
  ): Promise<ChanceAnswer> => {
    const curve = chanceCurve(heights, counts, hindsight);
    const gates = chanceGates(question.plan, curve);
    const { gate_m } = gates;
    const lookedAt =
      gate_m === null || gate_m > TOP_M
        ? null
        : valueOf(
            await askCore("long", async (core) =>
              core.departureAt(
                question,
                { height_m: gate_m, side: null, flown: null, endId: null },
                question.runway.threshold,
              ),
            ),
          );
    return {
      ...more,
      question,
      curve,
      gates,
      atGate: lookedAt?.account ?? null,
      chanceAtGate: gate_m === null ? null : chanceAt(curve, gate_m),
      took_ms: performance.now() - began,
    };
  };

  const first = await fly(flown.flatMap((plan) => slices(question, plan, scatter, [0, FIRST], false)));
  const bracket = gateBracket_m(chanceCurve(heights, first, false), question.plan.requiredChance);
  const near = flown.filter((plan) => bracket.includes(plan.height_m));
  const settled = await fly(near.flatMap((plan) => slices(question, plan, scatter, [FIRST, SAMPLES], false)));
  const gate = await answer([...first, ...settled], false, { complete: false, sensitivity: null });
  signal.throwIfAborted();
  early(gate);

  const counts = await fly(flown.flatMap((plan) => slices(question, plan, scatter, [0, SAMPLES], true)));
  const curve = chanceCurve(heights, counts, true);
  // What scatters matters where the chance is neither nothing nor certain: at the height nearest to the level asked
  // for, from below.
  const asked = [...curve].reverse().find((point) => point.chance < question.plan.requiredChance) ?? curve[0];
  const there = flown.find((plan) => plan.height_m === asked.height_m);
  const exact = [];
  for (const kind of there ? SCATTER_KINDS : []) {
    const own = there && (await fly(slices(question, there, without(scatter, kind), [0, SAMPLES], false), 1 / 3));
    exact.push({ kind, chance: (addCounts([own ?? []])[0]?.succeeded ?? 0) / SAMPLES });
  }
  return answer(counts, true, {
    complete: true,
    sensitivity: there
      ? { height_m: there.height_m, chance: asked.chance, exact: exact.sort((a, b) => b.chance - a.chance) }
      : null,
  });
}
