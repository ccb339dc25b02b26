import { describe, expect, it } from "vitest";
import { TRACE_CHANNELS, type TraceChannel } from "../simulation/flight-trace";
import { FlownResult, flownResult, outOf, seconds } from "./flown-result";
import { actedAt, failedFrom, touchOf } from "./glide-rows";
import { pilotHand } from "./pilot-hand";

const row = (of: Partial<Record<TraceChannel, number>>) => TRACE_CHANNELS.map((channel) => of[channel] ?? 0);
const HELD = { speed_mps: 34, bank_rad: 0.79, margin: 1.1 };

/** A flight of forty seconds whose engine stops at two; acted at five; a turn from ten to twenty; down at 35. */
const rows = Array.from({ length: 400 }, (_, i) =>
  row({
    time_s: i / 10,
    height_m: i < 350 ? 140 - 0.4 * i : 0,
    ias_mps: i < 200 ? 34 + (i % 2 === 0 ? 1 : -1) : 40,
    climb_mps: -4,
    bank_rad: i >= 100 && i < 200 ? -0.6 : 0,
    pitch_rad: i < 50 ? 0.05 : -0.05,
    overStall: i >= 120 && i < 125 ? 1.05 : 1.4,
    ball: i >= 300 && i < 310 ? -0.7 : 0,
    thrust0_N: i < 20 ? 1200 : -160,
    touch: i < 350 ? 0 : 1,
  }),
);

describe("what came of a flight by hand", () => {
  it("each band by its own seconds, only in the air and since it failed", () => {
    const out = outOf(rows, HELD);
    expect({
      speed: seconds(out.speed),
      bank: seconds(out.bank),
      ball: seconds(out.ball),
      stall: seconds(out.stall),
      // 12 m are passed at 32.0 s.
    }).toEqual({ speed: 12, bank: 0, ball: 1, stall: 0.5 });
    expect(seconds(outOf(rows, { ...HELD, bank_rad: 0.5 }).bank)).toBe(10);
    expect(failedFrom(rows)).toBe(20);
    // A throttle that is shut on the ground is no failure.
    const taxied = Array.from({ length: 30 }, (_, i) => row({ thrust0_N: i < 20 ? 900 : -20, touch: 1 }));
    expect(failedFrom([...taxied, ...rows])).toBe(50);
    expect(touchOf(rows)).toMatchObject({ row: 350, sink_mps: 4, ias_mps: 40 });
  });

  it("is a document with its hand: until it acted, its bank, its speed, each with how far it strays", () => {
    const result = flownResult(rows, { held: HELD, ended: null, spent: null, score: null });
    expect(FlownResult.parse(result)).toEqual(result);
    expect(result).toMatchObject({ ended: "down", took_s: 39.9, glide: null, verdict: null });
    expect(result.hand?.reaction_s).toBeCloseTo(3, 6);
    expect(result.hand?.bank?.mean_rad).toBeGreaterThan(0.5);
    expect(result.hand?.bank?.mean_rad).toBeLessThan(0.61);
    // Seven seconds ±1 m/s, then some twelve six too fast.
    expect(result.hand?.speed.off_mps).toBeCloseTo((6 * 113) / 183, 0);
    const crashed = flownResult(rows, {
      held: HELD,
      ended: { kind: "crash", sink_mps: 9, speed_mps: 40 },
      spent: null,
      score: null,
    });
    expect(crashed.ended).toBe("crash");
    expect(flownResult(rows.slice(0, 60), { held: HELD, ended: null, spent: null, score: null })).toMatchObject({
      ended: "air",
      touch: null,
      hand: null,
    });
  });

  it("on one engine half of the ball to the live side is held, as much to the other is not", () => {
    const out = (ball: number, thrust0_N: number, thrust1_N: number) =>
      outOf([row({ height_m: 500, ball, thrust0_N, thrust1_N })], HELD).ball[0];
    expect([0.6, 1, 1.2, -0.4, -0.6].map((ball) => out(ball, -25, 2100))).toEqual([false, false, true, false, true]);
    expect([-0.6, -1, -1.2, 0.4, 0.6].map((ball) => out(ball, 2100, -25))).toEqual([false, false, true, false, true]);
    // Of one engine, and with both alike, there is no such side.
    expect([out(0.6, -160, 0), out(0.6, 900, 0), out(0.6, -25, -25), out(0.6, 900, 900)]).toEqual(Array(4).fill(true));
  });

  it("a lever that is moved is something done, whatever the attitude does", () => {
    const held = (of: Partial<Record<TraceChannel, number>>) =>
      Array.from({ length: 60 }, (_, i) => row({ time_s: i / 10, throttle1: 0.65, ...(i >= 30 ? of : {}) }));
    expect(actedAt(held({}))).toBe(59);
    for (const of of [{ throttle1: 1 }, { throttle0: 0.1 }, { flap: 0.1 }, { gear: 0.06 }, { pitch_rad: -0.06 }])
      expect(actedAt(held(of))).toBe(30);
    expect(actedAt(held({ throttle1: 0.68, bank_rad: 0.08 }))).toBe(59);
  });

  it("of several flights the hand is pooled: spread within and between", () => {
    const hand = (reaction_s: number, off_mps: number, spread_mps: number) => ({
      hand: { reaction_s, bank: null, speed: { off_mps, spread_mps } },
    });
    expect(pilotHand([{ hand: null }])).toBeNull();
    expect(pilotHand([hand(3, 1, 1), { hand: null }, hand(5, 3, 1)])).toEqual({
      flights: 2,
      reaction_s: { mean: 4, spread: 1 },
      bank_rad: null,
      speedOff_mps: { mean: 2, spread: Math.SQRT2 },
    });
  });
});
