// A helicopter's hover as a log: flown by the simulator, written as it writes its logs, read and measured as any other.
import { describe, expect, it } from "vitest";
import { FLAT, rotorcraftSetUp } from "../../../demo/demo-flight";
import { demoHelicopter } from "../../../demo/read-demo";
import { setUpFlight } from "../simulation/flight-set-up";
import { freshTrace, noteTrace, traceCsv } from "../simulation/flight-trace";
import { type Leg, flyLegs, freshPilot, legOf } from "../simulation/pilot";
import { analyse } from "./analyse";
import { readLog } from "./formats/read-log";
import { ratingsUsed } from "./measure/ratings-used";

const HAZEL = demoHelicopter();
const OVER = { vertical: { hold: "hover" }, lateral: { hold: "bank", bank_rad: 0 } } as const;
const leg = (name: string, collective: Leg["collective"], until: Leg["until"], fails: Leg["fails"] = []) =>
  legOf({ name, ...OVER, collective, until, fails });

/** Up to 14 m, an engine lost there at a moment of its own, down on the other. */
function hovered(): { csv: string; failed_s: number } {
  const made = setUpFlight(rotorcraftSetUp(HAZEL, {}, { seed: 4, turbulence: 0.5 }), FLAT);
  if (!made.ok) throw new Error(made.issue.message);
  const trace = freshTrace();
  let failed_s = 0;
  const pilot = freshPilot([
    leg("stand", { hold: "share", value: 0 }, { what: "time", value: 8 }),
    leg("up", { hold: "climb", value: 0.8 }, { what: "above", value: 14 }),
    leg("hover", { hold: "climb", value: 0 }, { what: "time", value: 25 }),
    leg("on one", { hold: "climb", value: 0 }, { what: "time", value: 15 }, [{ kind: "starvation", engine: 0 }]),
    leg("down", { hold: "climb", value: -0.6 }, { what: "touch", value: 0 }),
    leg("stand again", { hold: "share", value: 0 }, { what: "time", value: 15 }),
  ]);
  flyLegs(made.value, pilot, (step) => {
    noteTrace(trace, made.value, step);
    if (pilot.at === 3 && failed_s === 0) failed_s = pilot.since_s;
    return true;
  });
  const csv = traceCsv(trace.rows, (north_m, east_m) => ({
    latitude_deg: -47.1 + north_m / 111_000,
    longitude_deg: -130.9 + east_m / 75_000,
  }));
  return { csv, failed_s };
}

describe("a hover as a log", () => {
  const { csv, failed_s } = hovered();
  const read = readLog(csv);
  if (!read.ok) throw new Error(read.issue.message);
  const day = {
    aircraft: null,
    rotorcraft: HAZEL.name,
    mass_kg: 2800,
    deviation_K: 0,
    wind: null,
    calibration: null,
    runways: [],
    stops: null,
  };
  const found = (hovers: boolean) => {
    const analysis = analyse(read.value, { ...day, hovers });
    if (!analysis.ok) throw new Error(analysis.issue.message);
    return analysis.value;
  };

  it("is in the air from lift-off to the touch, for a helicopter; for what cannot hover it stood", () => {
    const { flights } = found(true);
    expect(flights).toHaveLength(1);
    expect(flights[0].takeOff?.ground_m).toBeLessThan(3);
    expect(flights[0].landing).not.toBeNull();
    expect(flights[0].ends_s - flights[0].begins_s).toBeGreaterThan(60);
    expect(found(false).flights).toEqual([]);
  });

  it("the engine that was lost is found by its power, at its moment, and which of the two", () => {
    const [{ failures }] = found(true).flights;
    expect(failures.map(({ engine, kind, possible }) => [engine, kind, possible])).toEqual([[1, "stopped", false]]);
    expect(Math.abs(failures[0].time_s - failed_s)).toBeLessThan(1.5);
  });

  it("the rating that held it is told with its seconds", () => {
    const used = ratingsUsed(found(true).flown, HAZEL, 0);
    if (!used.ok) throw new Error(used.issue.message);
    const names = used.value.spells.map(({ name }) => name);
    expect(names).toContain("30 s");
    expect(used.value.spells[0].hovers).toBe(true);
    expect(used.value.inspection).toBe(true);
    expect(Math.abs(used.value.spells[0].from_s - failed_s)).toBeLessThan(3);
  });
});
