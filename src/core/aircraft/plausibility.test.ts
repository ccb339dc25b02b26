import { describe, expect, it } from "vitest";
import { demoAircraft } from "../../../demo/read-demo";
import type { Aeroplane } from "./aeroplane";
import { doubtsAbout } from "./plausibility";

const larch = demoAircraft("larch-t2");
const handbook = (change: Partial<Aeroplane["handbook"]>): Aeroplane => ({
  ...larch,
  handbook: { ...larch.handbook, ...change },
});
const limits = (change: Partial<Aeroplane["limits"]>): Aeroplane => ({
  ...larch,
  limits: { ...larch.limits, ...change },
});
const flap = (i: number, change: object): Aeroplane => ({
  ...larch,
  polar: larch.polar && {
    ...larch.polar,
    flaps: larch.polar.flaps.map((entry, at) => (at === i ? { ...entry, ...change } : entry)),
  },
});
const paths = (aircraft: Aeroplane) => doubtsAbout(aircraft).map((doubt) => doubt.path);

describe("figures against each other", () => {
  it.each(["alder-s1", "rowan-r1", "larch-t2", "hornbeam-t2c", "cedar-j2", "thorn-v12"])(
    "%s of the demo world looks right",
    (name) => {
      expect(paths(demoAircraft(name))).toEqual([]);
    },
  );

  it.each<[string, Aeroplane, string]>([
    ["a book mass above the maximum", handbook({ mass_kg: 3000 }), "handbook.mass_kg"],
    ["a clean stall in km/h typed as kt", handbook({ vs1_mps: 58 }), "handbook.vs1_mps"],
    ["landing stall above the clean one", handbook({ vs0_mps: 32 }), "handbook.vs0_mps"],
    ["best glide at the stall", handbook({ vbg_mps: 29 }), "handbook.vbg_mps"],
    ["best glide far above the stall", handbook({ vbg_mps: 80 }), "handbook.vbg_mps"],
    ["V_X below the stall", handbook({ vx_mps: 28 }), "handbook.vx_mps"],
    ["V_Y below V_X", handbook({ vy_mps: 35 }), "handbook.vy_mps"],
    ["V_A that is not V_S·√n", limits({ va_mps: 45 }), "limits.va_mps"],
    ["V_NE below V_A", limits({ vne_mps: 55 }), "limits.vne_mps"],
    ["gear that may be moved but not left down", limits({ vle_mps: 50 }), "limits.vle_mps"],
    ["more load with flap than without", limits({ loadFactorFlap: 5 }), "limits.loadFactorFlap"],
    ["a flap limit below the stall", limits({ vfe_mps: [null, 28, 27, 26] }), "limits.vfe_mps.1"],
    ["a flap limit that rises with flap", limits({ vfe_mps: [null, 60, 70, 55] }), "limits.vfe_mps.2"],
    ["flap that lifts less", flap(2, { clMax: 1.5 }), "polar.flaps.2.clMax"],
    ["flap that drags less", flap(3, { deltaCd: 0.001 }), "polar.flaps.3.deltaCd"],
    ["a wing of no known shape", { ...larch, wing: { area_m2: 16.8, span_m: 37.4 } }, "wing.span_m"],
    [
      "a feathered propeller that drags more than a stopped one",
      {
        ...larch,
        polar: larch.polar && {
          ...larch.polar,
          deadPropeller: larch.polar.deadPropeller && { ...larch.polar.deadPropeller, feathered: 0.1 },
        },
      },
      "polar.deadPropeller.feathered",
    ],
  ])("doubts %s", (_what, aircraft, path) => {
    const found = doubtsAbout(aircraft).filter((doubt) => doubt.path === path);
    expect(found.length).toBeGreaterThan(0);
    expect(found[0].message.length).toBeGreaterThan(20);
  });

  it("says nothing of what is not given", () => {
    const silent = handbook({ vs0_mps: null, vs1_mps: null, vbg_mps: null, vx_mps: null, vy_mps: null });
    expect(paths(silent)).toEqual([]);
  });
});
