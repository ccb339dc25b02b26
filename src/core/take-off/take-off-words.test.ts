import type { AirspeedCalibration } from "../aircraft/airspeed-calibration";
import type { LandingEnd } from "../landing/landing-end";
import { beforeEach, describe, expect, it } from "vitest";
import { demoTakeOff, demoTakeOffQuestion } from "../../../demo/demo-take-off";
import { demoTerrain } from "../../../demo/read-demo";
import { localPlane } from "../earth/local-plane";
import { DEFAULT_UNITS } from "../quantities/units";
import { MPS_PER_KT } from "../quantities/constants";
import { DEFAULT_ONE_ENGINE } from "../situation/one-engine-plan";
import { accelerate, balancedFailure_mps } from "./accelerate";
import { phases } from "./phases";
import { returnHeight } from "./return-height";
import { speedMarks } from "./speed-marks";
import { takeOffBrief } from "./take-off-brief";
import type { TakeOffDay } from "./take-off-day";
import { groundObstacles, groundUnderDeparture } from "./terrain-ahead";

function briefOf(day: TakeOffDay, climb_mps: number, calibration: AirspeedCalibration | null = null): string[] {
  const balanced = balancedFailure_mps(day);
  const found = accelerate(day, day.jet && balanced.ok ? balanced.value : day.speeds.rotation_mps);
  const by = phases(day);
  if (!found.ok || !by.ok) throw new Error("no take-off");
  const { runway, plan } = day.question;
  return takeOffBrief(
    {
      runwayName: runway.name,
      runway_m: runway.length_m,
      jet: day.jet,
      speeds: day.speeds,
      accelerate: found.value,
      phases: by.value,
      back: returnHeight(day, by.value.both),
      acceleration_m: plan.acceleration_m,
      turns: day.question.oneEngine.turns,
      failed: day.question.failed,
      climb_mps,
      calibration,
    },
    DEFAULT_UNITS,
  );
}

describe("the brief", () => {
  it("says its speeds as the indicator shows them", () => {
    const day = demoTakeOff({});
    const calibration = [40, 120].map((speed) => ({
      indicated_mps: (speed - 10) * MPS_PER_KT,
      calibrated_mps: speed * MPS_PER_KT,
    }));
    const rotation = Math.round(day.speeds.rotation_mps / MPS_PER_KT);
    expect(briefOf(day, 1)[0]).toContain(`rotation, ${rotation}\u00a0kt:`);
    expect(briefOf(day, 1, calibration)[0]).toContain(`rotation, ${rotation - 10}\u00a0kt IAS:`);
  });

  it("of a light twin goes from the stop over the runway left to the climb and the way back", () => {
    const said = briefOf(demoTakeOff({ mass_kg: 1600 }), 1.8);
    expect(said[0]).toMatch(/^Skerrow 29\. Until rotation, 6\d\skt/);
    expect(said[0]).toContain("both throttles closed");
    expect(said[1]).toMatch(/^Airborne, gear down, until \d+\sft: close both/);
    expect(said.join(" ")).toMatch(/identify, verify, feather/);
    // Advised before the sum: gear down below 400 ft is a commitment, though without error it would go from lower.
    expect(said[2]).toMatch(/^From \d+\sft until 400\sft: gear down, close both, land ahead\.$/);
    expect(said.at(-1)).toMatch(/^Turn back from \d+\sft, 15° of bank, to either side/);
    const live = briefOf(demoTakeOff({ mass_kg: 1600, oneEngine: { ...DEFAULT_ONE_ENGINE, turns: "live" } }), 1.8);
    expect(live.at(-1)).toContain("to the right only, toward the live engine");
  });

  it("says first that it will not climb, and then nothing of climbing", () => {
    const said = briefOf(demoTakeOff({ mass_kg: 1600 }), -1);
    expect(said[0]).toContain("it will not climb today");
    expect(said.join(" ")).not.toContain("feather");
  });

  it("of a jet has V_1, V_R, V_2 and the acceleration height; a short runway is said first", () => {
    const said = briefOf(demoTakeOff({ name: "cedar-j2" }), 6);
    expect(said[0]).toMatch(/Until V_1, 1\d\d\skt/);
    expect(said[1]).toMatch(/Rotate 13\d\skt, V_2 13\d\skt at 35 feet/);
    expect(said[2]).toContain("1\u202f000\u00a0ft, level");
    const runway = { ...demoTakeOffQuestion({ name: "cedar-j2" }).runway, length_m: 1500 };
    expect(briefOf(demoTakeOff({ name: "cedar-j2", runway }), 6)[0]).toContain("too short");
  });
});

describe("where speeds come", () => {
  it("in rising order along the runway and then the climb", () => {
    const day = demoTakeOff({ mass_kg: 1600 });
    const by = phases(day);
    const marks = by.ok ? speedMarks(day, by.value.both) : by;
    if (!marks.ok) throw new Error(marks.issue.message);
    expect(marks.value.map((mark) => mark.name)).toEqual(expect.arrayContaining(["V_MCA 5°", "V_R", "V_SSE", "V_YSE"]));
    for (let i = 1; i < marks.value.length; i += 1) {
      expect(marks.value[i].eas_mps).toBeGreaterThanOrEqual(marks.value[i - 1].eas_mps);
      expect(marks.value[i].at?.x_m ?? Infinity).toBeGreaterThanOrEqual(marks.value[i - 1].at?.x_m ?? 0);
    }
    expect(marks.value.find((mark) => mark.name === "V_R")?.at?.height_m).toBe(0);
  });
});

describe("ground ahead", () => {
  let ground: ReturnType<typeof groundUnderDeparture>;
  let runway: LandingEnd;
  beforeEach(() => {
    const grid = demoTerrain();
    ({ runway } = demoTakeOffQuestion());
    ground = groundUnderDeparture(runway, grid, localPlane(grid.origin));
  });

  it("is level on the aerodrome and looked at every 150 m as far as 15 km", () => {
    expect(ground).toHaveLength(101);
    expect(Math.abs(ground[2].height_m ?? NaN)).toBeLessThan(15);
    expect(ground[1].distance_m).toBeCloseTo(150, 6);
  });

  it("stands in the way beyond the runway's end only where it is higher than the runway", () => {
    const obstacles = groundObstacles(ground, runway.length_m);
    expect(obstacles.length).toBeGreaterThan(5);
    for (const obstacle of obstacles) {
      expect(obstacle.distance_m).toBeGreaterThan(runway.length_m);
      expect(obstacle.height_m).toBeGreaterThan(6);
    }
    const day = demoTakeOff({ mass_kg: 1725, air: { qnh_Pa: 101_325, deviation_K: 15 } });
    const [free, over] = [phases(day), phases(day, [{ name: "wall", distance_m: 2500, height_m: 400 }])];
    expect(
      free.ok &&
        over.ok &&
        over.value.failures.filter((found) => found.goes).length <
          free.value.failures.filter((found) => found.goes).length,
    ).toBe(true);
  });

  it("a runway on which it does not even lift off is refused", () => {
    const short = demoTakeOff({
      name: "cedar-j2",
      runway: { ...demoTakeOffQuestion({ name: "cedar-j2" }).runway, length_m: 700 },
    });
    expect(phases(short)).toMatchObject({ ok: false, issue: { code: "runway_too_short" } });
    expect(short.speeds.rotation_mps / MPS_PER_KT).toBeGreaterThan(120);
  });
});
