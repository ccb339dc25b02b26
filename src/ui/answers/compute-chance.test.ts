// How the chance is put together from pieces of work: the core stands in as a chance that rises with height.
import { beforeEach, describe, expect, it, vi } from "vitest";
import type { ChanceCount, PlannedHeight } from "@/core/departure/chance";
import type { DepartureQuestion } from "@/core/departure/departure-day";
import type { Technique } from "@/core/departure/turnback-flight";
import { success } from "@/core/outcome";
import { M_PER_FT } from "@/core/quantities/constants";
import { type Scatter, USUAL_SCATTER } from "@/core/situation/scatter";
import type { Work } from "@/ui/kit/lanes/core-link";
import { demoDepartureQuestion } from "../../../demo/demo-departure";
import { computeChance } from "./compute-chance";
import type { ChanceAnswer, DepartureScan } from "./departure-store";

interface Flown {
  readonly height_m: number;
  readonly from: number;
  readonly to: number;
  readonly hindsight: boolean;
  readonly exact: string | null;
}

const { work } = vi.hoisted(() => ({ work: { flown: [] as unknown[], core: {} as never } }));
vi.mock("@/ui/kit/lanes/lanes", () => ({
  askCore: (_lane: string, one: Work<unknown>) => one(work.core),
  askAll: async (
    pieces: readonly Work<unknown>[],
    signal: AbortSignal,
    done: (finished: number) => void = () => {},
  ) => {
    const results: unknown[] = [];
    for (const piece of pieces) {
      signal.throwIfAborted();
      results.push(await piece(work.core));
      done(results.length);
    }
    return results;
  },
}));

const technique = { side: 1, bank_rad: 0.7, stallMargin: 1.2, intercept_rad: 0.5, extension_s: 0 } as Technique;
const LEAST_M = 400 * M_PER_FT;
/** Half of the pilots come back from here; a little fewer with every metre below, and nobody far below. */
const share = (height_m: number) => Math.min(1, Math.max(0, 0.5 + (height_m - 450 * M_PER_FT) / 200));

beforeEach(() => {
  work.flown = [];
  const core = {
    departurePlanned: async (_question: DepartureQuestion, height_m: number) =>
      success(height_m < LEAST_M - 60 * M_PER_FT ? null : { height_m, technique }),
    departureChance: async (
      _question: DepartureQuestion,
      { height_m }: PlannedHeight,
      scatter: Scatter,
      { from, to }: { from: number; to: number },
      hindsight: boolean,
    ) => {
      const exact = Object.entries(scatter).find(([, value]) => value === 0)?.[0] ?? null;
      work.flown.push({ height_m, from, to, hindsight, exact } satisfies Flown);
      const flown = to - from;
      // The delay matters most, then the bank.
      const better = { delay_s: 0.2, bank_rad: 0.1 }[exact ?? ""] ?? 0;
      const succeeded = Math.round(flown * Math.min(1, share(height_m) + better));
      const succeededInHindsight = hindsight ? Math.min(flown, succeeded + 5) : succeeded;
      return success({ height_m, flown, succeeded, succeededInHindsight, stalled: 0 } satisfies ChanceCount);
    },
    departureAt: async (_question: unknown, { height_m }: { height_m: number }) => success({ account: { height_m } }),
  };
  work.core = core as never;
});

const question = demoDepartureQuestion({ plan: { requiredChance: 0.9, school: "computed" } });
const scan = { best: [], bands: [{ from_m: LEAST_M, to_m: 700 }] } as unknown as DepartureScan;
async function chance(signal = new AbortController().signal) {
  const told: number[] = [];
  const early: ChanceAnswer[] = [];
  const answer = await computeChance(
    question,
    scan,
    signal,
    (done) => told.push(done),
    (first) => early.push(first),
  );
  return { answer, told, early, flown: work.flown as Flown[] };
}

describe("the chance, piece by piece", () => {
  it("the gate that is told early is the one that stays: where the chance that is asked for is reached", async () => {
    const { answer, early } = await chance();
    expect(early).toHaveLength(1);
    expect(early[0]).toMatchObject({ complete: false, sensitivity: null });
    expect(early[0].gates.gate_m).toBe(answer.gates.gate_m);
    const gate_m = answer.gates.gate_m ?? NaN;
    expect(share(gate_m)).toBeGreaterThan(0.88);
    expect(share(gate_m)).toBeLessThan(0.93);
    expect(answer.chanceAtGate).toBeCloseTo(0.9, 1);
    expect(answer.atGate).toEqual({ height_m: gate_m });
  });

  it("before it few are flown everywhere, the rest on both sides of the gate and nowhere else", async () => {
    const { answer, flown } = await chance();
    const before = flown.slice(
      0,
      flown.findIndex(({ hindsight }) => hindsight),
    );
    const heights = answer.curve.length;
    expect(before.filter(({ from }) => from < 200)).toHaveLength(heights * 2);
    const settled = new Set(before.filter(({ from }) => from >= 200).map(({ height_m }) => height_m));
    const gate_m = answer.gates.gate_m ?? NaN;
    const [low, high] = [...settled].sort((a, b) => a - b);
    expect(settled.size).toBe(2);
    expect(low).toBeLessThan(gate_m);
    expect(high).toBeGreaterThanOrEqual(gate_m);
  });

  it("every draw is flown once at each height, with hindsight", async () => {
    const { answer, flown } = await chance();
    for (const { height_m, hindsight, chance: reached } of answer.curve) {
      const here = flown.filter((one) => one.hindsight && one.height_m === height_m);
      expect(here.map(({ from }) => from)).toEqual(Array.from({ length: 10 }, (_, i) => 100 * i));
      expect(hindsight).toBeGreaterThanOrEqual(reached);
    }
  });

  it("what scatters most is looked at where the chance is just missed, the most first", async () => {
    const { answer } = await chance();
    const { sensitivity, curve } = answer;
    if (!sensitivity) throw new Error("expected what scatters most");
    const missed = curve.filter((point) => point.chance < 0.9).map(({ height_m }) => height_m);
    expect(sensitivity.height_m).toBe(Math.max(...missed));
    expect(sensitivity.exact.map(({ kind }) => kind).slice(0, 2)).toEqual(["delay", "bank"]);
    expect(sensitivity.exact[0].chance - sensitivity.chance).toBeCloseTo(0.2, 1);
    expect(sensitivity.exact).toHaveLength(Object.keys(USUAL_SCATTER).length);
  });

  it("says how far it is: rising, and never more than all", async () => {
    const { told } = await chance();
    expect(told.every((done, i) => i === 0 || done > told[i - 1])).toBe(true);
    expect(told.at(-1)).toBeLessThanOrEqual(1 + 1e-9);
    expect(told.at(-1)).toBeGreaterThan(0.9);
  });

  it("a height from which nobody comes back at all is on the curve as such", async () => {
    const low = { ...scan, bands: [{ from_m: LEAST_M - 100 * M_PER_FT, to_m: 700 }] } as unknown as DepartureScan;
    const answer = await computeChance(
      question,
      low,
      new AbortController().signal,
      () => {},
      () => {},
    );
    expect(answer.curve[0]).toMatchObject({ chance: 0, stalled: 1 });
    expect(answer.curve).toHaveLength(11);
  });

  it("stopped it ends with the reason, and nothing more is flown", async () => {
    const stop = new AbortController();
    const running = computeChance(
      question,
      scan,
      stop.signal,
      (done) => done > 0.3 && stop.abort(new Error("stopped")),
      () => {},
    );
    await expect(running).rejects.toThrow("stopped");
    const { length } = work.flown;
    expect(length).toBeLessThan(80);
    await Promise.resolve();
    expect(work.flown).toHaveLength(length);
  });

  it("what the core refuses is the reason", async () => {
    work.core = {
      ...(work.core as object),
      departureChance: async () => ({
        ok: false,
        issue: { code: "no_climb", path: "", message: "It does not climb." },
      }),
    } as never;
    await expect(chance()).rejects.toThrow("It does not climb.");
  });
});
