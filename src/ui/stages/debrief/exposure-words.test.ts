// What is said of the demo's flight over the water, and of flights made for it.
import { describe, expect, it } from "vitest";
import { exposureQuestion } from "@/core/debrief/asked-exposure";
import { type Exposure, exposure } from "@/core/debrief/exposure";
import type { ExposureQuestion } from "@/core/debrief/exposure-question";
import { radians } from "@/core/quantities/angle";
import { MPS_PER_KT } from "@/core/quantities/constants";
import { DEFAULT_UNITS } from "@/core/quantities/units";
import { type RouteField, routeField } from "@/core/route/route-field";
import { analyse } from "@/core/track/analyse";
import { drawnTrack } from "@/core/track/drawn-track";
import { readLog } from "@/core/track/formats/read-log";
import { dayOf } from "@/core/track/kept-log";
import { formatIn } from "@/ui/kit/units/units-store";
import { demoAircraft, demoPlaces, demoSituation, demoTerrain } from "../../../../demo/read-demo";
import { demoLog } from "../../../../demo/read-logs";
import { distanceAt_m, exposureAt, timeAt_s } from "./exposure-cursor";
import { apartRows, exposureSaid, exposureStretches, gapSaid, hereSaid, isNoFault, roundSaid } from "./exposure-words";

const format = formatIn(DEFAULT_UNITS);
const plain = (text: string) => text.replaceAll(/[\u00a0\u202f]/g, " ");

function crossing(): { found: Exposure; question: ExposureQuestion; cover: RouteField } {
  const aircraft = demoAircraft("alder-s1");
  const day = {
    aircraft,
    mass_kg: 1000,
    deviation_K: -2.9,
    wind: { from_rad: radians(250), speed_mps: 14 * MPS_PER_KT },
    ends: [],
    stops: null,
  };
  const read = readLog(demoLog("crossing.igc"), null);
  if (!read.ok) throw new Error(read.issue.message);
  const found = analyse(read.value, dayOf(day));
  if (!found.ok) throw new Error(found.issue.message);
  const { flown, flights } = found.value;
  const asked = { drawn: drawnTrack(flown), flights, wind: flown.wind };
  const question = exposureQuestion(day, aircraft, asked, demoSituation(), demoPlaces());
  const terrain = demoTerrain();
  const cover = routeField(question, terrain, terrain.origin, "nominal");
  if (!cover.ok) throw new Error(cover.issue.message);
  const exposed = exposure(question, cover.value, terrain);
  if (!exposed.ok) throw new Error(exposed.issue.message);
  return { found: exposed.value, question, cover: cover.value };
}

const { found, question, cover } = crossing();

describe("the flight from Mossgarth by Skerrow to Brannoc Strip at 3 000 ft", () => {
  it("has no place over the water and before the hills, and is told what height would have changed", () => {
    const { lead, rest, good } = exposureSaid(found, format);
    expect(good).toBe(false);
    expect(plain(lead)).toMatch(/^\d+:\d\d without a place in reach\.$/);
    expect(plain(rest)).toMatch(
      /^Of \d+:\d\d that are judged\. Level flight \d ?\d00 ft higher has none\. \d:\d\d of climb and descent stay\.$/,
    );
    expect(found.gaps.map((gap) => plain(gapSaid(gap, format)))).toEqual([
      expect.stringMatching(/^3:\d\d, [\d ]+ ft short$/),
      expect.stringMatching(/^2:\d\d, [\d ]+ ft short/),
    ]);
    // Over Skerrow it has that in reach.
    const overhead = exposureAt(found.points, 480);
    expect(plain(hereSaid(overhead, found.places, format).lead)).toBe("Here: Skerrow.");
    expect(plain(hereSaid(overhead, found.places, format).rest)).toMatch(/ft in hand\.$/);
    const water = exposureAt(found.points, found.gaps[0].fromTime_s + 60);
    expect(plain(hereSaid(water, found.places, format).rest)).toMatch(/ is nearest to it: [\d ]+ ft short\.$/);
    expect(hereSaid(found.points[0], found.places, format).lead).toBe("Here: on the ground.");
  });

  it("has parts by place without holes, what is not judged a part of its own", () => {
    const { stretches, places } = exposureStretches(found);
    expect(stretches[0]).toMatchObject({ place: places.length - 1, from_m: 0 });
    expect(places.at(-1)?.name).toBe("not judged");
    stretches.slice(1).forEach(({ from_m }, i) => expect(from_m).toBe(stretches[i].to_m));
    expect(stretches.some(({ place }) => place < 0)).toBe(true);
    expect(apartRows(found).map(({ name }) => name)).toEqual(["Low about the field"]);
  });

  it("is pointed at by time or by distance, the same", () => {
    for (const at_s of [0, 100, 333, 480, 700])
      expect(timeAt_s(found.points, distanceAt_m(found.points, at_s))).toBeCloseTo(
        at_s <= 20 ? 0 : at_s,
        at_s <= 20 ? -2 : 3,
      );
    expect(timeAt_s(found.points, -500)).toBe(0);
    expect(timeAt_s(found.points, 1e9)).toBe(found.points[found.points.length - 1].time_s);
  });
});

describe("other flights", () => {
  it("that stay low are no fault, but having no place at all is one", () => {
    const track = question.track.map((fix) => ({ ...fix, phase: "low" as const }));
    const outcome = exposure({ ...question, track }, cover, null);
    expect(!outcome.ok && isNoFault(outcome.issue)).toBe(true);
    const none = routeField({ ...question, places: [] }, null, question.track[0].position, "nominal");
    expect(!none.ok && isNoFault(none.issue)).toBe(false);
    expect(none.ok).toBe(false);
  });

  const level = (exposed_s: number) =>
    found.byPhase.map((row) => ({ ...row, exposed_s: row.phase === "level" ? exposed_s : 0 }));

  it("with a place all along are told so", () => {
    expect(exposureSaid({ ...found, exposed_s: 3, byPhase: level(3) }, format)).toMatchObject({
      lead: "A place in reach all the way.",
      good: true,
    });
  });

  it("that no height closes are told what 500 ft save, those in climb and descent what to do there", () => {
    const higher = [{ lift_m: 152.4, exposed_s: 40 }];
    const flat = { ...found, exposed_s: 100, byPhase: level(100), higher, closing_m: null };
    expect(plain(exposureSaid(flat, format).rest)).toMatch(/500 ft more is 1:00 less\.$/);
    expect(exposureSaid({ ...flat, byPhase: level(0) }, format).rest).toMatch(
      /climb nearer to a place, come down later/,
    );
    const no = { ...flat, higher: [{ lift_m: 152.4, exposed_s: 99 }] };
    expect(exposureSaid(no, format).rest).toMatch(/No height and no way/);
  });

  it("with a way round are told what it costs", () => {
    const round = { extra_s: 95, altitude_m: 914.4, points: [] };
    expect(plain(roundSaid({ round }, format) ?? "")).toBe("the way round: 1:35 longer, at 3 000 ft");
    expect(plain(roundSaid({ round: { ...round, extra_s: -3 } }, format) ?? "")).toMatch(/no longer/);
    expect(roundSaid({ round: null }, format)).toBeNull();
  });
});
