import { describe, expect, it } from "vitest";
import { demoAircraft, demoGyroplane, demoHelicopter, demoPlaces, demoSituation } from "../../../../../demo/read-demo";
import { LIMITS } from "@/core/exercise/flown-result";
import { failedFrom, touchOf } from "@/core/exercise/glide-rows";
import { localPlane } from "@/core/earth/local-plane";
import { landingEnds } from "@/core/landing/landing-end";
import { DEFAULT_UNITS } from "@/core/quantities/units";
import { TRACE_CHANNELS, type TraceChannel } from "@/core/simulation/flight-trace";
import type { FlightView } from "@/core/simulation/flight-view";
import { FlightSetUp } from "@/core/simulation/flight-set-up";
import { formatIn } from "@/ui/kit/units/units-store";
import { freshClock } from "@/core/rotor/ratings-clock";
import { FIRST_CHOICE, chosenOf, failureWords, failuresOf, setUpOf, setUpWords, speedToHold_mps } from "./fly-set-up";
import { bandsOf, endWords, flownWords, nowWords } from "./flown-words";

const format = formatIn(DEFAULT_UNITS);
const plain = (text: string) => text.replaceAll(/[\u00a0\u202f]/g, " ");
const row = (of: Partial<Record<TraceChannel, number>>) => TRACE_CHANNELS.map((channel) => of[channel] ?? 0);

/** A glide from 200 m to the ground after an engine stopped at two seconds. */
const rows = Array.from({ length: 300 }, (_, i) =>
  row({
    time_s: i / 10,
    height_m: Math.max(200 - 0.8 * i, 0),
    ias_mps: i > 100 && i < 140 ? 28 : 34,
    climb_mps: -4,
    bank_rad: i > 150 && i < 170 ? 1 : 0.1,
    overStall: 1.3,
    thrust0_N: i < 20 ? 1200 : -160,
    touch: 200 - 0.8 * i <= 0 ? 1 : 0,
  }),
);

describe("a flight in words", () => {
  it("is judged from where the engine stopped, in the air only", () => {
    expect(failedFrom(rows)).toBe(20);
    expect(failedFrom(rows.slice(0, 15))).toBe(0);
    const bands = bandsOf(rows, { speed_mps: 34, bank_rad: 0.79, margin: 1.1 }, format);
    expect(bands.map(({ name, out_s }) => [name, out_s])).toEqual([
      ["Speed", 3.9],
      ["Bank", 1.9],
      ["Ball", 0],
      ["Over stall", 0],
    ]);
    expect(plain(bands[0].within)).toBe("61 kt to 76 kt");
    const touch = touchOf(rows);
    expect(touch).toMatchObject({ row: 250, time_s: 25, sink_mps: 4 });
    const said = flownWords(rows, bands, null, null, format);
    expect(said).toMatchObject({ lead: "Down, hard.", good: false });
    expect(plain(said.rest)).toMatch(/at 66 kt, sinking 790 ft\/min\. Speed was out for 4 s: hold that first\.$/);
    expect(flownWords(rows.slice(0, 100), [], null, null, format).lead).toBe("Ended in the air.");
  });

  it("says each ending by its name", () => {
    expect(endWords({ kind: "departed" }, format).lead).toBe("Departed: the model ends here.");
    expect(endWords({ kind: "water", sink_mps: 1.5, speed_mps: 30 }, format).good).toBe(true);
    expect(plain(endWords({ kind: "crash", sink_mps: 8, speed_mps: 30 }, format).rest)).toContain("58 kt");
  });

  it("says the one thing to do now, the stall before all", () => {
    const view = {
      ended: null,
      time_s: 20,
      onGround: false,
      ias_mps: 34,
      stall_mps: 25,
      stallWarning: false,
      ball: 0,
      climb_mps: -4,
      vsi_mps: -4,
      groundSpeed_mps: 30,
      engines: [{ burns: false }],
      rotor: null,
    } as unknown as FlightView;
    const lead = (of: Partial<FlightView>, running = true) =>
      nowWords({ ...view, ...of } as FlightView, 34, running, format).lead;
    expect(lead({})).toBe("Hold the speed, fly to a place.");
    expect(lead({ stallWarning: true })).toBe("Nose down, now.");
    expect(lead({ ias_mps: 27 })).toBe("Nose down, now.");
    expect(lead({ ias_mps: 30 })).toBe("Nose down.");
    expect(lead({ ias_mps: 40 })).toBe("Nose up, gently.");
    expect(lead({}, false)).toBe("Paused.");
    expect(lead({ time_s: 0 }, false)).toBe("Ready.");
    expect(lead({ onGround: true, groundSpeed_mps: 0 })).toBe("It stands.");
    const twin = { engines: [{ burns: true }, { burns: true }] } as unknown as Partial<FlightView>;
    expect(lead({ ...twin, ball: -1 })).toBe("Left foot.");
    expect(lead({ engines: [{ burns: true }, { burns: false }] as unknown as FlightView["engines"] })).toBe(
      "Held on one engine.",
    );
    // On the roll without an engine it stops, unless it is a jet beyond V1; with the levers shut it rolls out.
    const roll = (levers: number, ...of: { burns: boolean; spool?: number }[]) =>
      lead({
        onGround: true,
        groundSpeed_mps: 20,
        controls: [0, 0, 0, 0, levers, levers],
        engines: of.map(({ burns: runs, spool = null }) => ({
          burns: runs,
          spool,
        })) as unknown as FlightView["engines"],
      });
    expect(roll(127, { burns: true })).toBe("Keep it straight.");
    expect(roll(127, { burns: false })).toBe("Throttle closed, brakes.");
    expect(roll(0, { burns: false })).toBe("Keep it straight.");
    expect(roll(127, { burns: true }, { burns: false })).toBe("Throttles closed, brakes.");
    expect(roll(127, { burns: true, spool: 1 }, { burns: false, spool: 0.3 })).toBe("Below V1 stop.");
    // A helicopter slides on its skids: nothing of throttles, brakes and V1 is said of it.
    const slides = (groundSpeed_mps: number) =>
      nowWords(
        {
          ...view,
          onGround: true,
          groundSpeed_mps,
          controls: [0, 0, 0, 0, 127, 127],
          rotor: { nr: 1, clock: {} },
          engines: [
            { burns: true, spool: 1 },
            { burns: false, spool: 0.3 },
          ],
        } as unknown as FlightView,
        34,
        true,
        format,
      );
    expect(slides(3)).toMatchObject({ lead: "Collective down, gently.", good: true });
    expect(slides(0)).toEqual({ lead: "It stands.", rest: "End here, or collective up.", good: true });
    // A fire is told once it is flown: a stall, or another speed without an engine, comes before it.
    const burns = (...of: [boolean, boolean][]) =>
      ({ engines: of.map(([runs, fire]) => ({ burns: runs, fire })) }) as unknown as Partial<FlightView>;
    expect(lead(burns([true, true]))).toBe("Fire.");
    expect(lead(burns([true, false], [true, true]))).toBe("Fire, right engine.");
    expect(lead(burns([false, true], [true, false]))).toBe("Fire, left engine.");
    expect(lead({ ...burns([false, true], [true, false]), ias_mps: 30 })).toBe("Nose down.");
    expect(lead({ ...burns([true, true]), stallWarning: true })).toBe("Nose down, now.");
  });
});

describe("a set-up", () => {
  const situation = demoSituation();
  const ends = landingEnds(demoPlaces());
  const plane = localPlane({ latitude_deg: -47, longitude_deg: -131 });
  const made = (choice: Partial<typeof FIRST_CHOICE>, id = "alder-s1", chance = 0.5) =>
    setUpOf({
      aircraft: demoAircraft(id),
      situation,
      plane,
      ends,
      ground_m: 80,
      choice: { ...FIRST_CHOICE, ...choice },
      chance: () => chance,
    });
  const runway = ends.find(({ name }) => name === "Skerrow 29");

  it("begins as the situation stands, or lined up behind the threshold of a runway; both are valid", () => {
    const air = made({});
    expect(() => FlightSetUp.parse(air.flown.setUp)).not.toThrow();
    expect(air.flown.setUp.begin).toMatchObject({ altitude_m: situation.altitude_m, throttle: 0.65 });
    expect(air.planned).toEqual([{ kind: "ignition", engine: 0, when: { what: "time", value: 3 } }]);
    const off = made({ from: runway?.id ?? "", when: "surprise" });
    expect(() => FlightSetUp.parse(off.flown.setUp)).not.toThrow();
    expect(off.flown.setUp.begin).toMatchObject({
      speed_mps: 0,
      altitude_m: runway?.elevation_m,
      throttle: 0,
      gearDown: true,
    });
    expect(off.planned[0].when).toMatchObject({ what: "above" });
    expect(off.planned[0].when.value).toBeCloseTo(FIRST_CHOICE.height_m, 6);
    expect(off.flown.strips.length).toBeGreaterThan(0);
    expect(off.flown.strips.length).toBeLessThanOrEqual(8);
  });

  it("fails on the roll, just off, at a height or on the way down, where that can be", () => {
    const when = (choice: Partial<typeof FIRST_CHOICE>, id = "alder-s1") => made(choice, id).planned[0].when;
    const from = runway?.id ?? "";
    const { vs1_mps } = demoAircraft("alder-s1").handbook;
    expect(when({ from, when: "roll" })).toEqual({ what: "faster", value: vs1_mps });
    expect(when({ from, when: "roll", roll_mps: 40 })).toEqual({ what: "faster", value: 40 });
    expect(when({ from, when: "off" })).toEqual({ what: "above", value: 4 });
    expect(when({ from, when: "set", height_m: 90 })).toEqual({ what: "above", value: 90 });
    expect(when({ when: "down", height_m: 90 })).toEqual({ what: "below", value: 90 });
    // What a beginning does not have is the first that it has.
    expect(when({ from, when: "down", height_m: 90 })).toEqual({ what: "above", value: 90 });
    expect(when({ when: "roll" })).toEqual({ what: "time", value: 3 });
    expect(when({ when: "off" })).toEqual({ what: "time", value: 3 });
    const told = (choice: Partial<typeof FIRST_CHOICE>, end = runway ?? null) =>
      plain(setUpWords({ ...FIRST_CHOICE, ...choice }, end, demoAircraft("alder-s1"), format)).replace(/.*stops, /, "");
    expect(told({ when: "roll", roll_mps: 25.722 })).toBe("on the roll at 50 kt.");
    expect(told({ when: "off" })).toBe("as it has left the ground.");
    expect(told({ when: "down" }, null)).toBe("at 700 ft above the ground on the way down.");
    // A helicopter rolls to nothing, and in a hover nothing is on its way down.
    expect(chosenOf({ ...FIRST_CHOICE, when: "roll" }, demoHelicopter(), runway ?? null).when).toBe("set");
    expect(chosenOf({ ...FIRST_CHOICE, from: "hover", when: "down" }, demoHelicopter(), null).when).toBe("set");
  });

  it("names an engine of two, none for what is no engine’s, and nothing where nothing fails", () => {
    expect(made({ engine: "right" }, "larch-t2").planned[0].engine).toBe(1);
    expect([made({}, "larch-t2", 0.2), made({}, "larch-t2", 0.8)].map(({ planned }) => planned[0].engine)).toEqual([
      0, 1,
    ]);
    expect(made({ failure: "pitot" }).planned[0].engine).toBeNull();
    expect(made({ failure: "none" }).planned).toEqual([]);
  });

  it("is told in one sentence; the speed to hold goes with the mass, of a twin it is V_YSE", () => {
    const words = (
      choice: Partial<typeof FIRST_CHOICE>,
      from = null as (typeof ends)[number] | null,
      id = "alder-s1",
    ) => plain(setUpWords({ ...FIRST_CHOICE, ...choice }, from, demoAircraft(id), format));
    expect(words({})).toBe("Alder S1 as the situation stands, in the air; engine stops, in three seconds.");
    expect(words({ when: "surprise" }, runway ?? null, "larch-t2")).toBe(
      "Larch T2 takes off from Skerrow 29; engine stops, one of the two, as a surprise around 700 ft.",
    );
    expect(words({ failure: "none" })).toBe("Alder S1 as the situation stands, in the air; nothing fails.");
    const alder = demoAircraft("alder-s1");
    expect(speedToHold_mps(alder, alder.handbook.mass_kg / 1.21)).toBeCloseTo((alder.handbook.vbg_mps ?? 0) / 1.1, 6);
    expect(speedToHold_mps(demoAircraft("larch-t2"), 1400)).toBe(demoAircraft("larch-t2").handbook.vyse_mps);
  });

  it("offers what an aircraft can fail by, and nothing that it does not have", () => {
    const of = (id: string) => failuresOf(demoAircraft(id));
    expect(of("alder-s1")).not.toContain("overspeed");
    expect(of("alder-s1")).not.toContain("gear-unlocked");
    expect(of("larch-t2")).toEqual(expect.arrayContaining(["overspeed", "prop-stuck", "gear-unlocked", "magneto"]));
    for (const kind of ["magneto", "mixture", "prop-stuck", "overheat"]) expect(of("cedar-j2")).not.toContain(kind);
    expect(of("fir-p1")).not.toContain("intermittent");
    const helicopter = failuresOf(demoHelicopter());
    expect(helicopter).toContain("overspeed");
    expect(failureWords("overspeed", demoHelicopter())).toBe("governor runs high");
    expect(failureWords("overspeed", demoAircraft("larch-t2"))).toBe("propeller runs away");
    expect(helicopter).not.toContain("flap-left");
    expect(failuresOf(demoGyroplane())).not.toContain("overspeed");
    // What the aircraft before could do, this one may not be able to.
    const chosen = chosenOf({ ...FIRST_CHOICE, from: "hover", failure: "flap-left" }, demoGyroplane(), null);
    expect([chosen.from, chosen.failure]).toEqual(["air", "ignition"]);
    expect(chosenOf({ ...FIRST_CHOICE, from: "hover" }, demoHelicopter(), null).from).toBe("hover");
  });

  it("a rotorcraft is held to its slip where it has speed, not to a ball that leans against its tail", () => {
    const held = { speed_mps: null, bank_rad: 0.79, margin: LIMITS.overRotor };
    const of = (ias_mps: number, beta_rad: number) =>
      Array.from({ length: 60 }, (_, i) =>
        row({ time_s: i / 10, height_m: 80, ias_mps, beta_rad, ball: -0.9, overStall: 1.05, nr: 1 }),
      );
    const named = (ias_mps: number, beta_rad: number) =>
      bandsOf(of(ias_mps, beta_rad), held, format).map(({ name, out_s }) => [name, out_s]);
    expect(named(30, 0.05)).toEqual([
      ["Bank", 0],
      ["Slip", 0],
      ["Rotor", 0],
    ]);
    expect(named(30, -0.3)[1]).toEqual(["Slip", 6]);
    expect(named(5, 1.2)[1]).toEqual(["Slip", 0]);
  });

  it("a rotor is told by what it lacks, and what ends it by what to do", () => {
    const view = (change: Partial<FlightView>, rotor: Partial<NonNullable<FlightView["rotor"]>>) =>
      nowWords(
        {
          ...({
            time_s: 20,
            ended: null,
            onGround: false,
            ias_mps: 34,
            vsi_mps: -1,
            engines: [{ burns: true }],
          } as unknown as FlightView),
          ...change,
          rotor: { nr: 1, rpm: 384, carries: 1, clock: freshClock(demoHelicopter().engines.ratings), ...rotor },
        },
        34,
        true,
        format,
      );
    expect(view({}, {}).lead).toBe("It runs.");
    expect(view({ height_m: 60 }, { nr: 0.9 })).toMatchObject({ lead: "Collective down.", good: false });
    expect(view({ height_m: 5 }, { nr: 0.9 })).toMatchObject({ lead: "Level, cushion it.", good: false });
    const one = { engines: [{ burns: true }, { burns: false }] } as unknown as Partial<FlightView>;
    expect(view(one, {}).lead).toBe("Held on one engine.");
    expect(view({ ...one, vsi_mps: -3 }, {})).toMatchObject({ lead: "It sinks on one engine.", good: false });
    expect(view({}, { nr: 1.12 })).toMatchObject({ lead: "Collective up a little.", good: false });
    expect(view({}, { clock: null, carries: 0.3 })).toMatchObject({ lead: "Stick back, gently.", good: false });
    const clock = {
      ...freshClock(demoHelicopter().engines.ratings),
      band: 0,
      exceedances: [{ name: "30 s", kind: "time" as const, over_s: 4 }],
    };
    expect(view({}, { clock })).toMatchObject({ lead: "Less power.", good: false });
    const dead = { engines: [{ burns: false }] } as unknown as Partial<FlightView>;
    expect(view({ ...dead, ias_mps: 20 }, {}).lead).toBe("Nose down.");
    expect(view(dead, {}).lead).toBe("Into the wind, to a place.");
    expect(endWords({ kind: "rotor-slow" }, format).rest).toContain("collective down");
    expect(endWords({ kind: "unloaded" }, format).rest).toContain("never push");
  });

  it("a hover begins into the wind, its skids where they were asked for; an exercise's height comes first", () => {
    const situation = demoSituation();
    const plane = localPlane(situation.position);
    const asked = (from_rad: number, speed_mps: number, begins_m: number | null = null) =>
      setUpOf({
        aircraft: demoHelicopter(),
        situation: {
          ...situation,
          wind: { surface: { from_rad, speed_mps }, layers: [] },
          heading_rad: 1,
          mass_kg: 2800,
        },
        plane,
        ends: [],
        ground_m: 120,
        choice: { ...FIRST_CHOICE, from: "hover", hover_m: 3 },
        begins_m,
        chance: () => 0.4,
      }).flown.setUp;
    const { begin } = asked(2, 20);
    expect(begin).toMatchObject({ hovers: true, speed_mps: 0 });
    expect(begin.heading_rad).toBeCloseTo(2, 6);
    expect(asked(2, 1).begin.heading_rad).toBeCloseTo(1, 6);
    expect(begin.altitude_m).toBeGreaterThan(124);
    expect(begin.altitude_m).toBeLessThan(126);
    expect(asked(2, 20, 30).begin.altitude_m).toBeCloseTo(begin.altitude_m + 27, 6);
    expect(FlightSetUp.safeParse(asked(2, 20)).success).toBe(true);
  });
});
