import { describe, expect, it } from "vitest";
import { demoDepartureQuestion } from "../../../demo/demo-departure";
import { demoPlaces, demoSituation } from "../../../demo/read-demo";
import { geodesicBetween } from "../earth/geodesic";
import { localPlane } from "../earth/local-plane";
import { aimPoint_m, landingEnds } from "../landing/landing-end";
import { departureQuestion, departureRunways } from "./departure-question";
import { placeInFrame, runwayFrame } from "./runway-frame";

const { runway } = demoDepartureQuestion();
const places = demoPlaces();
const ends = landingEnds(places);
const situation = demoSituation();

describe("the runway's frame", () => {
  const plane = localPlane({ latitude_deg: -47, longitude_deg: -131 });
  const frame = runwayFrame(runway, plane);

  it.each([
    [0, 0],
    [1150, 0],
    [2000, -400],
    [-300, 250],
  ])("puts (%d, %d) where the Earth has it", (x, y) => {
    const there = plane.toPlane(placeInFrame(runway, x, y));
    const here = frame(x, y);
    // The plane stretches across by 1e-5 and bends by as much at this distance.
    expect(Math.hypot(there.x_m - here.x_m, there.y_m - here.y_m)).toBeLessThan(0.5);
    expect(geodesicBetween(runway.threshold, placeInFrame(runway, x, y)).distance_m).toBeCloseTo(Math.hypot(x, y), 6);
  });

  it("keeps lengths and right angles", () => {
    const [origin, along, across] = [frame(0, 0), frame(1000, 0), frame(0, 1000)];
    const [ax, ay, cx, cy] = [
      along.x_m - origin.x_m,
      along.y_m - origin.y_m,
      across.x_m - origin.x_m,
      across.y_m - origin.y_m,
    ];
    expect(Math.hypot(ax, ay)).toBeCloseTo(1000, 6);
    expect(ax * cx + ay * cy).toBeCloseTo(0, 6);
    // Across is to the right of along.
    expect(ax * cy - ay * cx).toBeLessThan(0);
  });
});

describe("which runway", () => {
  it("the one most into the wind, whatever the wind", () => {
    for (let degrees = 0; degrees < 360; degrees += 30) {
      const from_rad = (degrees * Math.PI) / 180;
      const [first, second] = departureRunways(
        { position: runway.threshold, wind: { surface: { from_rad, speed_mps: 6 }, layers: [] } },
        ends,
      );
      expect(Math.cos(from_rad - first.headingTrue_rad)).toBeGreaterThanOrEqual(
        Math.cos(from_rad - second.headingTrue_rad),
      );
    }
  });

  it("the one that is chosen, even far away; a field never", () => {
    const orrin = ends.find((end) => end.name === "Cape Orrin 08");
    const made = departureQuestion(
      { ...situation, departure: { ...situation.departure, endId: orrin?.id ?? "" } },
      demoDepartureQuestion().aircraft,
      ends,
    );
    expect(made.ok && made.value.runway.name).toBe("Cape Orrin 08");
    const field = ends.find((end) => end.unprepared);
    const other = departureQuestion(
      { ...situation, departure: { ...situation.departure, endId: field?.id ?? "" } },
      demoDepartureQuestion().aircraft,
      ends,
    );
    expect(other.ok && other.value.runway.name).toBe("Skerrow 29");
  });

  it("leaves out the end that is turned back to, and says when there is no runway at all", () => {
    const { ends: others } = demoDepartureQuestion();
    expect(others.some((end) => end.name === "Skerrow 29")).toBe(true);
    expect(others.some((end) => end.name === "Skerrow 11")).toBe(false);
    const none = departureQuestion(
      situation,
      demoDepartureQuestion().aircraft,
      ends.filter((end) => end.unprepared),
    );
    expect(none.ok ? "" : none.issue.code).toBe("no_runway");
  });
});

describe("aim point", () => {
  it.each([
    [400, 100],
    [800, 200],
    [2100, 200],
  ])("of a strip of %d m lies %d m in", (length_m, aim_m) => {
    expect(aimPoint_m(length_m)).toBe(aim_m);
  });
});
