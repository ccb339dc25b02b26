// What the En route stage says of the demo's flight, and of flights made for it.
import { describe, expect, it } from "vitest";
import { detours } from "@/core/route/detour";
import { routeAnswer } from "@/core/route/route-answer";
import { routeField } from "@/core/route/route-field";
import { routeHere } from "@/core/route/route-here";
import { routeQuestion } from "@/core/route/asked-route";
import { DEFAULT_UNITS } from "@/core/quantities/units";
import { formatIn } from "@/ui/kit/units/units-store";
import { demoAircraft, demoPlaces, demoSituation, demoTerrain } from "../../../../demo/read-demo";
import { minutes, minutesUntil } from "@/ui/kit/units/minutes";
import { routeHeadline, withoutPlace } from "./route-headline";
import { gapLabel } from "@/ui/kit/charts/gap-words";
import {
  chanceInWords,
  closingInWords,
  costOfRound,
  gapInWords,
  hereInWords,
  howKnown,
  nextGap,
  underInWords,
} from "./route-words";

const format = formatIn(DEFAULT_UNITS);
const terrain = demoTerrain();
const question = routeQuestion(demoSituation(), demoAircraft("alder-s1"), demoPlaces());
const cover = routeField(question, terrain, terrain.origin, "nominal");
if (!cover.ok) throw new Error(cover.issue.message);
const flight = routeAnswer(question, cover.value, terrain);
if (!flight.ok) throw new Error(flight.issue.message);
const answer = flight.value;
const round = detours(question, cover.value, answer, terrain);
const here = (distance_m: number) => routeHere(question, cover.value, answer, distance_m);
const said = (distance_m: number) => {
  const at = here(distance_m);
  return hereInWords(at, at.point.track_rad, null, format);
};
const plain = (text: string) => text.replace(/[\u00a0\u202f]/g, " ");

describe("what is said at the cursor", () => {
  it("names the place, how it lies and what is in hand", () => {
    const { headline, text, tone } = said(40_000);
    expect(plain(headline)).toMatch(/^Here: [A-Z][\w ]+, \d+ o’clock, \d+\.\d NM\.$/);
    expect(plain(text)).toMatch(/^[\d ]+ ft in hand after 200 ft reserve, at 6 500 ft\./);
    expect(tone).toBe("text-pine");
  });

  it("says where there is none, and by how much the nearest is missed", () => {
    const { headline, text, tone } = said(answer.gaps[1].worstAt_m);
    expect(headline).toBe("Here: no place in reach.");
    expect(plain(text)).toMatch(/ is the nearest to being reached: [\d ]+ ft short\.$/);
    expect(tone).toBe("text-brick");
  });

  it("a gap that lasts beyond the climb is not told as part of the climb-out", () => {
    const [first] = answer.gaps;
    const told = (gap: typeof first) =>
      gapInWords({ ...answer, gaps: [gap] }, [], { distance_m: 0, time_s: 0 }, 1981.2, format)?.text;
    expect(told(first)).toMatch(/^It is part of the climb-out/);
    expect(told({ ...first, to_m: answer.length_m, short_m: null })).toMatch(/^Neither an altitude/);
  });

  it("says of a plan that it leads into the ground", () => {
    expect(underInWords(answer, format)).toBeNull();
    const low = routeAnswer({ ...question, route: { ...question.route, altitude_m: 609.6 } }, cover.value, terrain);
    if (!low.ok) throw new Error(low.issue.message);
    expect(plain(underInWords(low.value, format) ?? "")).toMatch(
      /^The plan leads into the ground: [\d ]+ ft under it at 3\d\.\d NM\. Fly higher or round it\.$/,
    );
  });

  it("tells the chance of a place, never as certain and never as none", () => {
    expect([1, 0.985, 0.6049, 0.01, 0].map(chanceInWords)).toEqual([
      "over 98 in 100",
      "over 98 in 100",
      "60 in 100",
      "under 2 in 100",
      "under 2 in 100",
    ]);
    // Where a place is in hand with its reserve it is likelier than where none is.
    expect(here(40_000).chance).toBeGreaterThan(0.9);
    expect(here(answer.gaps[1].worstAt_m).chance).toBeLessThan(0.5);
  });

  it("a few feet in hand are told as few", () => {
    const at = here(answer.gaps[1].from_m);
    const [best] = at.places;
    const few = { ...at, places: [{ ...best, margin_m: 20 }] };
    const { text, tone } = hereInWords(few, at.point.track_rad, null, format);
    expect(plain(text)).toMatch(/^Only 60 ft in hand/);
    expect(tone).toBe("text-ochre");
  });

  it("less in hand than is told at all is told as none", () => {
    const at = here(40_000);
    const none = { ...at, places: [{ ...at.places[0], margin_m: 1 }] };
    const { text, tone } = hereInWords(none, at.point.track_rad, null, format);
    expect(plain(text)).toMatch(/^Nothing in hand but the 200 ft reserve, at 6 500 ft\./);
    expect(tone).toBe("text-ochre");
  });
});

describe("what is said of the next gap", () => {
  const at = (distance_m: number) => {
    const { point } = here(distance_m);
    return gapInWords(answer, round, point, question.route.altitude_m, format);
  };

  it("when it comes, how long and deep it is, and both ways to close it", () => {
    const told = at(40_000);
    expect(told?.index).toBe(1);
    expect(plain(told?.headline ?? "")).toMatch(/^Next gap in \d+ min: \d+ min, [\d ]+ ft short at worst\.$/);
    expect(plain(told?.text ?? "")).toMatch(
      /^[\d ]+ ft closes it; or \d+ min more by the way round, without Long Saddle\./,
    );
  });

  it("inside it says so, and after the last there is none", () => {
    expect(at(answer.gaps[1].worstAt_m)?.headline).toMatch(/^In a gap: /);
    expect(at(answer.length_m - 100)).toBeNull();
    expect(nextGap(answer, 0)).toBe(0);
  });

  it("the climb-out is not closed by a cruise altitude, and that is said", () => {
    expect(at(0)?.text).toContain("part of the climb-out");
  });

  it("a descent that is too flat is closed by a steeper one, alone or with an altitude", () => {
    const [gap] = answer.gaps;
    const words = (altitude_m: number) =>
      plain(
        closingInWords(
          { ...gap, closing: { altitude_m, descent_mps: 7.62 } },
          undefined,
          { altitude_m: 1981.2, inClimb: false },
          format,
        ),
      );
    expect(words(1981.2)).toBe("Down at 1 500 ft/min closes it. No way round was found.");
    expect(words(2133.6)).toBe("7 000 ft and down at 1 500 ft/min closes it. No way round was found.");
    const none = { ...gap, closing: null };
    const where = { altitude_m: 1981.2, inClimb: false };
    expect(closingInWords(none, undefined, where, format)).toBe("Neither an altitude nor a way round closes it.");
    expect(closingInWords(none, { ...round[0], extra_s: 130 }, where, format)).toBe(
      "No altitude closes it; 3 min more by the way round does, without Long Saddle.",
    );
  });

  it("names the planned points that a way round leaves out, two of them at most", () => {
    const said = (without: string[]) =>
      closingInWords(
        { ...answer.gaps[1], closing: null },
        { ...round[0], extra_s: 130, without },
        { altitude_m: 1981.2, inClimb: false },
        format,
      ).replace("No altitude closes it; 3 min more by the way round does", "");
    expect(said([])).toBe(".");
    expect(said(["A", "B"])).toBe(", without A and B.");
    expect(said(["A", "B", "C", "D"])).toBe(", without A and B and 2 more.");
  });

  it("a way round that cuts a bend off is not said to cost time that it saves", () => {
    const where = { altitude_m: 1981.2, inClimb: false };
    const quicker = { ...round[0], extra_s: -95, without: [] };
    const none = { ...answer.gaps[1], closing: null };
    const closed = { ...none, closing: { altitude_m: 2133.6, descent_mps: null } };
    expect(plain(closingInWords(closed, quicker, where, format))).toBe(
      "7 000 ft closes it; or the way round in no more time.",
    );
    expect(closingInWords(none, quicker, where, format)).toBe(
      "No altitude closes it; the way round in no more time does.",
    );
    expect([quicker, { extra_s: 0 }, { extra_s: 130 }].map(costOfRound)).toEqual(["no longer", "no longer", "+3 min"]);
  });
});

describe("times and places", () => {
  it("what is coming is never told to come later than it does", () => {
    expect([30, 45, 99, 115, 118, 119.9, 120, 179, 400].map(minutesUntil)).toEqual([
      "30 s",
      "40 s",
      "90 s",
      "110 s",
      "2 min",
      "2 min",
      "2 min",
      "3 min",
      "6 min",
    ]);
  });

  it("times are rounded up, and the gaps add up to what the spine says", () => {
    expect([minutes(4), minutes(100), minutes(101), minutes(121), minutes(300)]).toEqual([
      "10 s",
      "100 s",
      "2 min",
      "2 min",
      "5 min",
    ]);
    const sum = answer.gaps.reduce((total, gap) => total + Number(/^(\d+) min/.exec(gapLabel(gap, format))?.[1]), 0);
    expect(withoutPlace(answer)).toBe(`${sum} min`);
    expect(routeHeadline(answer)).toEqual({ text: `${sum} min no place`, tone: "text-brick" });
    expect(routeHeadline({ gaps: [] }).tone).toBe("text-pine");
  });

  it("a place says how it is known, and when that is old", () => {
    const [place] = question.places;
    const of = (kind: "runway" | "field", lookedAt: string | null) =>
      howKnown({ ...place, kind, lookedAt }, "2026-11-24");
    expect(of("runway", null)).toBe("runway");
    expect(of("field", null)).toBe("field, never looked at");
    expect(of("field", "2026-04-20")).toBe("field, looked at 2026-04-20");
    expect(of("field", "2025-04-20")).toContain("over a year ago");
  });
});
