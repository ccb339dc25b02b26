import { describe, expect, it } from "vitest";
import { demoGyroplane, demoHelicopter, demoPlaces, demoSituation, demoTerrain } from "../../../../../demo/read-demo";
import { landingEnds } from "@/core/landing/landing-end";
import { type RotorReachQuestion, rotorReach, rotorReachQuestion } from "@/core/landing/rotor-reach";
import { DEFAULT_UNITS } from "@/core/quantities/units";
import { formatIn } from "@/ui/kit/units/units-store";
import { placesCard } from "./places-card";
import { ROTOR_TONE, placesDecision, placesHeadline, roomWords } from "./places-words";

const format = formatIn(DEFAULT_UNITS);
const PLAN = { reserve_m: 61, glideSpeed: "book" as const };
const ends = landingEnds(demoPlaces());
const terrain = demoTerrain();
const ask = (aircraft: RotorReachQuestion["aircraft"], altitude_m: number, places = ends) => {
  const situation = { ...demoSituation(), altitude_m, mass_kg: aircraft.mass.usual_kg };
  const found = rotorReach(rotorReachQuestion(situation, aircraft, places), terrain);
  if (!found.ok) throw new Error(found.issue.message);
  return found.value;
};

describe("the decision about a rotorcraft's places", () => {
  it("names the place, the first move, what is in hand and how it is lost", () => {
    const [best] = ask(demoGyroplane(), 1067);
    const said = placesDecision(best, best, PLAN, format);
    expect(said.works).toBe(true);
    expect(said.lead).toMatch(/^Dunnet Field west, left turn now\.$/);
    expect(said.rest).toMatch(
      /in hand after 200\sft reserve\. 1 full turn on the way loses 8\d0\sft of it\. Final at 58\skt/,
    );
    expect(placesHeadline(best, format)).toEqual({
      text: expect.stringMatching(/^\+1\s0\d0\sft Dunnet Field west$/),
      tone: "text-pine",
    });
  });

  it("its card tells the same with keys and room", () => {
    const [best] = ask(demoGyroplane(), 1067);
    const card = placesCard(best, "sub", format);
    expect(card?.title).toBe("Dunnet Field west: left turn now");
    expect(card?.large[0]).toMatchObject({ name: "Margin", value: expect.stringMatching(/^1\s0\d0\sft$/) });
    expect(card?.list.map(({ what }) => what.split(",")[0])).toEqual(["steady", "final", "flare", "touchdown"]);
    expect(card?.rows.at(-1)).toEqual({ name: "The place", value: "room enough" });
    expect(placesCard({ ...best, way: { ...best.way, path: null } }, "sub", format)).toBeNull();
  });

  it("a turn that costs more than there is over is not advised", () => {
    const [best] = ask(demoHelicopter(), 1158);
    expect(placesDecision(best, best, PLAN, format).rest).toContain("Lose it by S-turns or slower: a full turn costs");
  });

  it("says by how much nothing is in reach, and what is left to do", () => {
    const [best] = ask(demoHelicopter(), 400);
    const said = placesDecision(best, best, PLAN, format);
    expect(said.works).toBe(false);
    expect(said.lead).toMatch(/^No place in reach will do\. Least bad: /);
    expect(said.rest).toMatch(/^Short by [\d\s]+ft, reserve of 200\sft counted\. Or the flattest ground ahead/);
    expect(placesHeadline(best, format)).toEqual({ text: "no place in reach", tone: "text-brick" });
  });

  it("against a strong wind the speed for it is named, once it is flown it is not", () => {
    const situation = demoSituation();
    const wind = { surface: { from_rad: (250 * Math.PI) / 180, speed_mps: 20 }, layers: [] };
    const asked = rotorReachQuestion({ ...situation, wind, altitude_m: 450, mass_kg: 450 }, demoGyroplane(), ends);
    const found = rotorReach(asked, terrain);
    if (!found.ok) throw new Error(found.issue.message);
    const against = found.value.find(({ end }) => end.name === "Dunnet Field west");
    if (!against) throw new Error("no Dunnet Field");
    expect(against.verdict).toBe("short");
    expect(placesDecision(against, found.value[0], PLAN, format).rest).toContain("a faster speed reaches farther");
    const flown = { ...PLAN, glideSpeed: "wind" as const };
    expect(placesDecision(against, found.value[0], flown, format).rest).not.toContain("a faster speed");
  });

  it("of one that does not do it says why, and names the one that does", () => {
    const all = ask(demoGyroplane(), 1067);
    const windy = all.find(({ verdict }) => verdict === "wind");
    if (!windy) throw new Error("none with too much wind");
    const said = placesDecision(windy, all[0], PLAN, format);
    expect(said.lead).toBe(`${windy.end.name}: ${roomWords(windy, format)}.`);
    expect(said.rest).toBe("Dunnet Field west has room.");
  });

  it.each([
    [{ width_m: 9 }, "too-narrow", /^narrower than 20\sm$/],
    [{ length_m: 11 }, "too-short", /^too short: \d+\sm of 10\sm$/],
    [{ slope: 0.12 }, "slope", /^steeper than 5°$/],
    [{ slope: -0.2 }, "too-short", /^does not stop on the slope$/],
  ] as const)("%j is %s", (change, verdict, words) => {
    const dunnet = ends.find(({ name }) => name === "Dunnet Field west");
    if (!dunnet) throw new Error("no Dunnet Field");
    const [place] = ask(demoHelicopter(), 2500, [{ ...dunnet, ...change }]);
    expect(place.verdict).toBe(verdict);
    expect(roomWords(place, format)).toMatch(words);
    expect(ROTOR_TONE[place.verdict]).toBe("text-brick");
  });
});
