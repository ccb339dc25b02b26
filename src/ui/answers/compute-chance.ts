import {
  type ChanceCount,
  type PlannedHeight,
  SCATTER_KINDS,
  addCounts,
  chanceHeights_m,
  pilotScatter,
  wilson,
  without,
} from "@/core/departure/chance";
import { type DepartureInput, TOP_M } from "@/core/departure/departure-day";
import { gateOf, schoolGates } from "@/core/departure/gate";
import type { Outcome } from "@/core/outcome";
import type { Work } from "@/ui/kit/lanes/core-link";
import { askAll, askCore } from "@/ui/kit/lanes/lanes";
import type { ChanceAnswer } from "./departure-store";

/** Draws at each height, and how many a worker flies between two reports. */
const SAMPLES = 1000;
const SLICE = 100;
/** The same draws every time: the gate does not jitter from one look to the next. */
const SEED = 1;

function valueOf<T>(outcome: Outcome<T>): T {
  if (!outcome.ok) throw new Error(outcome.issue.message);
  return outcome.value;
}

/**
 * The chance by height, on every core.
 *
 * @param least_m - lowest height that works as planned; null when none does
 * @param report - told the share that is done
 * @returns rejects with the signal's reason when it is aborted
 */
export async function computeChance(
  input: DepartureInput,
  least_m: number | null,
  signal: AbortSignal,
  report: (share: number) => void,
): Promise<ChanceAnswer> {
  const began = performance.now();
  const scatter = pilotScatter(input.pilot);
  const heights = chanceHeights_m(least_m).filter((height_m) => height_m <= TOP_M);
  const planned = await askAll(
    heights.map(
      (height_m): Work<PlannedHeight | null> =>
        async (core) =>
          valueOf(await core.departurePlanned(input, height_m)),
    ),
    signal,
  );
  const flown = planned.filter((plan): plan is PlannedHeight => plan !== null);
  const slices = Array.from({ length: SAMPLES / SLICE }, (_, i) => ({
    seed: SEED,
    samples: SAMPLES,
    from: i * SLICE,
    to: (i + 1) * SLICE,
  }));
  const total = (flown.length + SCATTER_KINDS.length / 3) * slices.length;

  const counting = flown.flatMap((plan) =>
    slices.map(
      (slice): Work<ChanceCount> =>
        async (core) =>
          valueOf(await core.departureChance(input, plan, scatter, slice, true)),
    ),
  );
  const counts = addCounts([await askAll(counting, signal, (finished) => report(finished / total))]);
  const curve = heights.map((height_m) => {
    const count = counts.find((candidate) => candidate.height_m === height_m);
    return count
      ? {
          height_m,
          chance: count.succeeded / count.flown,
          ...wilson(count.succeeded, count.flown),
          hindsight: count.succeededInHindsight / count.flown,
          stalled: count.stalled / count.flown,
        }
      : { height_m, chance: 0, low: 0, high: 0, hindsight: 0, stalled: 1 };
  });
  const gates = schoolGates(input.plan, gateOf(curve, input.plan.requiredChance));

  // What scatters matters where the chance is neither nothing nor certain: at the height nearest to the level asked for, from below.
  const asked = [...curve].reverse().find((point) => point.chance < input.plan.requiredChance) ?? curve[0];
  const there = flown.find((plan) => plan.height_m === asked.height_m);
  const exact = there
    ? await askAll(
        SCATTER_KINDS.flatMap((kind) =>
          slices.map((slice): Work<{ kind: (typeof SCATTER_KINDS)[number]; count: ChanceCount }> => async (core) => ({
            kind,
            count: valueOf(await core.departureChance(input, there, without(scatter, kind), slice, false)),
          })),
        ),
        signal,
        (finished) => report((counting.length + finished / 3) / total),
      )
    : [];
  const { gate_m } = gates;
  const at =
    gate_m === null || gate_m > TOP_M
      ? null
      : valueOf(
          await askCore("long", async (core) =>
            core.departureAt(input, gate_m, null, null, null, input.runway.threshold),
          ),
        );
  return {
    input,
    curve,
    gates,
    atGate: at?.account ?? null,
    chanceAtGate: gates.gate_m === null ? null : chanceAt(curve, gates.gate_m),
    sensitivity: there
      ? {
          height_m: there.height_m,
          chance: asked.chance,
          exact: SCATTER_KINDS.map((kind) => ({
            kind,
            chance:
              exact.filter((part) => part.kind === kind).reduce((sum, part) => sum + part.count.succeeded, 0) / SAMPLES,
          })).sort((a, b) => b.chance - a.chance),
        }
      : null,
    took_ms: performance.now() - began,
  };
}

/** The chance at a height between the curve's points; null outside them. */
export function chanceAt(
  curve: readonly { readonly height_m: number; readonly chance: number }[],
  height_m: number,
): number | null {
  const i = curve.findIndex((point) => point.height_m >= height_m);
  if (i < 0) return null;
  if (i === 0) return curve[0].height_m === height_m ? curve[0].chance : null;
  const [a, b] = [curve[i - 1], curve[i]];
  return a.chance + ((b.chance - a.chance) * (height_m - a.height_m)) / (b.height_m - a.height_m);
}
