import { isUsable } from "@/core/landing/site-verdict";
import { describe, expect, it } from "vitest";
import { cleanGlide } from "@/core/aircraft/configuration";
import { approachKeys } from "@/core/landing/approach-keys";
import { landingChoice } from "@/core/landing/landing-choice";
import { landingQuestion } from "@/core/landing/landing-question";
import { landingEnds } from "@/core/landing/landing-end";
import { MPS_PER_KT } from "@/core/quantities/constants";
import { DEFAULT_UNITS } from "@/core/quantities/units";
import { formatIn } from "@/ui/kit/units/units-store";
import { demoAircraft, demoPlaces, demoSituation, demoTerrain } from "../../../../demo/read-demo";
import { landingDecision, landingHeadline, landingIntention } from "./landing-words";

const format = formatIn(DEFAULT_UNITS);
const places = demoPlaces();
const ends = landingEnds(places);
const terrain = demoTerrain();

/** Headline, decision and call of the place that comes first. */
function said(name: string, altitude_m: number, wind_kt: number) {
  const aircraft = demoAircraft(name);
  const wind = { surface: wind_kt === 0 ? null : { from_rad: 4.363, speed_mps: wind_kt * MPS_PER_KT }, layers: [] };
  const situation = {
    ...demoSituation(),
    aircraftId: name,
    altitude_m,
    wind,
    mass_kg: aircraft.mass.usual_kg,
    configuration: cleanGlide(aircraft),
  };
  const question = landingQuestion(situation, aircraft, ends);
  const choice = landingChoice(question, terrain);
  if (!choice.ok) throw new Error(choice.issue.message);
  const { sites: ranked } = choice.value;
  const [best] = ranked.sites;
  const { ends: _ends, landing, day: _day, ...input } = question;
  const keys = approachKeys(input, best.end, terrain.origin);
  const told = {
    site: best,
    best,
    reserve_m: situation.plan.reserve_m,
    tailwindLimit_mps: landing.tailwindLimit_mps,
    crosswindLimit_mps: ranked.crosswindLimit_mps,
    intoWind_mps: ranked.intoWind_mps,
    elevation_m: best.end.elevation_m,
    advice: keys.ok ? keys.value.advice : null,
  };
  const decision = landingDecision(told, format);
  return {
    best,
    whole: `${decision.headline} ${decision.text}`.replace(/[\u00a0\u202f]/g, " "),
    spine: landingHeadline(best, format).text,
    call: landingIntention(best, "engine-failure"),
  };
}

describe("where to land, in sentences", () => {
  it.each([
    ["alder-s1", 700, 0],
    ["alder-s1", 700, 45],
    ["cedar-j2", 450, 0],
    ["cedar-j2", 10_000, 0],
    ["larch-t2", 2440, 45],
  ] as const)("%s at %d m in %d kt: spine, decision and call name one place", (name, altitude_m, wind_kt) => {
    const { best, whole, spine, call } = said(name, altitude_m, wind_kt);
    expect(whole).toContain(best.end.name);
    expect(spine).toContain(best.end.name);
    if (best.verdict !== "short" && best.verdict !== "blocked") expect(call).toBe(`forced landing, ${best.end.name}`);
  });

  it("nothing fits: that first, what is wrong with the least bad, and open ground into the wind after all of it", () => {
    const { best, whole } = said("alder-s1", 700, 45);
    expect(isUsable(best.verdict)).toBe(false);
    expect(whole).toMatch(/^No place in reach fits\. Least bad: /);
    expect(whole).toMatch(/over the (10|15) kt planned with/);
    expect(whole).toMatch(
      /Better into the wind, on the flattest you see or on the water \(Ditching\): it touches down at (hardly any speed|about \d+ kt) over the ground\.$/,
    );
  });

  it("a place that is too short has its shortfall and the speed at its end", () => {
    const { best, whole, spine } = said("cedar-j2", 450, 0);
    expect(best.verdict).toBe("too-short");
    expect(whole).toMatch(/It is [\d ]+ m too short: about \d+ kt over the ground at its end\./);
    expect(spine).toContain("too short");
  });

  it("far too high: what to lose and where to be; in a gale without a circuit only where to stay", () => {
    expect(said("alder-s1", 2440, 0).whole).toMatch(
      /Stay near: lose [\d ]+ ft, be overhead at [\d ]+ ft, abeam at [\d ]+ ft above sea level/,
    );
    expect(said("alder-s1", 10_000, 45).whole).toContain("no circuit comes round in this wind");
  });

  it("far too low: no place, by how much, and the call says so", () => {
    const { whole, call } = said("alder-s1", 150, 0);
    expect(whole).toMatch(
      /^No place is in reach; nearest to it is .+ It ends [\d ]+ ft below the aim point; [\d ]+ ft are missing with the reserve\./,
    );
    expect(call).toBe("forced landing ahead, no landing place in reach");
  });
});
