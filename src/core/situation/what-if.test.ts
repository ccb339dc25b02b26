import { describe, expect, it } from "vitest";
import { demoSituation } from "../../../demo/read-demo";
import { whatIfs } from "./what-if";

const DEMO = demoSituation();
const MASS = { minimum_kg: 680, maximum_kg: 1100 };

describe("what if", () => {
  const all = whatIfs(DEMO, MASS, 1, ["a:0", "b:1"]);
  const of = (kind: string) => all.filter((entry) => entry.kind === kind);

  it("changes one thing at a time, both ways, and each other runway", () => {
    expect(all.map(({ kind, by }) => [kind, Math.round(by)])).toEqual([
      ["mass", 100],
      ["mass", -100],
      ["wind", 5],
      ["wind", -5],
      ["temperature", 10],
      ["temperature", -10],
      ["runway", 0],
      ["runway", 0],
    ]);
    const parts = ["mass_kg", "wind", "air", "departure"] as const;
    for (const { change } of all) expect(parts.filter((part) => change[part] !== DEMO[part])).toHaveLength(1);
    expect(of("runway").map(({ change }) => change.departure.endId)).toEqual(["a:0", "b:1"]);
  });

  it("wind grows by ten knots at every height, its direction stays; less than calm is calm", () => {
    const [more, less] = of("wind");
    const ten = 5.14444;
    expect(more.change.wind.surface?.speed_mps).toBeCloseTo((DEMO.wind.surface?.speed_mps ?? 0) + ten, 4);
    expect(more.change.wind.layers.map((layer) => layer.from_rad)).toEqual(
      DEMO.wind.layers.map((layer) => layer.from_rad),
    );
    const light = whatIfs({ ...DEMO, wind: { surface: { from_rad: 2, speed_mps: 3 }, layers: [] } }, MASS, 1, []);
    expect(light[3].change.wind.surface).toEqual({ from_rad: 2, speed_mps: 0 });
    expect(less.change.wind.layers[1].speed_mps).toBeCloseTo(DEMO.wind.layers[1].speed_mps - ten, 4);
  });

  it("a calm gets wind along the runway, and none less", () => {
    const calm = whatIfs({ ...DEMO, wind: { surface: null, layers: [] } }, MASS, 1, []);
    expect(calm[2].change.wind.surface).toEqual({ from_rad: 1, speed_mps: expect.closeTo(5.14444, 4) });
    expect(calm[3].why).toBe("it is calm");
  });

  it("what the aircraft cannot be says why", () => {
    const why = (mass_kg: number) =>
      whatIfs({ ...DEMO, mass_kg }, MASS, 1, [])
        .slice(0, 2)
        .map((entry) => entry.why);
    expect(why(1000)).toEqual([null, null]);
    expect(why(1050)).toEqual(["over its maximum mass", null]);
    expect(why(700)).toEqual([null, "under its least mass"]);
    const hot = whatIfs({ ...DEMO, air: { ...DEMO.air, deviation_K: 55 } }, MASS, 1, []);
    expect(hot[4].why).toContain("60 °C");
    expect(hot[5].why).toBeNull();
  });
});
