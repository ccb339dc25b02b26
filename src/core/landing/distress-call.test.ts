import { isAerodrome } from "@/core/places/place";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { demoPlaces, demoSituation } from "../../../demo/read-demo";
import { M_PER_FT } from "../quantities/constants";
import { radians } from "../quantities/angle";
import { CallPlan } from "../situation/landing-plan";
import { CallQuestion as CallSchema, type CallQuestion, distressCall, spelled, spokenFeet } from "./distress-call";

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

  it("calls the tower only where it is asked for and there is one", () => {
    expect(lines({ station: null }, { to: "tower" }).station.text).toBe("All stations");
    expect(lines({ station: "Skerrow" }, { to: "all" }).station.text).toBe("All stations");
  });

  it("spells a call sign, a word in it as it is, and nothing else that is written in it", () => {
    const spoken = (callSign: string) => lines({}, { callSign }).aircraft.spoken;
    expect(spoken("Heron 5")).toBe("Heron FIFE, Alder S1");
    expect(spoken("UT - 27A")).toBe("Uniform Tango TOO SEV-en Alfa, Alder S1");
    expect(spelled("A/B 7")).toBe("Alfa Bravo SEV-en");
  });

  it("north and east are said, nought among them; one mile is a mile, half of one is overhead", () => {
    const at = (latitude_deg: number, longitude_deg: number) =>
      lines({ position: { latitude_deg, longitude_deg }, places: [] }).position.spoken;
    expect(at(10.5, 20.25)).toBe("WUN ZE-RO degrees TREE ZE-RO minutes north, TOO ZE-RO degrees WUN FIFE minutes east");
    expect(at(0, 0)).toMatch(/north, .* east$/);
    const name = "Tarn";
    const places = [{ name, position: { latitude_deg: 0, longitude_deg: 0 } }];
    const north = (miles: number) =>
      lines({ places, position: { latitude_deg: miles / 60, longitude_deg: 0 } }).position;
    expect(north(1.02).text).toMatch(/^1 mile north of Tarn/);
    expect(north(1.02).spoken).toMatch(/^WUN mile north of Tarn/);
    expect(north(2).text).toMatch(/^2 miles north of Tarn/);
    expect(north(0.4).text).toMatch(/^overhead Tarn; /);
    expect(north(0.4).spoken).toBe("overhead Tarn");
  });

  it("says persons and minutes, and figures of the intention, one by one", () => {
    const of = (aboard: number, endurance_s: number | null) => lines({}, { aboard, endurance_s }).persons;
    expect(of(1, null)).toEqual({ text: "1 person on board", spoken: "WUN person on board" });
    expect(of(3, 2700)).toEqual({
      text: "3 persons on board, endurance 45 minutes",
      spoken: "TREE persons on board, endurance FOW-er FIFE minutes",
    });
    expect(lines({ intention: "runway 11, then the field" }).intention.spoken).toBe("runway WUN WUN, then the field");
  });

  it("takes as long as its words at a hundred a minute", () => {
    const found = distressCall(QUESTION);
    if (!found.ok) throw new Error(found.issue.message);
    const words = found.value.lines.flatMap(({ spoken }) => spoken.split(" "));
    expect(found.value.time_s).toBeCloseTo(words.length * 0.6, 9);
    const longer = distressCall({ ...QUESTION, intention: "forced landing,  with  wide  spaces" });
    const shorter = distressCall({ ...QUESTION, intention: "forced landing, with wide spaces" });
    expect(longer.ok && longer.value.time_s).toBe(shorter.ok && shorter.value.time_s);
  });

  it.each([
    ["type", { type: "  " }],
    ["type", { type: "x".repeat(61) }],
    ["variation_rad", { variation_rad: -3.2 }],
    ["variation_rad", { variation_rad: 3.2 }],
    ["places", { places: Array.from({ length: 201 }, () => QUESTION.places[0]) }],
    ["intention", { intention: " ab " }],
    ["intention", { intention: "x".repeat(161) }],
    ["station", { station: "x".repeat(41) }],
  ])("refuses a question whose %s is none", (path, change) => {
    expect(CallSchema.safeParse({ ...QUESTION, ...change }).error?.issues[0].path).toEqual([path]);
    expect(CallSchema.safeParse(QUESTION).success).toBe(true);
  });

  it("what stands at the edge of a question is taken, without the spaces around it", () => {
    const edge = {
      type: ` ${"x".repeat(60)} `,
      variation_rad: -Math.PI,
      intention: "land",
      station: ` ${"x".repeat(40)} `,
    };
    const read = CallSchema.parse({ ...QUESTION, ...edge });
    expect([read.type.length, read.station?.length]).toEqual([60, 40]);
    expect(CallSchema.parse({ ...QUESTION, intention: "  abc  " }).intention).toBe("abc");
    const name = (of: string) => CallSchema.safeParse({ ...QUESTION, places: [{ ...QUESTION.places[0], name: of }] });
    expect([name("").success, name("x".repeat(61)).success, name("x".repeat(60)).success]).toEqual([
      false,
      false,
      true,
    ]);
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
