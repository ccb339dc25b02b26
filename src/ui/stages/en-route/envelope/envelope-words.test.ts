import { describe, expect, it } from "vitest";
import { demoHelicopter } from "../../../../../demo/read-demo";
import { type UnitChoice, DEFAULT_UNITS, formatSi } from "@/core/quantities/units";
import { envelopeDecision } from "./envelope-words";

type Rounding = Parameters<typeof formatSi>[3];
const format = (kind: keyof UnitChoice, value: number, rounding?: Rounding) =>
  formatSi(kind, DEFAULT_UNITS[kind], value, rounding);
const [thirty, , , continuous] = demoHelicopter().engines.ratings;
const envelope = (service_m: number | null, absolute_m: number | null, rating = continuous) => ({
  rating,
  altitudes: [],
  service_m,
  absolute_m,
  top_m: 5486,
});

describe("whether it stays up on one engine", () => {
  it.each([
    [null, null, 500, false, "It does not stay up on one engine."],
    [1000, 1500, 800, true, "It holds this altitude on one engine."],
    [1000, 1500, 1200, true, "It just holds this altitude on one engine."],
    [null, 300, 200, true, "It just holds this altitude on one engine."],
  ])("service %s, absolute %s, at %s m", (service, absolute, altitude, holds, lead) => {
    expect(envelopeDecision(envelope(service, absolute), altitude, format)).toMatchObject({ holds, lead });
  });
  it("above the ceiling it drifts down to it", () => {
    const said = envelopeDecision(envelope(1000, 1500), 2000, format);
    expect(said.lead).toMatch(/^It drifts down to 4.9\d0.ft\.$/);
    expect(said.rest).toMatch(/climbs 50 ft\/min up to 3.280.ft/);
  });
  it("a rating that ends is no altitude to plan with", () => {
    expect(envelopeDecision(envelope(5486, 5486, thirty), 1000, format).rest).toBe(
      "The 30 s rating ends; plan with the one that does not.",
    );
  });
});
