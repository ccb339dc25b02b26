import { describe, expect, it } from "vitest";
import { demoFlight, flyBy } from "../../../demo/demo-flight";
import { MPS_PER_KT } from "../quantities/constants";
import { freshTrace, noteTrace } from "../simulation/flight-trace";
import { EXERCISES } from "./library";
import { exerciseScore } from "./exercise-score";
import { flownTrace } from "./flown-trace";
import { Trace } from "./trace";

/** Steep turns flown by a modelled pilot at a speed and a bank. */
function turned(bank_deg: number, speed_kt: number) {
  const flight = demoFlight("alder-s1", {
    mass_kg: 900,
    tas_mps: 46,
    throttle: 0.9,
    altitude_m: 900,
    ground: { height: () => 0, water: () => false },
  });
  const trace = freshTrace();
  flyBy(
    flight,
    20,
    { speed_mps: () => speed_kt * MPS_PER_KT, bank_rad: (t) => (Math.min(t / 2, 1) * bank_deg * Math.PI) / 180 },
    (t) => {
      noteTrace(trace, flight, Math.round(t * 120));
      return true;
    },
  );
  return trace.rows;
}

describe("a simulated flight as a trace", () => {
  const exercise = EXERCISES.find(({ id }) => id === "steep-turns");
  if (!exercise) throw new Error("no steep turns");

  it("is a trace like any other, from the row that it is judged from", () => {
    const rows = turned(45, 90);
    const trace = flownTrace(rows, 50);
    expect(() => Trace.parse(trace)).not.toThrow();
    expect(trace.time_s).toHaveLength(rows.length - 50);
    expect(trace.channels.bank?.at(-1)).toBeCloseTo(Math.PI / 4, 1);
    expect(flownTrace(rows, 1e9).time_s).toHaveLength(1);
  });

  it("is scored by the exercise: beyond 60° of bank it has failed at once", () => {
    const verdict = (bank: number) => {
      const score = exerciseScore(exercise, flownTrace(turned(bank, 90), 0), { drill: null, book_mps: null });
      return score.ok ? score.value : null;
    };
    expect(verdict(70)).toMatchObject({ verdict: "failed", failed: [{ event: { channel: "bank" } }] });
    expect(verdict(45)?.failed).toEqual([]);
    // Its drill has not been run: flown alone it passes nothing.
    expect(verdict(45)?.verdict).not.toBe("passed");
  });

  it("too steep to the left has failed as well", () => {
    const trace = flownTrace(turned(70, 90), 0);
    const left = { ...trace, channels: { ...trace.channels, bank: trace.channels.bank?.map((bank) => bank && -bank) } };
    const score = exerciseScore(exercise, left, { drill: null, book_mps: null });
    expect(score).toMatchObject({ ok: true, value: { verdict: "failed", failed: [{ event: { channel: "bank" } }] } });
  });
});
