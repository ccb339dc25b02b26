// What the En route stage says of a twin's flight on one engine.
import { describe, expect, it } from "vitest";
import { cleanGlide } from "@/core/aircraft/configuration";
import { driftQuestion } from "@/core/drift/asked-drift";
import { DEFAULT_UNITS } from "@/core/quantities/units";
import { formatIn } from "@/ui/kit/units/units-store";
import { routeWork } from "@/workers/route-work";
import { demoAircraft, demoPlaces, demoSituation, demoTerrain } from "../../../../demo/read-demo";
import { driftHereInWords, noWayInWords, wayLabel } from "./drift-words";
import { oneEngineHeadline } from "./route-headline";

const format = formatIn(DEFAULT_UNITS);
const terrain = demoTerrain();
const larch = demoAircraft("larch-t2");
const demo = demoSituation();
const question = driftQuestion(
  { ...demo, mass_kg: larch.mass.maximum_kg, configuration: cleanGlide(larch) },
  larch,
  demoPlaces(),
);
const work = routeWork(() => terrain);
function value<T>(outcome: { ok: true; value: T } | { ok: false; issue: { message: string } }): T {
  if (!outcome.ok) throw new Error(outcome.issue.message);
  return outcome.value;
}
const answer = value(work.oneEngine(question, terrain.origin));
const here = (distance_m: number) => value(work.oneEngineHere(question, terrain.origin, distance_m));
const { clearance_m } = question.route.oneEngine;
const plain = (text: string) => text.replace(/[\u00a0\u202f]/g, " ");

describe("what is said on one engine", () => {
  it("names the nearest alternate in time, what is in hand and what one engine does", () => {
    const { headline, text, tone } = driftHereInWords(here(40_000), clearance_m, format);
    expect(plain(headline)).toMatch(/^Here: [A-Z][\w ]+, \d+ min\.$/);
    expect(plain(text)).toMatch(
      /^[\d ]+ ft in hand over the ground on the net path\. At 6 500 ft one engine (climbs|sinks) \d+ ft\/min\.$/,
    );
    expect(tone).toBe("text-pine");
  });

  it("in a stretch without a way says so, and that the plan itself is too low over the ground", () => {
    const [gap] = answer.gaps;
    const at = here(gap.worstAt_m);
    expect(driftHereInWords(at, clearance_m, format).headline).toBe("Here: no way to an alternate clears the ground.");
    expect(plain(driftHereInWords(at, clearance_m, format).text)).toMatch(
      /^The plan itself is less than 2 000 ft over/,
    );
    const over = { ...at, point: { ...at.point, floor_m: at.point.altitude_m - 100 } };
    expect(plain(driftHereInWords(over, clearance_m, format).text)).toMatch(/comes nearest: [\d ]+ ft short\./);
    expect(driftHereInWords({ ...at, ways: [] }, clearance_m, format).text).toMatch(/^The ground is not known/);
  });

  it("over the aerodrome that it begins from, low, refers to the take-off", () => {
    expect(driftHereInWords(here(0), clearance_m, format).headline).toBe("Here: over Mossgarth.");
    expect(here(40_000).over).toBeNull();
  });

  it("a few feet in hand are told as few, and how the way leads", () => {
    const at = here(40_000);
    const few = { ...at, ways: [{ ...at.ways[0], margin_m: 30, by: "round" as const }] };
    const { text, tone } = driftHereInWords(few, clearance_m, format);
    expect(plain(text)).toMatch(
      /^Only 90 ft in hand over the ground on the net path\. The way leads round the ground\./,
    );
    expect(tone).toBe("text-ochre");
  });

  it("tells the stretch that comes, how short it is at worst and what closes it", () => {
    const [gap] = answer.gaps;
    const before = noWayInWords(answer, { distance_m: 0, time_s: 0 }, question.route.altitude_m, format);
    expect(plain(before?.headline ?? "")).toMatch(
      /^From \d+ min on: \d+ (s|min) with no way, [\d ]+ ft short at worst\.$/,
    );
    expect(plain(before?.text ?? "")).toMatch(/closes it\.$/);
    const inside = noWayInWords(answer, { distance_m: gap.worstAt_m, time_s: gap.fromTime_s + 60 }, 2000, format);
    expect(inside?.headline).toMatch(/^In a stretch: /);
    expect(noWayInWords(answer, { distance_m: answer.length_m, time_s: 1e5 }, 2000, format)).toBeNull();
    const closed = { ...answer, gaps: [{ ...gap, closing: null }] };
    expect(noWayInWords(closed, { distance_m: 0, time_s: 0 }, 2000, format)?.text).toMatch(/^No altitude/);
  });

  it("ways on the map tell time and height, the spine the minutes without one", () => {
    const [way] = here(40_000).ways;
    expect(plain(wayLabel(way, format))).toMatch(/^\d+ min, [\d ]+ ft in hand$/);
    expect(plain(wayLabel({ ...way, margin_m: -100 }, format))).toMatch(/, 330 ft short$/);
    expect(oneEngineHeadline(answer).text).toMatch(/^\d+ (s|min) no way$/);
    expect(oneEngineHeadline({ gaps: [] })).toEqual({ text: "a way all along", tone: "text-pine" });
  });

  it("the working of each way ends in what is told of it", () => {
    here(40_000).ways.forEach(({ margin_m }, i) => {
      const steps = value(work.oneEngineWorking(question, terrain.origin, 40_000, i));
      expect(steps.at(-1)?.value).toBeCloseTo(margin_m, 6);
    });
  });
});
