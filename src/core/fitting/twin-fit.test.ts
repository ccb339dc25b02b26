import { describe, expect, it } from "vitest";
import { demoAircraft } from "../../../demo/read-demo";
import { Aeroplane } from "../aircraft/aeroplane";
import { fitOf, withFit } from "../aircraft/fitted-aircraft";
import { newAircraft } from "../aircraft/new-aircraft";
import { asymmetricCase } from "../asymmetric/anchored-case";
import { engineOutNow } from "../asymmetric/engine-out";
import { oneEngineSpeeds, zeroSideslip } from "../asymmetric/one-engine-climb";
import { vmca } from "../asymmetric/vmca";
import { radians } from "../quantities/angle";
import { M_PER_FT, MPS_PER_KT, P0_PA } from "../quantities/constants";
import { ofCategory } from "./of-category";
import { fitTwin } from "./twin-fit";
import { TWIN_CLASSES, usualClass, usualControls } from "./usual-controls";

const kt = (speed: number) => speed * MPS_PER_KT;
const fpm = (rate: number) => (rate * M_PER_FT) / 60;
const value = <T>(outcome: { ok: true; value: T } | { ok: false; issue: { message: string } }): T => {
  if (!outcome.ok) throw new Error(outcome.issue.message);
  return outcome.value;
};
const question = (aircraft: Aeroplane, mass_kg: number, altitude_m = 0) => ({
  aircraft,
  mass_kg,
  centreOfGravity: 1,
  altitude_m,
  air: { qnh_Pa: P0_PA, deviation_K: 0 },
  flap: 0,
  gearDown: false,
  items: [],
  deadPropeller: aircraft.engines.kind === "jet" ? ("none" as const) : ("feathered" as const),
  failed: "left" as const,
  setting: aircraft.engines.kind === "jet" ? aircraft.engines.maxContinuous : 1,
});
/** What the model climbs, as a book would print it. */
const printed = (aircraft: Aeroplane, mass_kg: number, altitude_m: number) => {
  const flight = value(asymmetricCase(question(aircraft, mass_kg, altitude_m)));
  const { vyse_mps } = aircraft.handbook;
  const climb_mps =
    vyse_mps === null ? oneEngineSpeeds(flight).rate.climb_mps : zeroSideslip(flight, vyse_mps)?.climb_mps;
  return { climb_mps: climb_mps ?? NaN, mass_kg, altitude_m };
};

/** A light twin as its invented handbook prints it. */
function fromItsBook(): Aeroplane {
  const begun = ofCategory(newAircraft("Sallow T1"), "twin");
  const book: Aeroplane = {
    ...begun,
    mass: { maximum_kg: 1780, minimum_kg: 1150, usual_kg: 1600, calibration_kg: 1400 },
    wing: { area_m2: 16.5, span_m: 11.2 },
    engines:
      begun.engines.kind === "propeller"
        ? { ...begun.engines, power_W: 134_000, propeller: { ...begun.engines.propeller, diameter_m: 1.93 } }
        : begun.engines,
    handbook: {
      ...begun.handbook,
      mass_kg: 1780,
      vs1_mps: kt(60),
      vs0_mps: kt(54),
      vbg_mps: kt(91),
      bestGlideRatio: 10.6,
      vyse_mps: kt(86),
      vxse_mps: kt(80),
      vsse_mps: kt(74),
      oneEngineClimb: { climb_mps: fpm(210), mass_kg: 1780, altitude_m: 0 },
      glidePropeller: "feathered",
    },
    polar: null,
  };
  const fitted = value(withFit(book, value(fitOf(book))));
  const { wing, polar, handbook } = fitted;
  if (!wing || !polar) throw new Error("a wing");
  return {
    ...fitted,
    polar: { ...polar, gear: { retractable: true, deltaCd: 0.02 } },
    asymmetric: usualControls(usualClass(fitted), wing, kt(66), handbook.vs1_mps ?? NaN),
  };
}

describe("a twin fitted to its climb on one engine", () => {
  it.each([
    ["larch-t2", 1725, 0],
    ["larch-t2", 1600, 1500],
    ["hornbeam-t2c", 3175, 3000],
    ["cedar-j2", 38_000, 1000],
  ])("%s: the power that made the climb is found again from it", (name, mass_kg, altitude_m) => {
    const aircraft = demoAircraft(name);
    const book = {
      ...aircraft,
      handbook: { ...aircraft.handbook, oneEngineClimb: printed(aircraft, mass_kg, altitude_m) },
    };
    const off = (factor: number): Aeroplane => {
      const { engines } = book;
      if (engines.kind === "jet") return { ...book, engines: { ...engines, thrust_N: engines.thrust_N * factor } };
      if (engines.kind !== "propeller") throw new Error("engines");
      return {
        ...book,
        engines: { ...engines, propeller: { ...engines.propeller, efficiency: engines.propeller.efficiency * factor } },
      };
    };
    for (const factor of [0.85, 1.15]) {
      const { engines } = value(fitTwin(off(factor))).aircraft;
      const [found, wanted] = [engines, aircraft.engines].map((now) =>
        now.kind === "jet" ? now.thrust_N : now.kind === "propeller" ? now.propeller.efficiency : NaN,
      );
      expect(found / wanted).toBeCloseTo(1, 5);
    }
  });

  it.each(["larch-t2", "hornbeam-t2c", "cedar-j2"])("%s: book and model agree without a doubt", (name) => {
    const { engines } = demoAircraft(name);
    const fit = value(fitTwin(demoAircraft(name)));
    expect(fit.doubts).toEqual([]);
    // The fit makes any climb come out: what tells is that it finds the power that the document has.
    const has =
      engines.kind === "jet" ? engines.thrust_N : engines.kind === "propeller" && engines.propeller.efficiency;
    expect(Math.abs((fit.fitted?.value ?? NaN) / Number(has) - 1)).toBeLessThan(0.005);
    for (const { name: figure, book, model } of fit.residuals)
      expect(Math.abs(model / book - 1), figure).toBeLessThan(figure.startsWith("V_Y") ? 0.08 : 0.02);
  });

  it("stands beside the book: climb and V_MCA by construction, the speeds as they come out", () => {
    const fit = value(fitTwin(fromItsBook()));
    const by = new Map(fit.residuals.map((residual) => [residual.name, residual]));
    expect(by.get("climb on one engine")?.model).toBeCloseTo(fpm(210), 4);
    expect((by.get("V_MCA")?.model ?? NaN) / kt(66)).toBeCloseTo(1, 3);
    for (const name of ["V_YSE", "V_XSE"]) {
      const { book, model } = by.get(name) ?? { book: NaN, model: NaN };
      expect(Math.abs(model / book - 1), name).toBeLessThan(0.1);
    }
    expect(fit.fitted?.what).toBe("efficiency");
    expect(fit.fitted?.value).toBeGreaterThan(0.6);
    expect(fit.fitted?.value).toBeLessThan(0.88);
    expect(fit.doubts).toEqual([]);
  });

  it("one of one's own, from a page of its book: every question of one engine has an answer", () => {
    const { aircraft } = value(fitTwin(fromItsBook()));
    expect(Aeroplane.parse(aircraft)).toEqual(aircraft);
    const now = value(engineOutNow(question(aircraft, 1700), { kind: "zero-sideslip" }, null));
    // Rules of thumb of light twins: V_MCA below V_YSE, 2 to 3° of bank without sideslip, some hundred ft/min of climb.
    expect(now.vmca.eas_mps ?? Infinity).toBeLessThan(now.speeds.rate.eas_mps);
    expect(now.zeroSideslip_rad ?? NaN).toBeGreaterThan(radians(1));
    expect(now.zeroSideslip_rad ?? NaN).toBeLessThan(radians(5));
    expect(now.ledger.left_mps).toBeGreaterThan(fpm(150));
    expect(now.ledger.left_mps).toBeLessThan(fpm(400));
    expect(vmca(value(asymmetricCase(question(aircraft, 1400))), radians(5)).eas_mps).toBeLessThan(kt(70));
  });

  it("V_YSE as printed changes the power that is fitted to it, and is told where the model's differs", () => {
    const own = fromItsBook();
    const faster = { ...own, handbook: { ...own.handbook, vyse_mps: kt(104) } };
    const [a, b] = [value(fitTwin(own)), value(fitTwin(faster))];
    expect(b.fitted?.value ?? NaN).toBeGreaterThan((a.fitted?.value ?? NaN) * 1.02);
    expect(b.doubts.join(" ")).toContain("The model’s V_YSE is not the book’s");
  });

  it.each([
    ["no V_MCA", { asymmetric: null }, "not_a_twin"],
    ["no polar", { polar: null }, "not_a_twin"],
  ])("%s: %s", (_, change, code) => {
    const fit = fitTwin({ ...fromItsBook(), ...change });
    expect(fit.ok ? "" : fit.issue.code).toBe(code);
  });

  it("a climb that no power makes is refused, one that asks for much is doubted", () => {
    const climbing = (rate: number) => {
      const own = fromItsBook();
      return fitTwin({
        ...own,
        handbook: { ...own.handbook, oneEngineClimb: { climb_mps: fpm(rate), mass_kg: 1780, altitude_m: 0 } },
      });
    };
    expect(climbing(2500)).toMatchObject({ ok: false, issue: { code: "climb_impossible" } });
    expect(climbing(-1900)).toMatchObject({ ok: false, issue: { code: "climb_impossible" } });
    expect(value(climbing(420)).doubts.join(" ")).toContain("propeller efficiency of 0.9");
    const own = fromItsBook();
    const without = value(fitTwin({ ...own, handbook: { ...own.handbook, oneEngineClimb: null } }));
    expect([without.fitted, without.aircraft]).toEqual([
      null,
      { ...own, handbook: { ...own.handbook, oneEngineClimb: null } },
    ]);
  });

  it("speeds that do not go together are told", () => {
    const own = fromItsBook();
    const { asymmetric } = own;
    if (!asymmetric) throw new Error("a twin");
    const faults = (vmca_mps: number, vsse_mps: number | null = null) => {
      const parsed = Aeroplane.safeParse({
        ...own,
        handbook: { ...own.handbook, vsse_mps },
        asymmetric: { ...asymmetric, publishedVmca_mps: vmca_mps },
      });
      return parsed.success ? [] : parsed.error.issues.map(({ path, message }) => `${path.join(".")}: ${message}`);
    };
    expect(faults(kt(66))).toEqual([]);
    expect(faults(kt(86.5)).join()).toContain("asymmetric.publishedVmca_mps: V_MCA is below V_YSE");
    expect(faults(kt(66), kt(65)).join()).toContain("handbook.vsse_mps: V_SSE is not below V_MCA");
    const slow = value(fitTwin({ ...own, asymmetric: { ...asymmetric, publishedVmca_mps: kt(38) } }));
    expect(slow.doubts.join()).toContain("V_MCA is usually between two thirds");
  });
});

describe("kinds", () => {
  it("a single becomes a twin, a jet, and a single again", () => {
    const alder = demoAircraft("alder-s1");
    const twin = ofCategory(alder, "twin");
    expect(twin.engines).toMatchObject({
      kind: "propeller",
      count: 2,
      thrustLine: null,
      propeller: { rotation: [1, 1], pFactor: 0.15 },
    });
    const jet = ofCategory(twin, "jet");
    expect(jet).toMatchObject({
      engines: { kind: "jet", count: 2 },
      polar: { deadPropeller: null },
      handbook: { glidePropeller: "none" },
    });
    const again = ofCategory(jet, "single");
    expect(again).toMatchObject({
      engines: { kind: "propeller", count: 1 },
      asymmetric: null,
      handbook: { glidePropeller: "windmilling" },
    });
    for (const aircraft of [twin, jet, again]) expect(Aeroplane.parse(aircraft)).toEqual(aircraft);
    expect(ofCategory(demoAircraft("larch-t2"), "twin").asymmetric).toEqual(demoAircraft("larch-t2").asymmetric);
  });

  it("the class follows from the kind and the mass; its controls scale with the wing", () => {
    expect(["larch-t2", "hornbeam-t2c", "cedar-j2"].map((name) => usualClass(demoAircraft(name)))).toEqual([
      ...TWIN_CLASSES,
    ]);
    for (const name of ["larch-t2", "hornbeam-t2c", "cedar-j2"]) {
      const { wing, asymmetric, category, mass } = demoAircraft(name);
      if (!wing || !asymmetric) throw new Error("a twin");
      const usual = usualControls(usualClass({ category, mass }), wing, asymmetric.publishedVmca_mps, 30);
      for (const key of ["armY_m", "finArm_m", "finHeight_m", "rudderArea_m2", "rudderChord_m", "forwardCg_m"] as const)
        expect(Math.abs(usual[key] / asymmetric[key] - 1), `${name} ${key}`).toBeLessThan(0.08);
      expect(usual.publishedVmca_mps).toBe(asymmetric.publishedVmca_mps);
    }
    expect(usualControls("jet", { area_m2: 50, span_m: 20 }, null, 50).publishedVmca_mps).toBeCloseTo(55, 9);
  });
});
