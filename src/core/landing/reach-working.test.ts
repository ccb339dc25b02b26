import { describe, expect, it } from "vitest";
import { demoAircraft, demoPlaces, demoSituation, demoTerrain } from "../../../demo/read-demo";
import { landingEnds } from "./landing-end";
import { reachOf } from "./reach";
import { reachQuestion } from "./reach-question";
import { reachWorking } from "./reach-working";

const places = demoPlaces();
const alder = demoAircraft("alder-s1");
const question = reachQuestion(demoSituation(), alder, landingEnds(places));
const found = reachOf(question, demoTerrain());
if (!found.ok) throw new Error(found.issue.message);
const reach = found.value;
const valueOf = (steps: ReturnType<typeof reachWorking>, symbol: string) =>
  Number(steps.find((step) => step.symbol === symbol)?.value);

describe("the working of a way, checked with a pocket calculator", () => {
  const reached = reach.ends.filter((end) => end.path);

  it.each(reached.slice(0, 12).map((end) => [end.name, end] as const))(
    "%s: what there is less every part is what is left",
    (_name, end) => {
      const steps = reachWorking(question, reach, end);
      const margin = steps.filter((step) => step.figure === "margin");
      const spent = margin.filter((step) => step.symbol === "−").reduce((sum, step) => sum + Number(step.value), 0);
      expect(valueOf(margin, "have") - spent).toBeCloseTo(valueOf(margin, "left"), 6);
      // CD0 is the sum of its shares, n is 1/cosφ, the stall in the turn V_S·√n.
      const shares = steps.filter((step) => step.symbol === "ΔCD").reduce((sum, step) => sum + Number(step.value), 0);
      expect(shares).toBeCloseTo(valueOf(steps, "CD0"), 9);
      expect(valueOf(steps, "n")).toBeCloseTo(1 / Math.cos(valueOf(steps, "φ")), 9);
      expect(valueOf(steps, "W/S")).toBeCloseTo((question.mass_kg * 9.80665) / 16.5, 6);
      // L/D over the glide's drag and lift.
      const cl = valueOf(steps, "CL");
      expect(valueOf(steps, "L/D")).toBeCloseTo(cl / (valueOf(steps, "CD0") + 0.0617 * cl * cl), 3);
    },
  );

  it("each turn's height is its angle times the height for each radian", () => {
    for (const end of reached.slice(0, 12)) {
      const steps = reachWorking(question, reach, end);
      const turn = steps.filter((step) => step.figure === "Turn 1");
      const entry = end.path?.ledger.find((part) => part.name === "Turn 1");
      if (entry && entry.height_m > 1)
        expect(valueOf(turn, "ψ") * valueOf(turn, "dh/dψ")).toBeCloseTo(entry.height_m, 3);
    }
  });

  it("where there is no way it says why and nothing of heights", () => {
    const storm = { ...question, wind: { surface: { from_rad: 1, speed_mps: 45 }, layers: [] } };
    const blown = reachOf(storm, null);
    const none = blown.ok ? blown.value.ends.find((end) => !end.path) : undefined;
    if (!blown.ok || !none) throw new Error("expected an end that no way leads to");
    const steps = reachWorking(storm, blown.value, none);
    expect(steps.at(-1)).toMatchObject({ figure: "margin", value: "no path" });
    expect(steps.some((step) => step.symbol === "left")).toBe(false);
  });

  it("every line has a source, and inputs have no formula", () => {
    for (const step of reachWorking(question, reach, reached[0])) expect(step.source).not.toBe("");
  });
});
