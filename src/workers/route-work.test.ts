import { describe, expect, it } from "vitest";
import { routeQuestion } from "@/core/route/asked-route";
import { demoAircraft, demoPlaces, demoSituation, demoTerrain } from "../../demo/read-demo";
import { coverPixels } from "./cover-pixels";
import { routeWork } from "./route-work";
import { inverseField } from "@/core/cover/cover-field";
import { coverGrid } from "@/core/cover/cover-grid";
import { coverMetric } from "@/core/cover/cover-metric";

const question = routeQuestion(demoSituation(), demoAircraft("alder-s1"), demoPlaces());
const terrain = demoTerrain();
const { origin } = terrain;

describe("routes as the stage asks for them", () => {
  const work = routeWork(() => terrain);
  const { outcome } = work.route(question, origin);
  if (!outcome.ok) throw new Error(outcome.issue.message);

  it("the cover is worked out once for what does not change it", () => {
    const moved = { ...question, route: { ...question.route, altitude_m: 2400 } };
    // The same object, not an equal one: it is handed on, not worked out again.
    expect(work.route(question, origin).outcome).toBe(outcome);
    const other = work.route(moved, origin);
    expect(other.outcome.ok && other.outcome.value.points[400].altitude_m).toBeGreaterThan(2000);
  });

  it("less counted on needs more at every point, and each point has its own", () => {
    const worse = work.routePessimistic(question, origin);
    if (!worse.ok) throw new Error(worse.issue.message);
    expect(worse.value).toHaveLength(outcome.value.points.length);
    const lower = worse.value.filter((cover_m, i) => (cover_m ?? 1e9) < (outcome.value.points[i].cover_m ?? 0) - 1);
    expect(lower).toHaveLength(0);
  });

  it("ways round, cursor and working are of the same flight", () => {
    const round = work.routeDetours(question, origin);
    expect(round.ok && round.value.map(({ gap }) => gap)).toEqual([1]);
    const here = work.routeHere(question, origin, 40_000);
    if (!here.ok) throw new Error(here.issue.message);
    const steps = work.routeWorking(question, origin, 40_000);
    const inHand = steps.ok ? steps.value.find(({ symbol }) => symbol === "Δh") : null;
    expect(inHand?.value).toBeCloseTo(here.value.places[0].margin_m, 6);
  });

  it("why there is no answer is handed on", () => {
    const blank = { ...question, aircraft: { ...question.aircraft, polar: null } };
    for (const asked of [
      work.routeDetours(blank, origin),
      work.routeHere(blank, origin, 0),
      work.routePessimistic(blank, origin),
    ])
      expect(asked).toMatchObject({ ok: false, issue: { code: "no_polar" } });
  });
});

describe("what is in reach as pixels", () => {
  const flat = {
    origin,
    west_m: 0,
    south_m: 0,
    cell_m: 100,
    columns: 101,
    rows: 101,
    elevations_m: new Float32Array(101 * 101),
  };
  const sites = [
    { x_m: 2500, y_m: 5000, altitude_m: 0 },
    { x_m: 7500, y_m: 5000, altitude_m: 0 },
  ];
  // Ten to one: from 200 m everything within 2 km.
  const metric = coverMetric(() => 10, { low_m: 0, high_m: 0, step_m: 0 });
  const field = inverseField(coverGrid(flat, 0, []), sites, metric);
  if (!field.ok) throw new Error(field.issue.message);
  const view = { west_m: 0, south_m: 0, resolution_m: 50, width: 200, height: 200 };
  const alphaAt = (pixels: Uint8ClampedArray, x_m: number, y_m: number) =>
    pixels[(Math.floor((10_000 - y_m) / 50) * 200 + Math.floor(x_m / 50)) * 4 + 3];

  it("the edge is drawn where it is, beyond it nothing, within it a hatch", () => {
    const pixels = coverPixels(field.value, view, 200, [1, 2, 3]);
    expect(alphaAt(pixels, 2500 + 1960, 5025)).toBe(255);
    expect(alphaAt(pixels, 2500 + 2200, 5025)).toBe(0);
    const row = Array.from({ length: 30 }, (_, i) => alphaAt(pixels, 1800 + 50 * i, 5025));
    expect(new Set(row)).toEqual(new Set([0, 92]));
    const drawn = pixels.findIndex((value, i) => i % 4 === 3 && value > 0);
    expect([...pixels.slice(drawn - 3, drawn)]).toEqual([1, 2, 3]);
  });

  it("two places share a border half-way between them", () => {
    const pixels = coverPixels(field.value, view, 400, [0, 0, 0]);
    const border = [4900, 4950, 5000, 5050].map((x_m) => alphaAt(pixels, x_m, 5025));
    expect(border).toContain(150);
  });
});
