import { isAerodrome } from "@/core/places/place";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { demoPlaces, demoSituation } from "../../../demo/read-demo";
import { M_PER_FT } from "../quantities/constants";
import { radians } from "../quantities/angle";
import { CallPlan } from "../situation/landing-plan";
import { type CallQuestion, distressCall, spelled, spokenFeet } from "./distress-call";

const { landing, position } = demoSituation();
const QUESTION: CallQuestion = {
  plan: { ...landing.call, callSign: "UT-27A" },
  type: "Alder S1",
  position,
  altitude_m: 2300 * M_PER_FT,
  headingTrue_rad: radians(40),
  variation_rad: radians(28),
  places: demoPlaces()
    .filter(isAerodrome)
    .map((aerodrome) => ({ name: aerodrome.name, position: aerodrome.position })),
  intention: "forced landing, Skerrow 11",
  station: "Skerrow",
};
function lines(
  change: Partial<CallQuestion> = {},
  plan: Partial<CallPlan> = {},
): Record<string, { text: string; spoken: string }> {
  const found = distressCall({ ...QUESTION, ...change, plan: { ...QUESTION.plan, ...plan } });
  if (!found.ok) throw new Error(found.issue.message);
  return Object.fromEntries(found.value.lines.map(({ part, ...line }) => [part, line]));
}

describe("distress call (order: ICAO Annex 10 volume II, memory)", () => {
  it("says signal, station, who, why, intention, where, level, persons, squawk, in that order", () => {
    expect(Object.keys(lines())).toEqual([
      "signal",
      "station",
      "aircraft",
      "nature",
      "intention",
      "position",
      "level",
      "persons",
      "squawk",
    ]);
    expect(lines().signal.text).toBe("Mayday, Mayday, Mayday");
    expect(lines({}, { degree: "urgency" }).signal.text).toBe("Pan-pan, Pan-pan, Pan-pan");
  });

  it("gives bearing and distance from the nearest named place and the coordinates", () => {
    expect(lines().position.text).toBe("2 miles north-west of Skerrow, bearing 289; 47°06.9′S 130°58.7′W");
    expect(lines({ position: QUESTION.places[5].position }).position.text).toContain(
      `overhead ${QUESTION.places[5].name}`,
    );
  });

  it("without a place that others know it is by coordinates alone", () => {
    expect(lines({ places: [] }).position).toEqual({
      text: "47°06.9′S 130°58.7′W",
      spoken: "FOW-er SEV-en degrees ZE-RO SEV-en minutes south, WUN TREE ZE-RO degrees FIFE NIN-er minutes west",
    });
  });

  it("speaks figures and letters the international way (ICAO Annex 10 volume II, memory)", () => {
    expect(spelled("27A")).toBe("TOO SEV-en Alfa");
    expect(spelled("121.5")).toBe("WUN TOO WUN DAY-SEE-MAL FIFE");
    expect(spelled("390")).toBe("TREE NIN-er ZE-RO");
    expect(lines().aircraft.spoken).toBe("Uniform Tango TOO SEV-en Alfa, Alder S1");
    expect(lines().level.spoken).toBe("TOO TOU-SAND TREE HUN-dred feet, heading ZE-RO WUN TOO");
    expect([0, 500, 3000, 14_000].map(spokenFeet)).toEqual([
      "ZE-RO",
      "FIFE HUN-dred",
      "TREE TOU-SAND",
      "WUN FOW-er TOU-SAND",
    ]);
  });

  it("to the tower it names the tower and leaves the squawk out; without endurance it says none", () => {
    const tower = lines({}, { to: "tower", nature: "one-engine", endurance_s: null, aboard: 1 });
    expect(tower.station.text).toBe("Skerrow Tower");
    expect(tower).not.toHaveProperty("squawk");
    expect(tower.persons.text).toBe("1 person on board");
  });

  it.each([
    ["callSign", { callSign: "X" }],
    ["aboard", { aboard: 0 }],
    ["endurance_s", { endurance_s: -1 }],
  ])("refuses a %s that is no such thing", (path, plan) => {
    expect(CallPlan.safeParse({ ...QUESTION.plan, ...plan }).error?.issues[0].path).toEqual([path]);
  });

  it("wants words for an intention", () => {
    expect(distressCall({ ...QUESTION, intention: "123" })).toMatchObject({
      ok: false,
      issue: { code: "unclear", path: "intention" },
    });
  });

  it("is whole from anywhere: a bearing of three figures, miles in whole numbers, every line said (property)", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -80, max: 80 }),
        fc.integer({ min: -179, max: 179 }),
        fc.integer({ min: 0, max: 12_000 }),
        fc.integer({ min: 0, max: 628 }),
        (latitude_deg, longitude_deg, altitude_m, heading) => {
          const said = lines({
            position: { latitude_deg, longitude_deg },
            altitude_m,
            headingTrue_rad: Math.min(heading / 100, 2 * Math.PI),
          });
          expect(said.position.text).toMatch(
            /^(overhead .+|\d+ miles? [a-z-]+ of .+, bearing (00[1-9]|0[1-9]\d|[12]\d\d|3[0-5]\d|360)); /,
          );
          expect(said.level.text).toMatch(/^\d[\d\u202f]* ft, heading \d{3}$/);
          for (const line of Object.values(said)) expect(line.spoken.trim().length).toBeGreaterThan(3);
        },
      ),
      { numRuns: 150, seed: 6 },
    );
  });
});
