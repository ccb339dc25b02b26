import { describe, expect, it } from "vitest";
import { demoAircraft, demoPlaces, demoSituation } from "../../../demo/read-demo";
import { cleanGlide } from "../aircraft/configuration";
import { landingChoice } from "../landing/landing-choice";
import { landingQuestion } from "../landing/landing-question";
import { landingEnds } from "../landing/landing-end";
import type { SituationDocument } from "../situation/situation-document";
import { COMMIT_ABOVE_M, commitHeight, restartQuestion } from "./restart-question";

const places = demoPlaces();
const ends = landingEnds(places);
const situation = (aircraftId: string, change: Partial<SituationDocument> = {}): SituationDocument => {
  const aircraft = demoAircraft(aircraftId);
  return {
    ...demoSituation(),
    aircraftId,
    configuration: cleanGlide(aircraft),
    mass_kg: aircraft.mass.usual_kg,
    altitude_m: 1800,
    ...change,
  };
};
function commit(asked: SituationDocument, ground_m = 70) {
  const aircraft = demoAircraft(asked.aircraftId);
  const choice = landingChoice(landingQuestion(asked, aircraft, ends), null);
  const site = choice.ok ? choice.value.sites.sites[0] : null;
  return { ...commitHeight(asked, aircraft, site, ground_m), site };
}

describe("where checking ends", () => {
  it("as set, before all else", () => {
    const asked = situation("alder-s1");
    expect(commit({ ...asked, restart: { ...asked.restart, commit_m: 640 } })).toMatchObject({
      altitude_m: 640,
      from: "set",
      end: null,
    });
  });

  it("at what the place that is planned for needs from here", () => {
    const found = commit(situation("alder-s1"));
    expect(found).toMatchObject({ from: "landing", end: found.site?.end.name });
    expect(found.altitude_m).toBeCloseTo(1800 - (found.site?.reach.path?.margin_m ?? NaN), 6);
  });

  it("1,000 ft over the ground without a place in reach", () => {
    expect(commit(situation("alder-s1", { altitude_m: 150 }))).toMatchObject({
      altitude_m: 70 + COMMIT_ABOVE_M,
      from: "ground",
    });
  });

  it("no sooner than that either where one engine keeps the height, however far a glide would have to be planned", () => {
    const asked = situation("larch-t2", {
      configuration: { ...cleanGlide(demoAircraft("larch-t2")), propeller: "feathered" },
    });
    expect(commit({ ...asked, restart: { ...asked.restart, stopped: "left" } })).toMatchObject({
      altitude_m: 70 + COMMIT_ABOVE_M,
      from: "one-engine",
    });
    expect(commit({ ...asked, restart: { ...asked.restart, stopped: "both" } }).from).toBe("landing");
  });
});

describe("the question", () => {
  it("waits longer after a time without practice, and takes the flow of the symptom", () => {
    const asked = situation("alder-s1");
    const of = (change: Partial<SituationDocument>) =>
      restartQuestion({ ...asked, ...change }, demoAircraft("alder-s1"), 500, 70);
    const since = (daysSincePractised: number) => of({ pilot: { ...asked.pilot, daysSincePractised } }).reaction_s;
    expect(since(400)).toBeGreaterThan(since(10));
    expect(of({ restart: { ...asked.restart, symptom: "fading" } }).flow[0].id).not.toBe(
      of({ restart: { ...asked.restart, symptom: null } }).flow[0].id,
    );
  });
});
