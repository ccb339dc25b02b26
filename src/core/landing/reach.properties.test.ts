// What must hold for every start, wind and choice: more of a good thing never leaves less height.
import { isAerodrome } from "@/core/places/place";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { DEMO_ORIGIN, demoAircraft, demoPlaces, demoSituation } from "../../../demo/read-demo";
import { localPlane } from "../earth/local-plane";
import { landingEnds } from "./landing-end";
import { reachOf } from "./reach";
import { type ReachQuestion, reachQuestion } from "./reach-question";

const aerodromes = demoPlaces().filter(isAerodrome);
const skerrow = landingEnds(aerodromes).filter((end) => end.name.startsWith("Skerrow"));
const QUESTION = reachQuestion(demoSituation(), demoAircraft("alder-s1"), skerrow);
const plane = localPlane(DEMO_ORIGIN);

/** Places within 8 km of Skerrow, not so near that the runway's own turns decide. */
const places = fc
  .record({ bearing: fc.integer({ min: 0, max: 628 }), away: fc.integer({ min: 2500, max: 8000 }) })
  .map(({ bearing, away }) => {
    const at = plane.toPlane(skerrow[0].threshold);
    return plane.toLatLon({
      x_m: at.x_m + away * Math.sin(bearing / 100),
      y_m: at.y_m + away * Math.cos(bearing / 100),
    });
  });
const questions = fc.record({
  position: places,
  headingTrue_rad: fc.integer({ min: 0, max: 628 }).map((value) => value / 100),
  altitude_m: fc.integer({ min: 600, max: 2500 }),
});

function margin(change: Partial<ReachQuestion>, end = "Skerrow 11"): number {
  const found = reachOf({ ...QUESTION, ...change }, null);
  if (!found.ok) throw new Error(found.issue.message);
  return found.value.ends.find((candidate) => candidate.name === end)?.path?.margin_m ?? NaN;
}

describe("for every question (property)", () => {
  it("more height leaves more", () => {
    fc.assert(
      fc.property(questions, fc.integer({ min: 5, max: 300 }), (question, more) => {
        expect(margin({ ...question, altitude_m: question.altitude_m + more })).toBeGreaterThan(margin(question));
      }),
      { numRuns: 60, seed: 12 },
    );
  });

  it("a longer reserve leaves less by exactly itself", () => {
    fc.assert(
      fc.property(questions, fc.integer({ min: 0, max: 200 }), (question, reserve_m) => {
        const plan = { ...QUESTION.plan, reserve_m };
        expect(margin({ ...question, plan }) + reserve_m).toBeCloseTo(
          margin({ ...question, plan: { ...plan, reserve_m: 0 } }),
          6,
        );
      }),
      { numRuns: 30, seed: 13 },
    );
  });

  it("more drag never leaves more: stopped, windmilling, with landing flap", () => {
    fc.assert(
      fc.property(questions, (question) => {
        const calm = { ...question, wind: { surface: null, layers: [] } };
        const with_ = (change: Partial<ReachQuestion["configuration"]>) =>
          margin({ ...calm, configuration: { ...QUESTION.configuration, ...change } });
        const stopped = with_({ propeller: "stopped" });
        const windmilling = with_({});
        expect(stopped).toBeGreaterThan(windmilling);
        expect(windmilling).toBeGreaterThan(with_({ flap: 2 }));
      }),
      { numRuns: 30, seed: 14 },
    );
  });

  it("away from the runway a longer reaction leaves less", () => {
    fc.assert(
      fc.property(questions, fc.integer({ min: 1, max: 15 }), (question, more) => {
        const at = plane.toPlane(question.position);
        const aim = plane.toPlane(skerrow[0].threshold);
        const calm = {
          ...question,
          wind: { surface: null, layers: [] },
          headingTrue_rad: (Math.atan2(at.x_m - aim.x_m, at.y_m - aim.y_m) + 2 * Math.PI) % (2 * Math.PI),
        };
        const slower = { ...QUESTION.pilot, reaction_s: QUESTION.pilot.reaction_s + more };
        expect(margin({ ...calm, pilot: slower })).toBeLessThan(margin(calm));
      }),
      { numRuns: 40, seed: 15 },
    );
  });

  it("a key position on the way never leaves more", () => {
    fc.assert(
      fc.property(
        questions,
        fc.constantFrom(
          "overhead-left" as const,
          "overhead-right" as const,
          "abeam-left" as const,
          "abeam-right" as const,
        ),
        (question, key) => {
          expect(margin({ ...question, plan: { ...QUESTION.plan, key } })).toBeLessThan(margin(question));
        },
      ),
      { numRuns: 60, seed: 16 },
    );
  });

  it("answers for both ends with numbers, in every wind up to a gale", () => {
    fc.assert(
      fc.property(
        questions,
        fc.integer({ min: 0, max: 628 }),
        fc.integer({ min: 0, max: 25 }),
        (question, from, speed_mps) => {
          for (const end of ["Skerrow 11", "Skerrow 29"])
            expect(
              Number.isFinite(
                margin(
                  { ...question, wind: { surface: { from_rad: from / 100, speed_mps: speed_mps / 1.7 }, layers: [] } },
                  end,
                ),
              ),
            ).toBe(true);
        },
      ),
      { numRuns: 60, seed: 17 },
    );
  });
});
