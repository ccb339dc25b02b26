import { describe, expect, it } from "vitest";
import type { MinutesByGround } from "@/core/restart/minutes-by-ground";
import type { RoutePlace } from "@/core/route/route-question";
import { DEFAULT_UNITS } from "@/core/quantities/units";
import { formatIn } from "@/ui/kit/units/units-store";
import { minutesInWords, reachInWords } from "./minutes-words";

const format = formatIn(DEFAULT_UNITS);
const place: RoutePlace = {
  id: "a",
  name: "Fallow Down",
  kind: "field",
  position: { latitude_deg: 0, longitude_deg: 0 },
  elevation_m: 0,
  length_m: 500,
  ends: [],
  lookedAt: null,
};
const choice = (patch: Partial<MinutesByGround>): MinutesByGround => ({
  choice: "climb",
  track_rad: Math.PI / 2,
  place,
  margin_m: 300,
  inReach_s: 70,
  top_m: 2500,
  flown: [],
  ...patch,
});
const said = (patch: Partial<MinutesByGround>) => {
  const words = minutesInWords([choice(patch)], 240, 0, format);
  return words && `${words.headline} ${words.text}`.replace(/[\u00a0\u202f]/g, " ");
};

describe("minutes left in words", () => {
  it.each([
    [
      {},
      "Climb with it towards Fallow Down, 090° magnetic. A place is in reach after 70 s; 980 ft in hand when it stops after 4 min.",
    ],
    [
      { inReach_s: 0 },
      "Climb with it towards Fallow Down, 090° magnetic. A place is in reach all the while; 980 ft in hand when it stops after 4 min.",
    ],
    [{ choice: "shut-down", track_rad: null, inReach_s: 0 }, "Shut it down now: Fallow Down. 980 ft in hand now."],
    [
      { inReach_s: null, margin_m: -300 },
      "No choice brings a place into reach. Climb with it towards Fallow Down, 090° magnetic comes nearest: 990 ft short when it stops.",
    ],
    [
      { choice: "shut-down", track_rad: null, inReach_s: null, margin_m: -300 },
      "No choice brings a place into reach. Shut down now it is 990 ft short; no way with the engine is better that clears the ground.",
    ],
    [{ inReach_s: null, margin_m: -Infinity }, "No choice brings a place into reach. No altitude helps here."],
  ] satisfies [Partial<MinutesByGround>, string][])("%#", (patch, words) => {
    expect(said(patch)).toBe(words);
  });

  it("tells from when on, or never", () => {
    expect(minutesInWords([], 240, 0, format)).toBeNull();
    expect([0, 70, null].map((inReach_s) => reachInWords(choice({ inReach_s })))).toEqual([
      "all the while",
      "after 70 s",
      "never",
    ]);
  });
});
