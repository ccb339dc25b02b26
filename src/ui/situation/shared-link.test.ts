import { describe, expect, it } from "vitest";
import { demoSituation } from "../../../demo/read-demo";
import { situationLink, situationOfLink } from "./shared-link";

const current = demoSituation();

describe("shared link", () => {
  it("carries aircraft, mass, place, wind and air to another situation", () => {
    const sent = {
      ...current,
      mass_kg: 950,
      altitude_m: 1234.5,
      heading_rad: 2,
      wind: { ...current.wind, surface: { from_rad: 1, speed_mps: 5 } },
    };
    const read = situationOfLink(new URL(situationLink("http://localhost/landing?old=1#x", sent)).search, current);
    if (!read || "fault" in read) throw new Error("expected a change");
    expect(read.change).toMatchObject({ mass_kg: 950, altitude_m: 1234.5, heading_rad: 2, aircraftId: "alder-s1" });
    expect(read.change.wind?.surface).toEqual({ from_rad: 1, speed_mps: 5 });
    expect(read.change.position?.latitude_deg).toBeCloseTo(sent.position.latitude_deg, 5);
  });

  it("is nothing without parts of its own, and a fault when they cannot be", () => {
    expect(situationOfLink("", current)).toBeNull();
    expect(situationOfLink("?utm=1", current)).toBeNull();
    expect(situationOfLink("?hdg_rad=725", current)).toMatchObject({
      fault: expect.stringContaining("A heading is 0° to 360°"),
    });
    expect(situationOfLink("?alt_m=NaN&mass_kg=900", current)).toMatchObject({
      change: { mass_kg: 900, altitude_m: current.altitude_m },
    });
  });
});
