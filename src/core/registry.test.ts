import { describe, expect, it } from "vitest";
import { DEMO_INPUTS } from "../../demo/demo-inputs";
import { demoDepartureQuestion } from "../../demo/demo-departure";
import { demoTakeOffQuestion } from "../../demo/demo-take-off";
import { demoAircraft, demoSituation } from "../../demo/read-demo";
import { CALCULATIONS, calculate, describeCalculation } from "./registry";
import type { WorkingStep } from "./working";

const alder = demoAircraft("alder-s1");
const situation = demoSituation();

function run(name: string, change: Record<string, unknown> = {}): Record<string, unknown> & { working: WorkingStep[] } {
  const result = calculate(name, { ...DEMO_INPUTS[name], ...change });
  if (!result.ok) throw new Error(JSON.stringify(result.issues));
  return result.value as Record<string, unknown> & { working: WorkingStep[] };
}

describe("registry", () => {
  it.each(CALCULATIONS.map((calculation) => calculation.name))(
    "%s answers with a working that has sources, and refuses nonsense with paths",
    (name) => {
      const { working } = run(name);
      expect(working.length).toBeGreaterThan(0);
      for (const step of working) {
        expect(step.source).not.toBe("");
        if (typeof step.value === "number") expect(Number.isFinite(step.value)).toBe(true);
      }
      // The answer survives JSON.
      expect(JSON.parse(JSON.stringify(run(name)))).toEqual(run(name));
      const nothing = calculate(name, {});
      expect(nothing.ok).toBe(false);
      if (!nothing.ok) expect(nothing.issues.every((issue) => issue.path !== "")).toBe(true);
      expect(calculate(name, { ...DEMO_INPUTS[name], surplus: 1 }).ok).toBe(false);
      const described = describeCalculation(name);
      expect(described?.sources.length).toBeGreaterThan(0);
      expect(described?.input).toMatchObject({ type: "object" });
    },
  );

  it("knows what it does not know", () => {
    expect(calculate("turnback-by-magic", {})).toMatchObject({ ok: false, unknown: true });
    expect(describeCalculation("turnback-by-magic")).toBeNull();
  });

  it("hands on the model's own limits as faults", () => {
    const result = calculate("polar", { ...DEMO_INPUTS.polar, mass_kg: 1200 });
    expect(result.ok ? [] : result.issues.map((issue) => [issue.code, issue.path])).toEqual([
      ["mass_outside", "mass_kg"],
    ]);
    const supersonic = calculate("airspeed", { from: "mach", value: 1.2, altitudePressure_m: 0 });
    expect(supersonic.ok ? [] : supersonic.issues.map((issue) => issue.code)).toEqual(["not_subsonic"]);
    for (const from of ["eas", "tas"])
      expect(calculate("airspeed", { from, value: 100, altitudePressure_m: 3000 }).ok).toBe(true);
    const windy = calculate("glide", {
      ...DEMO_INPUTS.glide,
      trackTrue_rad: 4.36,
      wind: { surface: { from_rad: 4.36, speed_mps: 120 }, layers: [] },
    });
    expect(windy.ok ? [] : windy.issues.map((issue) => issue.code)).toEqual(["wind_exceeds_airspeed"]);
  });

  it("turn gives the cross-checked figures of the Alder S1 at 45°, and the best bank at a speed is steeper than at fixed lift", () => {
    const turn = run("turn") as unknown as Record<string, number>;
    expect(turn.sink_mps).toBeCloseTo(5.64977, 4);
    expect(turn.radius_m).toBeCloseTo(120.869547, 3);
    expect(turn.heightPer180_m).toBeCloseTo(Math.PI * 19.968828, 3);
    // Flown at CL 1.5/1.21, that is 1.10 times the stall in the turn.
    expect(turn.stallMargin).toBeCloseTo(1.1, 4);
    const faster = run("turn", { eas_mps: 40 }) as unknown as Record<string, number>;
    expect(faster.bestBankAtSpeed_rad).toBeGreaterThan(faster.bestBankAtFixedLift_rad);
    // Closed form for small glide angles: tan²φ = 1 + A/B with D/W = A + B/cos²φ; the exact optimum is a degree or two
    // steeper.
    const q = 0.5 * 1.225 * 40 ** 2;
    const loading = (1100 * 9.80665) / 16.5;
    const small_deg = (Math.atan(Math.sqrt(1 + (q * 0.05) / loading / ((0.0617 * loading) / q))) * 180) / Math.PI;
    expect((faster.bestBankAtSpeed_rad * 180) / Math.PI - small_deg).toBeGreaterThan(0);
    expect((faster.bestBankAtSpeed_rad * 180) / Math.PI - small_deg).toBeLessThan(3);
    const stalled = calculate("turn", { ...DEMO_INPUTS.turn, eas_mps: 28, bank_rad: 1 });
    expect(stalled.ok ? [] : stalled.issues.map((issue) => issue.code)).toEqual(["stalls"]);
  });

  it("glide: the corrected speed never goes less far than the book's, in rising and sinking air too, and the book's may make no headway at all", () => {
    const ratios = (change: Record<string, unknown>) =>
      run("glide", change) as unknown as {
        book: { groundSpeed_mps: number | null; groundRatio: number | null };
        speedToFly: { groundRatio: number };
      };
    for (const verticalAir_mps of [-3, -1, 0, 1, 2]) {
      const { book, speedToFly } = ratios({ verticalAir_mps });
      expect(speedToFly.groundRatio).toBeGreaterThanOrEqual((book.groundRatio ?? 0) - 1e-3);
    }
    // In calm air the two are the same speed.
    const calm = ratios({ wind: { surface: null, layers: [] } });
    expect(calm.speedToFly.groundRatio).toBeCloseTo(calm.book.groundRatio ?? NaN, 3);
    const gale = ratios({ trackTrue_rad: 4.36, wind: { surface: { from_rad: 4.36, speed_mps: 24 }, layers: [] } });
    expect(gale.book).toMatchObject({ groundSpeed_mps: null, groundRatio: null });
    expect(gale.speedToFly.groundRatio).toBeGreaterThan(0);
  });

  it("fit meets the book and doubts what cannot be", () => {
    expect(run("fit")).toMatchObject({ doubts: [] });
    const odd = run("fit", { stall_mps: [{ flap: "up", speed_mps: 52 }] }) as unknown as { doubts: string[] };
    expect(odd.doubts.join(" ")).toContain("check that stall speed, its unit");
  });

  it("path gives the same figures as the reach it stands on, with places on the Earth, and checks ground that comes along", () => {
    const flat = {
      origin: situation.position,
      west_m: -20_000,
      south_m: -20_000,
      cell_m: 20_000,
      columns: 3,
      rows: 3,
      elevations_m: new Array(9).fill(0),
    };
    const answer = run("path", { terrain: flat }) as unknown as {
      ends: {
        name: string;
        status: string;
        margin_m: number;
        clearance_m: number | null;
        points: { latitude_deg: number }[];
      }[];
    };
    expect(answer.ends[0].name).toBe("Skerrow 11");
    expect(answer.ends[0].points[0].latitude_deg).toBeCloseTo(situation.position.latitude_deg, 9);
    expect(answer.ends[0].clearance_m).not.toBeNull();
    const high = run("path", {
      terrain: { ...flat, elevations_m: new Array(9).fill(690) },
    }) as unknown as typeof answer;
    expect(high.ends.some((end) => end.status === "terrain")).toBe(true);
    const damaged = calculate("path", { ...DEMO_INPUTS.path, terrain: { ...flat, columns: 5 } });
    expect(damaged.ok ? [] : damaged.issues.map((issue) => issue.path)).toEqual(["terrain.elevations_m"]);
  });

  it("turnback, scan and chance agree with each other", () => {
    const one = run("turnback") as unknown as { works: boolean; score_m: number; technique: { side: number } };
    const scan = run("departure", { heights_m: [200, 150] }) as unknown as {
      heights: { height_m: number; options: { id: string; score_m: number }[] }[];
      bands: { from_m: number }[];
    };
    expect(scan.heights.map((at) => at.height_m)).toEqual([150, 200]);
    const turnbacks = scan.heights[1].options.filter((option) => ["left", "right"].includes(option.id));
    expect(Math.max(...turnbacks.map((option) => option.score_m))).toBeCloseTo(one.score_m, 9);
    expect(one.works).toBe(one.score_m >= 0);
    const other = run("turnback", { side: one.technique.side === 1 ? -1 : 1 }) as unknown as typeof one;
    expect(other.score_m).toBeLessThanOrEqual(one.score_m);
    const sure = run("departure-chance", {
      heights_m: [200],
      scatter: { delay_s: 0, bank_rad: 0, speed: 0, headwind_mps: 0, crosswind_mps: 0, glide: 0, intercept_rad: 0 },
    }) as unknown as { curve: { chance: number }[] };
    expect(sure.curve[0].chance).toBe(one.works ? 1 : 0);
  });

  it("turnback says when holding the attitude ends in a stall, and what lies outside the climb", () => {
    const light = calculate("turnback", {
      ...DEMO_INPUTS.turnback,
      mass_kg: 800,
      plan: { ...demoDepartureQuestion().plan, reaction: "attitude" },
    });
    expect(light.ok ? [] : light.issues.map((issue) => [issue.code, issue.path])).toEqual([
      ["stalls", "plan.reaction"],
    ]);
    const high = calculate("turnback", { ...DEMO_INPUTS.turnback, height_m: 900 });
    expect(high.ok ? [] : high.issues.map((issue) => issue.path)).toEqual(["height_m"]);
  });

  it("departure-chance can be stopped", () => {
    const stopped = calculate("departure-chance", DEMO_INPUTS["departure-chance"], () => false);
    expect(stopped.ok ? [] : stopped.issues.map((issue) => issue.code)).toEqual(["cancelled"]);
  });

  it("one-engine calculations agree with each other and say what has no answer", () => {
    const climb = run("one-engine-climb", {
      gearDown: false,
      deadPropeller: "feathered",
      eas_mps: 81 * (1852 / 3600),
    }) as unknown as { ledger: { left_mps: number; items: unknown[] }; vyse: { climb_mps: number } };
    const control = run("control", { deadPropeller: "feathered", eas_mps: 81 * (1852 / 3600) }) as unknown as {
      climb_mps: number;
      ball: number;
      used: { rudder: number };
    };
    expect(control.climb_mps).toBeCloseTo(climb.ledger.left_mps, 9);
    expect(climb.vyse.climb_mps).toBeGreaterThanOrEqual(climb.ledger.left_mps - 1e-9);
    expect(control.ball).toBeCloseTo(0.614, 3);
    expect(control.used.rudder).toBeCloseTo(12.68876 / 25, 4);
    const held = run("control", { eas_mps: 62.88254 * (1852 / 3600), bank_rad: Math.PI / 36 }) as unknown as {
      used: { rudder: number };
    };
    expect(held.used.rudder).toBeCloseTo(1, 4);
    const heavy = run("ceilings", { gearDown: true, flap: 3, deadPropeller: "windmilling" }) as unknown as {
      serviceOne_m: number | null;
      reason: string;
    };
    expect(heavy.serviceOne_m).toBeNull();
    expect(heavy.reason).toContain("does not climb at this rate");
    expect(calculate("ceilings", { ...DEMO_INPUTS.ceilings, flap: 7 }).ok).toBe(false);
    const up = calculate("driftdown", { ...DEMO_INPUTS.driftdown, from_m: 100 });
    expect(up.ok ? [] : up.issues.map((issue) => issue.path)).toEqual(["to_m"]);
    const none = calculate("control", { ...DEMO_INPUTS.control, aircraft: alder });
    expect(none.ok ? [] : none.issues.map((issue) => issue.code)).toEqual(["not_a_twin"]);
  });

  it("accelerate tells distances from the intersection, and that stopping and going fit", () => {
    const full = run("accelerate") as unknown as {
      stop_m: number;
      stopSpare_m: number;
      goFrom_m: number;
      working: WorkingStep[];
    };
    const late = run("accelerate", { intersection_m: 300 }) as unknown as typeof full;
    expect(late.stop_m).toBeCloseTo(full.stop_m, 6);
    expect(late.stopSpare_m).toBeCloseTo(full.stopSpare_m - 300, 6);
    expect(full.working.map((step) => step.figure)).toEqual(
      expect.arrayContaining(["speeds", "stop", "go", "land", "climb", "back"]),
    );
    const faulty = calculate("accelerate", {
      ...demoTakeOffQuestion(),
      plan: {
        ...demoTakeOffQuestion().plan,
        recognition_s: 99,
        obstacles: [{ name: "", distance_m: 100, height_m: 5 }],
      },
    });
    expect(faulty.ok ? [] : faulty.issues.map((issue) => issue.path).sort()).toEqual([
      "plan.obstacles.0.name",
      "plan.recognition_s",
    ]);
  });

  it("segments tell the mass that just climbs and which segment binds", () => {
    // Cedar at 42.5 t at 2,500 m, ISA + 25.
    const { limit, segments } = run("segments", { mass_kg: 42_500 }) as unknown as {
      limit: { mass_kg: number; binding: string };
      segments: { name: string; complies: boolean }[];
    };
    expect(limit.binding).toBe("second");
    expect(limit.mass_kg).toBeLessThan(42_500);
    expect(segments.filter((segment) => !segment.complies).map((segment) => segment.name)).toEqual(["second"]);
  });

  it("every item of the climb ledger and V_XSE has lines of its own", () => {
    const { working } = run("one-engine-climb");
    expect(working.map((step) => step.figure)).toEqual(
      expect.arrayContaining(["two", "engine", "propeller", "gear", "vyse", "vxse"]),
    );
  });
});
