// An engine with minutes left over the ground: each choice against the glide's cover it ends in, step by step.
import { describe, expect, it } from "vitest";
import { demoAircraft, demoPlaces, demoSituation, demoTerrain } from "../../../demo/read-demo";
import { coverAt } from "../cover/cover-way";
import { elevationAt_m } from "../earth/terrain";
import { routeQuestion } from "../route/asked-route";
import { routeAnswer } from "../route/route-answer";
import { quarterTurn_m, routeField } from "../route/route-field";
import { minutesByGround } from "./minutes-by-ground";

const terrain = demoTerrain();
const question = routeQuestion(demoSituation(), demoAircraft("alder-s1"), demoPlaces());
function value<T>(outcome: { ok: true; value: T } | { ok: false; issue: { message: string } }): T {
  if (!outcome.ok) throw new Error(outcome.issue.message);
  return outcome.value;
}
const cover = value(routeField(question, terrain, terrain.origin, "nominal"));
const flight = value(routeAnswer(question, cover, terrain));
const [, gap] = flight.gaps;
const at = (distance_m: number) => {
  const point = flight.points.find((candidate) => candidate.distance_m >= distance_m);
  if (!point) throw new Error("no such point");
  return point;
};
const worst = at(gap.worstAt_m);
const after = (left_s: number, from = worst) => value(minutesByGround(question, cover, from, left_s));

describe("minutes left over the ground", () => {
  it("with none left it is the shut-down, short by what the cover and a quarter of a turn ask for", () => {
    const [first] = after(0);
    const needed_m = coverAt(cover.field, worst.x_m, worst.y_m)?.altitude_m ?? NaN;
    expect(first.margin_m).toBeCloseTo(
      worst.altitude_m - needed_m - quarterTurn_m(question, cover, worst.altitude_m),
      6,
    );
    expect(first.inReach_s).toBeNull();
  });

  it("in a gap a few minutes of climb bring a place into reach, and the shut-down comes last", () => {
    const choices = after(300);
    expect(choices.map(({ choice }) => choice)).toHaveLength(3);
    expect(choices[0].inReach_s).toBeGreaterThan(0);
    expect(choices[2].choice).toBe("shut-down");
    const climb = choices.find(({ choice }) => choice === "climb");
    expect(climb?.top_m).toBeGreaterThan(worst.altitude_m + 100);
    expect(choices.find(({ choice }) => choice === "level")?.top_m).toBe(worst.altitude_m);
  });

  it("what is said of the end holds there, and the way leads over the ground", () => {
    for (const { flown, top_m, margin_m, choice } of after(300)) {
      const end = flown[flown.length - 1];
      const needed_m = coverAt(cover.field, end.x_m, end.y_m)?.altitude_m ?? NaN;
      expect(margin_m).toBeCloseTo(top_m - needed_m - quarterTurn_m(question, cover, top_m), 6);
      for (const { x_m, y_m } of choice === "level" ? flown : [])
        expect(worst.altitude_m).toBeGreaterThan(elevationAt_m(terrain, x_m, y_m) ?? Infinity);
    }
  });

  it("more minutes never bring a place into reach later", () => {
    const soonest = [60, 120, 240, 480].map((left_s) => after(left_s)[0].inReach_s ?? Infinity);
    soonest.slice(1).forEach((later, i) => expect(later).toBeLessThanOrEqual(soonest[i]));
  });

  it("over a place every choice keeps it in reach at once or ends so", () => {
    const [first] = after(120, at(25 * 1852));
    expect(first.inReach_s).toBe(0);
    expect(first.margin_m).toBeGreaterThan(0);
  });
});
