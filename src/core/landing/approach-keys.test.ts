import { isAerodrome } from "@/core/places/place";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { DEMO_ORIGIN, demoAircraft, demoPlaces, demoSituation } from "../../../demo/read-demo";
import { localPlane } from "../earth/local-plane";
import { radians } from "../quantities/angle";
import { type KeyCircuit, approachKeys } from "./approach-keys";
import { landingEnds } from "./landing-end";
import { type ReachQuestion, reachQuestion } from "./reach-question";

const aerodromes = demoPlaces().filter(isAerodrome);
const skerrow = landingEnds(aerodromes).filter((end) => end.name === "Skerrow 11")[0];
const { ends: _ends, ...QUESTION } = reachQuestion(demoSituation(), demoAircraft("alder-s1"), [skerrow]);
const aim = localPlane(DEMO_ORIGIN).toPlane(skerrow.aim);

function circuits(change: Partial<Omit<ReachQuestion, "ends">> = {}): Record<"left" | "right", KeyCircuit> {
  const found = approachKeys({ ...QUESTION, ...change }, skerrow, DEMO_ORIGIN);
  if (!found.ok) throw new Error(found.issue.message);
  const [left, right] = found.value.circuits;
  return { left, right };
}
const windOf = (from_deg: number, speed_mps: number) => ({
  wind: { surface: { from_rad: radians(from_deg), speed_mps }, layers: [] },
});
const height = (circuit: KeyCircuit, name: string) => circuit.keys.find((key) => key.name === name)?.height_m ?? NaN;
const CALM = { wind: { surface: null, layers: [] } };

describe("key positions", () => {
  it("come down in the order overhead, abeam, base, final, both in height and in time", () => {
    for (const circuit of Object.values(circuits())) {
      const heights = circuit.keys.map((key) => key.height_m);
      const times = circuit.keys.map((key) => key.before_s);
      expect(circuit.keys.map((key) => key.name)).toEqual(["overhead", "abeam", "base", "final"]);
      expect(heights).toEqual([...heights].sort((a, b) => b - a));
      expect(times).toEqual([...times].sort((a, b) => b - a));
    }
  });

  // Base is half of abeam in calm air: the circuit is the same back from its middle (cross-check 78.176 and 156.353 m).
  it("base is half of abeam in calm air, left and right alike", () => {
    const { left, right } = circuits(CALM);
    for (const circuit of [left, right]) expect(height(circuit, "base") / height(circuit, "abeam")).toBeCloseTo(0.5, 2);
    for (const name of ["overhead", "abeam", "base", "final"])
      expect(height(left, name)).toBeCloseTo(height(right, name), 1);
  });

  it("lie on the circuit that is drawn, which ends at the aim point", () => {
    for (const circuit of Object.values(circuits())) {
      const last = circuit.points[circuit.points.length - 1];
      expect(Math.hypot(last.x_m - aim.x_m, last.y_m - aim.y_m)).toBeLessThan(0.5);
      for (const key of circuit.keys.slice(1))
        expect(
          Math.min(...circuit.points.map((point) => Math.hypot(point.x_m - key.x_m, point.y_m - key.y_m))),
        ).toBeLessThan(60);
    }
  });

  it("a crosswind makes the two sides differ; the other way round it changes them over", () => {
    const east = circuits(windOf(48, 7));
    const west = circuits(windOf(228, 7));
    expect(Math.abs(height(east.left, "abeam") - height(east.right, "abeam"))).toBeGreaterThan(5);
    expect(height(east.left, "overhead")).toBeCloseTo(height(west.right, "overhead"), 0);
  });

  it("cutting the corner saves, and never more than there was", () => {
    for (const circuit of Object.values(circuits())) {
      expect(circuit.cutSaves_m).toBeGreaterThan(0);
      expect((circuit.cutHeight_m ?? 0) + (circuit.cutSaves_m ?? 0)).toBeCloseTo(height(circuit, "abeam"), 6);
    }
  });

  it("final grows, and says so, when the wind would close the base leg", () => {
    // Wind straight down the runway carries the turn back over the ground: without a final it would begin before the
    // aim point is abeam.
    const short = circuits({ ...windOf(138, 13), plan: { ...QUESTION.plan, final_m: 0 } });
    expect(short.left.lengthened_m).toBeGreaterThan(0);
    expect(short.left.final_m).toBe(short.left.lengthened_m);
    expect(circuits({ ...windOf(138, 3) }).left.lengthened_m).toBe(0);
  });

  it("are numbers in every wind up to a gale (property)", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 359 }),
        fc.integer({ min: 0, max: 14 }),
        fc.constantFrom(20, 30, 45),
        (from, speed, bank) => {
          const found = approachKeys(
            { ...QUESTION, ...windOf(from, speed), pilot: { ...QUESTION.pilot, bank_rad: radians(bank) } },
            skerrow,
            DEMO_ORIGIN,
          );
          if (!found.ok) throw new Error(found.issue.message);
          expect(found.value.circuits.length + found.value.issues.length).toBe(2);
          for (const circuit of found.value.circuits)
            for (const key of circuit.keys) expect(Number.isFinite(key.height_m) && key.height_m > 0).toBe(true);
        },
      ),
      { numRuns: 60, seed: 21 },
    );
  });

  it("a storm is told, not guessed", () => {
    const found = approachKeys({ ...QUESTION, ...windOf(48, 60) }, skerrow, DEMO_ORIGIN);
    expect(found.ok && found.value.circuits.length === 0 && found.value.issues.length).toBe(2);
  });
});
