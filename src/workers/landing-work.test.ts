import { describe, expect, it } from "vitest";
import { DEMO_ORIGIN, demoAircraft, demoPlaces, demoSituation, demoTerrain } from "../../demo/read-demo";
import { landingEnds } from "@/core/landing/landing-end";
import { reachQuestion } from "@/core/landing/reach-question";
import { localPlane } from "@/core/earth/local-plane";
import { landingWork } from "./landing-work";

const places = demoPlaces();
const ends = landingEnds(places);
const skerrow = ends.find((end) => end.name === "Skerrow 11");
const { ends: _ends, ...question } = reachQuestion(demoSituation(), demoAircraft("alder-s1"), ends);
const work = landingWork(() => demoTerrain());

describe("the landing as the stage asks for it", () => {
  it("keys of an end, and the way to it from a key, agree on what is needed", () => {
    if (!skerrow) throw new Error("no Skerrow");
    const keys = work.landingKeys(question, skerrow, DEMO_ORIGIN);
    if (!keys.ok) throw new Error(keys.issue.message);
    const [left] = keys.value.circuits;
    const [overhead] = left.keys;
    const plane = localPlane(DEMO_ORIGIN);
    const way = work.landingWay(
      {
        ...question,
        ends: [skerrow],
        position: plane.toLatLon(overhead),
        altitude_m: skerrow.elevation_m + overhead.height_m,
        headingTrue_rad: skerrow.headingTrue_rad,
        pilot: { ...question.pilot, reaction_s: 0 },
        plan: { ...question.plan, key: "none", reserve_m: 0 },
      },
      DEMO_ORIGIN,
    );
    // The shortest way from overhead is no longer than the circuit.
    expect(way?.path?.margin_m).toBeGreaterThan(-2);
  });

  it("land from a place over the strait, and none without terrain", () => {
    const plane = localPlane(DEMO_ORIGIN);
    const over = plane.toLatLon({ x_m: 12_000, y_m: -24_000 });
    const shores = work.shores(over, 0);
    expect(shores?.nearest?.distance_m).toBeGreaterThanOrEqual(0);
    expect(shores?.ahead_m === null || (shores?.ahead_m ?? -1) >= (shores?.nearest?.distance_m ?? 0) - 100).toBe(true);
    expect(landingWork(() => null).shores(over, 0)).toBeNull();
  });

  it("hands on why there is no answer", () => {
    expect(
      work.minutesLeft({
        aircraft: question.aircraft,
        mass_kg: 1000,
        configuration: question.configuration,
        air: question.air,
        wind: question.wind,
        altitude_m: 100,
        ground_m: 200,
        left_s: 60,
      }),
    ).toMatchObject({ ok: false, issue: { code: "under_ground" } });
    expect(work.landingWay({ ...question, mass_kg: 5000, ends: ends.slice(0, 1) }, DEMO_ORIGIN)).toBeNull();
  });
});
