import { readFileSync, readdirSync } from "node:fs";
import path from "node:path";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { cleanGlide } from "../aircraft/configuration";
import { polarOf } from "../aircraft/polar";
import { bestGlide } from "../glide/straight-glide";
import type { Outcome } from "../outcome";
import { degrees, radians } from "../quantities/angle";
import { G0, M_PER_FT, RHO0 } from "../quantities/constants";
import { analyse } from "../track/analyse";
import { drawnTrack } from "../track/drawn-track";
import { recogniseLayout } from "../track/formats/csv-layout";
import { KEPT_LOG_VERSION, type KeptLog, dayOf } from "../track/kept-log";
import { readKeptLog } from "../track/read-kept-log";
import { demoAircraft } from "../../../demo/read-demo";
import { type CardLog, filledCard } from "./fill-card";
import { mergedMarks } from "./merged-marks";
import { newCard } from "./new-card";
import { briefedSpeed_mps, cardDay, predictedRun } from "./predicted-run";
import { scaledAircraft } from "./scaled-aircraft";
import { seriesResult, seriesVerdict } from "./series-result";
import { seriesWorking } from "./series-working";
import { type CardMark, type CardRun, TEST_CARD_VERSION, TestCard } from "./test-card";
import { TestCardOfAnyVersion } from "./test-card-versions";

const alder = demoAircraft("alder-s1");
function value<T>(outcome: Outcome<T>): T {
  if (!outcome.ok) throw new Error(outcome.issue.message);
  return outcome.value;
}

const card = (change: Partial<TestCard> = {}): TestCard =>
  TestCard.parse({
    ...newCard("half-turn", "card-1", {
      aircraft: alder,
      mass_kg: 1000,
      deviation_K: -2,
      configuration: cleanGlide(alder),
      deck_m: 762,
    }),
    start_m: 3600 * M_PER_FT,
    ...change,
  });
const ids = () => {
  let n = 0;
  return () => `00000000-0000-4000-8000-${String((n += 1)).padStart(12, "0")}`;
};

function demoLog(): CardLog {
  const text = readFileSync(path.resolve(import.meta.dirname, "../../../demo/logs/half-turns.csv"), "utf8");
  const log: KeptLog = {
    schema: "utrimax/log",
    version: KEPT_LOG_VERSION,
    name: "half-turns.csv",
    text,
    layout: recogniseLayout(text)?.layout ?? null,
    aircraft: alder,
    mass_kg: 1000,
    deviation_K: -2,
    wind: null,
    ends: [],
    stops: null,
    also: [],
  };
  const { flown, flights } = value(analyse(value(readKeptLog(log)), dayOf(log)));
  return {
    id: "00000000-0000-4000-8000-00000000aaaa",
    name: log.name,
    begins_s: flown.log.begins_s,
    flights,
    drawn: drawnTrack(flown),
    holes: flown.log.holes,
    airKnown: true,
    mass_kg: log.mass_kg,
    deviation_K: log.deviation_K,
  };
}
const flownLog = demoLog();

describe("a predicted run", () => {
  it("of a shallow bank comes near to the small-angle turn: h = π·V²/(g·tanφ)·(CD/CL)/cosφ at its roll’s cost", () => {
    const day = value(cardDay(card()));
    const bank = radians(20);
    const run = value(predictedRun(day, bank, 0));
    const cl = (2 * day.polar.wingLoading) / (RHO0 * run.eas_mps ** 2 * Math.cos(bank));
    const epsilon = (day.polar.cd0 + day.polar.k * cl * cl) / cl;
    const tas2 = run.eas_mps ** 2;
    const h = ((Math.PI * tas2) / (G0 * Math.tan(bank))) * (epsilon / Math.cos(bank));
    // Colder air by 2 K and the rolls: a few per cent.
    expect(run.amount / h).toBeGreaterThan(0.98);
    expect(run.amount / h).toBeLessThan(1.06);
  });

  it("is flown at the card’s speed, and faster where that would come too near to the stall", () => {
    const day = value(cardDay(card()));
    expect(briefedSpeed_mps(day, radians(20))).toBeCloseTo(day.card.speed_mps, 9);
    const steep = value(predictedRun(day, radians(55), 1000));
    expect(steep.eas_mps).toBeGreaterThan(day.card.speed_mps);
    expect(steep.overStall).toBeCloseTo(1.2, 9);
  });

  it("costs more height in thinner air, by the density alone", () => {
    const day = value(cardDay(card()));
    const [low, high] = [0, 3000].map((altitude_m) => value(predictedRun(day, radians(30), altitude_m)).amount);
    // At one equivalent speed height per turn goes with V², so with 1/σ; σ at 3 000 m is 0.7423 (ISA).
    expect(high / low).toBeCloseTo(1 / 0.7423, 1);
  });

  it("of a glide at best glide has the sink of its ratio", () => {
    const glide = card({ kind: "glide", deviation_K: 0 });
    const day = value(cardDay(glide));
    const best = bestGlide(value(polarOf(alder, 1000, cleanGlide(alder))).polar);
    const run = value(predictedRun(day, best.eas_mps, 0));
    expect(run.amount).toBeCloseTo(best.eas_mps * Math.sin(Math.atan(1 / best.ratio)), 6);
    expect(run.time_s).toBeCloseTo(100 / run.amount, 6);
  });

  it("is none where the wing is stalled, drag alone carries it, or the bank is beyond what is predicted", () => {
    const day = value(cardDay(card()));
    expect(predictedRun(day, radians(60), 0, 20)).toMatchObject({ ok: false, issue: { code: "stalled" } });
    expect(predictedRun(day, radians(80), 0)).toMatchObject({ ok: false, issue: { code: "bank_outside" } });
    expect(predictedRun(day, 0, 0)).toMatchObject({ ok: false, issue: { code: "bank_outside" } });
    const glide = value(cardDay(card({ kind: "glide" })));
    expect(predictedRun(glide, 199, 0)).toMatchObject({ ok: false, issue: { code: "beyond_terminal" } });
  });
});

describe("a card filled from a log", () => {
  const filled = filledCard(card(), flownLog, [], ids());

  it("has the eight half turns of the log, as steep as they were flown", () => {
    const banks = filled.runs.map((run) => degrees(run.value));
    const flown = [22, 30, 31, 37, 43, 46, 47, 54];
    expect(banks).toHaveLength(flown.length);
    for (const [i, bank] of banks.entries()) expect(Math.abs(bank - flown[i])).toBeLessThan(1.5);
    expect(filled.runs.map(({ number }) => number)).toEqual([1, 2, 3, 4, 5, 6, 7, 8]);
    expect(TestCard.safeParse(filled).success).toBe(true);
  });

  it("takes the same log once", () => {
    expect(filledCard(filled, flownLog, [], ids()).runs).toEqual(filled.runs);
  });

  it("numbers a run as it was marked, and gives what was not marked the numbers that are left", () => {
    const begins_s = flownLog.begins_s ?? 0;
    const third = filled.runs[2];
    const mark = (run: number, at_s: number, removed = false): CardMark => ({
      id: `00000000-0000-4000-9000-${String(run).padStart(12, "0")}`,
      run,
      mark: 0,
      at_ms: Math.round((begins_s + at_s) * 1000),
      removed,
    });
    const named = filledCard(card(), flownLog, [mark(12, third.from_s - 4)], ids());
    expect(named.runs.map(({ number }) => number)).toEqual([1, 2, 3, 4, 5, 6, 7, 12]);
    expect(named.runs.at(-1)?.from_s).toBe(third.from_s);
    const back = filledCard(card(), flownLog, [mark(12, third.from_s - 4, true)], ids());
    expect(back.runs.map(({ number }) => number)).toEqual([1, 2, 3, 4, 5, 6, 7, 8]);
  });

  it("has glides where it is a card of glides", () => {
    expect(filledCard(card({ kind: "glide" }), flownLog, [], ids()).runs.every((run) => run.value > 20)).toBe(true);
  });
});

describe("a series beside its prediction", () => {
  const filled = filledCard(card(), flownLog, [], ids());
  const all = value(seriesResult(filled));

  it("names the run in which the speed ran away, and what of its difference that explains", () => {
    expect(all.rows.filter(({ doubts }) => doubts.length > 0).map(({ run }) => run.number)).toEqual([6]);
    const sixth = all.rows[5];
    expect(sixth.doubts).toEqual(["speed", "outlier"]);
    const explained = (sixth.bySpeed ?? 0) + (sixth.byGain ?? 0);
    expect(explained / (sixth.difference ?? 1)).toBeGreaterThan(0.6);
  });

  it("without it says that the book is too good, by the five per cent that the log was made with", () => {
    const without = {
      ...filled,
      runs: filled.runs.map((run) => (run.number === 6 ? { ...run, leftOut: "speed" } : run)),
    };
    const result = value(seriesResult(without));
    expect(result.asBriefed?.count).toBe(7);
    const verdict = seriesVerdict(result);
    if (verdict.says === "too few") throw new Error("expected a verdict");
    expect(verdict.says).toBe("too good");
    expect(Math.abs(verdict.by - 0.05)).toBeLessThan(verdict.bound);
    // Every run that counts lies where 19 of 20 are said to lie.
    const { mean, runBound } = result.asBriefed ?? { mean: 1, runBound: 0 };
    for (const { run, predicted } of result.rows)
      if (run.leftOut === null) expect(Math.abs(run.flown / (predicted ?? 1) - mean)).toBeLessThan(runBound ?? 0);
  });

  it("predicts each run with the mass and the air of its own log, whatever the card has", () => {
    const [light, heavy] = [850, 1000].map((mass_kg) => {
      const runs = filled.runs.map((run) => ({ ...run, mass_kg }));
      return value(seriesResult({ ...filled, runs })).rows[0].predicted ?? NaN;
    });
    // At one speed and bank weight changes the induced drag and not the zero-lift drag: the heights differ.
    expect(Math.abs(light / heavy - 1)).toBeGreaterThan(0.005);
    const other = value(seriesResult({ ...filled, mass_kg: 850 }));
    expect(other.rows[0].predicted).toBe(all.rows[0].predicted);
    expect(other.briefed.predicted).not.toBe(all.briefed.predicted);
    const beyond = value(seriesResult({ ...filled, runs: filled.runs.map((run) => ({ ...run, mass_kg: 5000 })) }));
    expect(beyond.rows[0].reason).toMatch(/5.?000.kg is outside/u);
    expect(beyond.asBriefed).toBeNull();
  });

  it("is least near 45° of bank: the closed form says just over it at one lift coefficient", () => {
    expect(degrees(all.least?.value ?? 0)).toBeGreaterThan(38);
    expect(degrees(all.least?.value ?? 0)).toBeLessThan(50);
  });

  it("says too little of two runs, agreement of runs as predicted, and that a book may be too careful", () => {
    const day = value(cardDay(filled));
    const runs = (times: number) =>
      filled.runs.map((run, i) => {
        const own = value(predictedRun(day, run.value, run.altitude_m, run.speed?.mean));
        const flown = own.amount * times * (1 + (i % 2 === 0 ? 0.01 : -0.01));
        return { ...run, flown, energy: flown };
      });
    const said = (runsOf: CardRun[]) => seriesVerdict(value(seriesResult({ ...filled, runs: runsOf }))).says;
    expect(said(runs(1).slice(0, 2))).toBe("too few");
    expect(said(runs(1))).toBe("agrees");
    expect(said(runs(1.1))).toBe("too good");
    expect(said(runs(0.9))).toBe("too poor");
  });

  it("shows the working of each figure, and its mean times its prediction is what was flown", () => {
    const steps = seriesWorking(filled, all);
    const of = (figure: string, symbol: string) =>
      steps.find((step) => step.figure === figure && step.symbol === symbol)?.value;
    expect(of("flown", "h")).toBeCloseTo(Number(of("flown", "r̄")) * Number(of("briefed", "h₁₈₀")), 9);
    expect(of("run 6", "Δ")).toBeCloseTo(all.rows[5].difference ?? 0, 9);
    expect(steps.every(({ source }) => source !== "")).toBe(true);
  });

  it("makes a copy whose glide sinks faster by the factor at every speed, and refuses what is no mending", () => {
    const copy = value(scaledAircraft(filled, 1.08, "From a test."));
    for (const bank of [20, 45, 60].map(radians)) {
      const [book, mended] = [alder, copy].map((aircraft) =>
        value(predictedRun(value(cardDay({ ...filled, aircraft })), bank, 1000)),
      );
      expect(mended.amount / book.amount).toBeGreaterThan(1.07);
      expect(mended.amount / book.amount).toBeLessThan(1.09);
    }
    expect(copy.name).toBe("Alder S1, as flown");
    expect(scaledAircraft(filled, 3, "")).toMatchObject({ ok: false, issue: { code: "factor_outside" } });
  });

  it("refuses a card without a polar, with the reason", () => {
    const without = { ...filled, aircraft: { ...alder, polar: null } };
    expect(seriesResult(without)).toMatchObject({ ok: false, issue: { code: "no_polar" } });
  });
});

describe("a card as a document", () => {
  it("is read in every version that was ever written", () => {
    const folder = path.resolve(import.meta.dirname, "versions");
    const names = readdirSync(folder);
    expect(names).toHaveLength(TEST_CARD_VERSION);
    for (const name of names) {
      const old: unknown = JSON.parse(readFileSync(path.join(folder, name), "utf8"));
      expect(TestCardOfAnyVersion.safeParse(old).error?.issues ?? [], name).toEqual([]);
    }
  });

  it("is refused where it is broken off above its start, without runs planned, or with a bank of 80°", () => {
    const faults = (change: object) =>
      TestCard.safeParse({ ...card(), ...change }).error?.issues.map(({ path: at }) => at[0]);
    expect(faults({ abort_m: 3000 })).toEqual(["abort_m"]);
    expect(faults({ points: [] })).toEqual(["points"]);
    expect(faults({ points: [1.4] })).toEqual(["points"]);
    expect(faults({ rules: Array(9).fill("x") })).toEqual(["rules"]);
  });

  it.each(["alder-s1", "rowan-r1", "larch-t2", "hornbeam-t2c", "cedar-j2", "thorn-v12", "fir-p1"])(
    "begins sound for %s, both ways, with a prediction",
    (name) => {
      const aircraft = demoAircraft(name);
      for (const kind of ["half-turn", "glide"] as const) {
        const begun = newCard(kind, "card-2", {
          aircraft,
          mass_kg: aircraft.mass.usual_kg,
          deviation_K: 0,
          configuration: cleanGlide(aircraft),
          deck_m: 762,
        });
        expect(TestCard.safeParse(begun).error?.issues ?? []).toEqual([]);
        const result = value(seriesResult(begun));
        expect(result.briefed.predicted).toBeGreaterThan(0);
        expect(result.asBriefed).toBeNull();
        // Every run as planned ends above the deck; a glide is held for a minute.
        const day = value(cardDay(begun));
        const spent = begun.points.map((point) => value(predictedRun(day, point, begun.start_m)).amount);
        const longest = Math.max(...spent) * (kind === "glide" ? 60 : 1);
        expect(begun.start_m - longest).toBeGreaterThan(begun.abort_m);
        expect(seriesVerdict(result).says).toBe("too few");
      }
    },
  );
});

describe("marks of two devices", () => {
  const mark = fc.record({
    id: fc.integer({ min: 0, max: 12 }).map((n) => `00000000-0000-4000-8000-${String(n).padStart(12, "0")}`),
    removed: fc.boolean(),
  });
  const marks = fc.array(mark, { maxLength: 20 }).map((list) =>
    // What a mark is follows from its id: devices do not change it.
    list.map(({ id, removed }): CardMark => ({
      id,
      run: 1 + (Number(id.slice(-2)) % 5),
      mark: 0,
      at_ms: Number(id.slice(-2)) * 1000,
      removed,
    })),
  );

  it("come to the same in whatever order, however often they are merged", () => {
    fc.assert(
      fc.property(marks, marks, marks, (a, b, c) => {
        expect(mergedMarks(a, b)).toEqual(mergedMarks(b, a));
        expect(mergedMarks(mergedMarks(a, b), c)).toEqual(mergedMarks(a, mergedMarks(b, c)));
        const both = mergedMarks(a, b);
        expect(mergedMarks(both, both)).toEqual(both);
      }),
    );
  });

  it("are taken back where either device took them back, and stand in the order of their time", () => {
    const one: CardMark = { id: "00000000-0000-4000-8000-000000000002", run: 1, mark: 0, at_ms: 2000, removed: false };
    const other: CardMark = { ...one, id: "00000000-0000-4000-8000-000000000001", at_ms: 1000 };
    expect(mergedMarks([one], [other, { ...one, removed: true }])).toEqual([other, { ...one, removed: true }]);
  });
});
