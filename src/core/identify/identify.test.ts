import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { demoTwin, demoTwinQuestion } from "../../../demo/demo-twin";
import { deadDragArea_m2 } from "../engine/engine-force";
import { zeroSideslip } from "../asymmetric/one-engine-climb";
import { MPS_PER_KT, ZERO_CELSIUS_K } from "../quantities/constants";
import { FAULTS, type FaultKind, faultOf } from "../engine/engine-fault";
import { GAUGE_SECONDS, type GaugeQuestion, gaugeHistory, sinkOnNone_mps } from "./gauge-history";
import { cuesAt } from "./gauge-verdict";

const EAS = 95 * MPS_PER_KT;
const ask = (fault: FaultKind, change: Partial<GaugeQuestion> = {}, name?: string) => {
  const found = gaugeHistory({
    question: demoTwinQuestion({ altitude_m: 600 }, name),
    eas_mps: name === "cedar-j2" ? 85 : EAS,
    fault,
    engine: "left",
    closed: null,
    ...change,
  });
  if (!found.ok) throw new Error(found.issue.message);
  return found.value;
};
const full_N = zeroSideslip(demoTwin({ altitude_m: 600 }), EAS)?.pedal_N ?? NaN;
const cue = (fault: FaultKind, at_s: number, name: string, change: Partial<GaugeQuestion> = {}) =>
  cuesAt(ask(fault, change)[at_s], fault, change.engine ?? "left", full_N).find((found) => found.cue === name);

describe("a dead engine's gauges (common practice)", () => {
  it("the windmilling propeller holds its speed, manifold pressure follows the throttle, exhaust temperature collapses", () => {
    const [before, after] = [ask("starvation")[0], ask("starvation")[20]];
    expect((after.left.rpm ?? 0) / (before.left.rpm ?? 1)).toBeGreaterThan(0.97);
    expect(after.left.manifold).toBe(after.right.manifold);
    expect((after.left.exhaust ?? 0) - ZERO_CELSIUS_K).toBeLessThan(300);
    expect((after.right.exhaust ?? 0) - ZERO_CELSIUS_K).toBeGreaterThan(700);
    expect(after.left.fuelFlow ?? 1).toBeLessThan(0.01 * (after.right.fuelFlow ?? 0));
    expect(cue("starvation", 20, "rpm")?.verdict).toBe("misleads");
    expect(cue("starvation", 20, "manifold")?.verdict).toBe("misleads");
    expect(cue("starvation", 20, "exhaust")?.verdict).toBe("settles");
    expect(cue("starvation", 20, "foot")?.verdict).toBe("settles");
  });

  it("with the ignition gone even fuel flow misleads", () => {
    expect(cue("ignition", 20, "fuelFlow")?.verdict).toBe("misleads");
    expect(cue("ignition", 20, "exhaust")?.verdict).toBe("settles");
  });

  it("ice takes manifold pressure although the throttle stands; a seized engine has outside pressure and no speed", () => {
    const iced = ask("ice")[40];
    expect(iced.left.manifold ?? 0).toBeLessThan(0.7 * (iced.right.manifold ?? 0));
    const seized = ask("seizure")[10];
    expect(seized.left.rpm).toBe(0);
    expect(seized.left.manifold ?? 0).toBeGreaterThan(seized.right.manifold ?? Infinity);
    expect(seized.left.oil ?? 1).toBeLessThan(1000);
  });

  it("the selector gives ten good seconds and a surge; the mixture runs hot before it runs cold; a runaway overspeeds", () => {
    const selector = ask("selector");
    expect(selector[8].foot_N).toBeCloseTo(0, 6);
    expect(Math.abs(selector[25].foot_N)).toBeGreaterThan(0.9 * Math.abs(full_N));
    const mixture = ask("mixture");
    expect(mixture[10].left.exhaust ?? 0).toBeGreaterThan((mixture[0].left.exhaust ?? 0) + 20);
    expect(mixture[45].left.exhaust ?? Infinity).toBeLessThan(mixture[0].left.exhaust ?? 0);
    expect(ask("overspeed")[10].left.rpm).toBeCloseTo(1.15 * 2700, 6);
  });

  it("at slow speed the windmill no longer holds the governed speed", () => {
    const slow = ask("starvation", { eas_mps: 32 })[20];
    expect(slow.left.rpm ?? 0).toBeLessThan(0.95 * (slow.right.rpm ?? 0));
  });
});

describe("what the aeroplane says", () => {
  it("dead foot, dead engine: the foot that works is on the live side, for either engine", () => {
    expect(ask("starvation", { engine: "left" })[20].foot_N).toBeGreaterThan(0);
    expect(ask("starvation", { engine: "right" })[20].foot_N).toBeLessThan(0);
    expect(ask("starvation", { engine: "left" })[20].yaw_rad).toBeLessThan(0);
    expect(ask("starvation", { engine: "left" })[60].foot_N).toBeCloseTo(full_N, 0);
  });

  it("a failed gauge moves neither foot nor nose, and misleads alone", () => {
    expect(ask("gauge").every((at) => at.foot_N === 0 && at.yaw_rad === 0)).toBe(true);
    expect(cue("gauge", 20, "manifold")?.verdict).toBe("misleads");
    expect(cue("gauge", 20, "exhaust")?.verdict).toBe("hints");
    expect(cue("gauge", 20, "foot")?.verdict).toBe("silent");
  });

  it("with a lever stuck forward the dead foot is on the side of the good engine", () => {
    const at = ask("stuck", { engine: "left" })[20];
    expect(at.foot_N).toBeLessThan(0);
    expect(at.left.manifold ?? 0).toBeGreaterThan(at.right.manifold ?? Infinity);
    expect(cue("stuck", 20, "foot")?.verdict).toBe("misleads");
    expect(cue("stuck", 20, "manifold")?.verdict).toBe("settles");
  });
});

describe("verifying", () => {
  it("closing the lever of a dead engine changes nothing but its manifold pressure; closing the good one's takes the yaw away with the power", () => {
    const [open, right, wrong] = [
      ask("starvation"),
      ask("starvation", { closed: { engine: "left", time_s: 30 } }),
      ask("starvation", { closed: { engine: "right", time_s: 30 } }),
    ];
    expect(right[40].foot_N).toBeCloseTo(open[40].foot_N, 0);
    expect(right[40].left.manifold ?? 0).toBeLessThan(0.5 * (open[40].left.manifold ?? 0));
    expect(Math.abs(wrong[40].foot_N)).toBeLessThan(0.1 * Math.abs(open[40].foot_N));
    expect(wrong[40].right.exhaust ?? 0).toBeLessThan(open[40].right.exhaust ?? 0);
  });

  it("shutting down the wrong one leaves a glide of about a tenth (arithmetic: V/(L/D))", () => {
    const one = demoTwin();
    const sink = sinkOnNone_mps(one, 43, deadDragArea_m2(one.question.aircraft, "feathered") ?? 0);
    expect(43 / sink).toBeGreaterThan(9);
    expect(43 / sink).toBeLessThan(13);
  });
});

describe("every fault on every kind of engine", () => {
  it("gives a whole minute of finite readings, none negative, alike before it strikes", () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...FAULTS.map(({ kind }) => kind)),
        fc.constantFrom("left" as const, "right" as const),
        fc.constantFrom("larch-t2", "hornbeam-t2c", "cedar-j2"),
        (fault, engine, name) => {
          const asked = {
            question: demoTwinQuestion({}, name),
            eas_mps: name === "cedar-j2" ? 85 : 55,
            fault,
            engine,
            closed: null,
          };
          const found = gaugeHistory(asked);
          if (!found.ok) {
            expect(found.issue.code).toBe("no_such_fault");
            expect(faultOf(fault).jet).toBe(false);
            return;
          }
          expect(found.value).toHaveLength(GAUGE_SECONDS + 1);
          for (const at of found.value)
            for (const reading of [...Object.values(at.left), ...Object.values(at.right)])
              expect(reading).toBeGreaterThanOrEqual(0);
          expect(Math.abs(found.value[0].foot_N)).toBeLessThan(0.02 * Math.abs(full_N));
        },
      ),
      { numRuns: 40 },
    );
  });

  it("jets have no mixture", () => {
    expect(
      gaugeHistory({
        question: demoTwinQuestion({}, "cedar-j2"),
        eas_mps: 85,
        fault: "mixture",
        engine: "left",
        closed: null,
      }),
    ).toMatchObject({ ok: false, issue: { code: "no_such_fault" } });
  });
});
