import { describe, expect, it } from "vitest";
import { FLAT, cut, demoFlight, flyBy } from "../../../demo/demo-flight";
import { DEMO_INPUTS } from "../../../demo/demo-inputs";
import { demoAircraft } from "../../../demo/read-demo";
import { P0_PA } from "../quantities/constants";
import { calculate } from "../registry";
import * as C from "../simulation/controls";
import { freshTrace, noteTrace } from "../simulation/flight-trace";
import * as S from "../simulation/state";
import { CAUSES } from "./height-account";
import { heightSpent } from "./height-spent";

const PRACTICE = { bank_rad: 0.52, stallMargin: 1.2 };
/** Where the planner has its best climb, by its own calculation. */
const BEST = (() => {
  const answer = calculate("one-engine-climb", {
    ...DEMO_INPUTS["one-engine-climb"],
    deadPropeller: "feathered",
    gearDown: false,
    altitude_m: 330,
  });
  if (!answer.ok) throw new Error("no climb");
  return (answer.value as { vyse: { eas_mps: number; climb_mps: number } }).vyse;
})();

interface Flown {
  readonly speed_mps?: number;
  /** After the failure, s. */
  readonly feathers_s?: number;
  readonly throttle?: number;
  readonly gearDown?: boolean;
  readonly ball?: number;
  readonly bank_rad?: number;
}

/** Larch, left engine cut at five seconds, flown for a minute after it; accounted for from the cut. */
function spent({ speed_mps = BEST.eas_mps, feathers_s = 0, throttle = 1, ball = 0.6, ...flown }: Flown) {
  const flight = demoFlight("larch-t2", {
    mass_kg: 1725,
    tas_mps: speed_mps * 1.015,
    throttle,
    altitude_m: 300,
    ground: FLAT,
    gearDown: flown.gearDown ?? false,
  });
  const trace = freshTrace();
  const CUT_S = 5;
  flyBy(
    flight,
    65,
    {
      speed_mps: () => speed_mps,
      bank_rad: (t) => (t > CUT_S + 0.5 ? (flown.bank_rad ?? 0.0536) : 0),
      ball,
    },
    (t) => {
      const step = Math.round(t * 120);
      if (step === CUT_S * 120) {
        cut(flight, 0);
        if (feathers_s === 0) {
          // As if it had been feathered all the while.
          flight.controls[C.PROPELLER] = 0;
          flight.state[S.ENGINE + S.OMEGA] = 0;
          flight.state[S.ENGINE + S.BLADE] = 1.52;
        }
      }
      if (feathers_s > 0 && step === (CUT_S + feathers_s) * 120) flight.controls[C.PROPELLER] = 0;
      noteTrace(trace, flight, step);
      return true;
    },
  );
  const found = heightSpent(
    {
      aircraft: demoAircraft("larch-t2"),
      mass_kg: 1725,
      centreOfGravity: 1,
      air: { qnh_Pa: P0_PA, deviation_K: 0 },
      wind: { surface: null, layers: [] },
      ground_m: 0,
    },
    trace.rows,
    // The swing at the cut has settled.
    200,
    PRACTICE,
  );
  if (!found.ok) throw new Error(found.issue.message);
  return found.value;
}

describe("where the height went on one engine", () => {
  it("at V_YSE, clean, feathered, half a ball: what the planner climbs, and no cause worth a metre a quarter minute", () => {
    const { kind, straight, turns, beyond_m, lost_m, reaction, intoSpeed_m } = spent({});
    expect(kind).toBe("one-engine");
    // Nothing had to be done: held so, it is no reaction that was slow.
    expect(reaction.time_s).toBe(0);
    const time_s = straight.time_s + turns.time_s;
    expect(-(straight.least_m + turns.least_m) / time_s).toBeCloseTo(BEST.climb_mps, 1);
    for (const cause of CAUSES) expect(Math.abs(beyond_m[cause])).toBeLessThan(time_s / 15);
    const beyond = CAUSES.reduce((sum, cause) => sum + beyond_m[cause], 0);
    expect(reaction.lost_m + straight.least_m + turns.least_m + beyond + intoSpeed_m).toBeCloseTo(lost_m, 6);
  });

  it("left windmilling for long is the engine's, gear out the gear's, at what the planner says they cost a second", () => {
    const answer = calculate("one-engine-climb", {
      ...DEMO_INPUTS["one-engine-climb"],
      altitude_m: 330,
      eas_mps: BEST.eas_mps,
    });
    if (!answer.ok) throw new Error("no ledger");
    const { ledger } = answer.value as { ledger: { items: { item: string; cost_mps: number }[] } };
    const cost = (item: string) => ledger.items.find((one) => one.item === item)?.cost_mps ?? NaN;
    const late = spent({ feathers_s: 100 });
    const time_s = late.straight.time_s + late.turns.time_s;
    expect(late.beyond_m.engine / time_s).toBeGreaterThan(0.7 * cost("propeller"));
    expect(late.beyond_m.engine / time_s).toBeLessThan(1.3 * cost("propeller"));
    const gear = spent({ gearDown: true });
    expect(gear.beyond_m.gear / (gear.straight.time_s + gear.turns.time_s) / cost("gear")).toBeCloseTo(1, 0);
  });

  it("power held back is the engine's, a slip the ball's, a steep bank the load's, too fast the speed's", () => {
    const most = (of: Flown) => {
      const { beyond_m } = spent(of);
      return CAUSES.toSorted((a, b) => beyond_m[b] - beyond_m[a])[0];
    };
    expect(most({ throttle: 0.8 })).toBe("engine");
    expect(most({ ball: 0, bank_rad: 0 })).toBe("slip");
    expect(most({ bank_rad: 0.7 })).toBe("bank");
    expect(most({ speed_mps: BEST.eas_mps + 12 })).toBe("speed");
  });
});
