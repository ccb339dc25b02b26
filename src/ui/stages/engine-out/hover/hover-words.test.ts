import { describe, expect, it } from "vitest";
import { demoHelicopter } from "../../../../../demo/read-demo";
import { type UnitChoice, DEFAULT_UNITS, formatSi } from "@/core/quantities/units";
import { hoverAnswer } from "@/core/rotor/hover-answer";
import { ratingWords } from "../../rating-words";
import { hoverDecision, hoverHeadline } from "./hover-words";
import { bandColour } from "./PowerChart";

type Rounding = Parameters<typeof formatSi>[3];
const format = (kind: keyof UnitChoice, value: number, rounding?: Rounding) =>
  formatSi(kind, DEFAULT_UNITS[kind], value, rounding);

const at = (mass_kg: number, needed_s: number, change: object = {}) => {
  const found = hoverAnswer({
    aircraft: demoHelicopter(),
    mass_kg,
    altitude_m: 0,
    air: { qnh_Pa: 101_325, deviation_K: 0 },
    wind_mps: 0,
    skids_m: null,
    needed_s,
    ...change,
  });
  if (!found.ok) throw new Error(found.issue.message);
  return found.value;
};

describe("a hover's decision", () => {
  it("holds as long as there is fuel, for the seconds needed, for too few, or not at all", () => {
    expect(hoverDecision(at(2200, 20), format)).toMatchObject({
      holds: true,
      lead: "It holds for as long as there is fuel.",
    });
    expect(hoverDecision(at(2800, 20), format)).toMatchObject({
      holds: true,
      lead: "Hold it for the 20 s that are needed.",
    });
    const short = hoverDecision(at(2800, 40), format);
    expect(short.lead).toBe("It cannot be held for 40 s.");
    expect(short.rest).toMatch(/Only the 30 s rating/);
    expect(short.rest).toMatch(/13\d.kg lighter, it could/);
    const none = hoverDecision(at(3000, 20), format);
    expect(none).toMatchObject({ holds: false, lead: "Fly away: no rating holds this hover." });
    expect(none.rest).toMatch(/Short by 38.kW on 30 s\. It flies level from 13.kt/);
  });

  it("a wind from behind is a wind, and the blades may stall before power is short", () => {
    expect(at(2800, 20, { wind_mps: -5 }).hover.required.shaft_W).toBe(
      at(2800, 20, { wind_mps: 5 }).hover.required.shaft_W,
    );
    const aircraft = demoHelicopter();
    const limp = { ...aircraft, rotor: { ...aircraft.rotor, ctSigmaMax: 0.08 } };
    const stalled = at(3000, 20, { aircraft: limp, altitude_m: 3000 });
    expect(hoverDecision(stalled, format).lead).toBe("The blades stall: it does not hover here.");
    expect(hoverHeadline(stalled, format)).toMatchObject({ text: "blades stall" });
  });

  it("the spine says rating and power in hand", () => {
    expect(hoverHeadline(at(2800, 20), format)).toMatchObject({
      text: expect.stringMatching(/^30 s · 12.kW$/),
      tone: "text-ochre",
    });
    expect(hoverHeadline(at(2200, 20), format).tone).toBe("text-pine");
    expect(hoverHeadline(at(3000, 20), format).text).toBe("no hover on one");
  });

  it("one engine alone has no hover on one", () => {
    const aircraft = demoHelicopter();
    const found = hoverAnswer({
      aircraft: { ...aircraft, engines: { ...aircraft.engines, count: 1 } },
      mass_kg: 2500,
      altitude_m: 0,
      air: { qnh_Pa: 101_325, deviation_K: 0 },
      wind_mps: 0,
      skids_m: null,
      needed_s: 20,
    });
    expect(found).toMatchObject({ ok: false, issue: { code: "one_engine" } });
  });
});

describe("words and colours of ratings", () => {
  it("say time and uses", () => {
    expect(ratingWords({ duration_s: 30, uses: 3 })).toBe("30 s, 3 uses");
    expect(ratingWords({ duration_s: 120, uses: 1 })).toBe("120 s, 1 use");
    expect(ratingWords({ duration_s: null, uses: null })).toBe("no limit");
  });
  it("the one without a limit is pine, however many there are", () => {
    expect([0, 1, 2, 3].map((i) => bandColour(i, 4))).toEqual(["brick", "ochre", "wheat", "pine"]);
    expect([0, 1].map((i) => bandColour(i, 2))).toEqual(["brick", "pine"]);
  });
});
