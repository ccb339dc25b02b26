import { describe, expect, it } from "vitest";
import { demoSituation } from "../../../demo/read-demo";
import { DEFAULT_UNITS } from "@/core/quantities/units";
import { differences } from "./differences";
import { formatIn } from "./units/units-store";

const format = formatIn(DEFAULT_UNITS);
const demo = demoSituation();

describe("differences of two documents", () => {
  it("are none between equals", () => {
    expect(differences(demo, structuredClone(demo), format)).toEqual([]);
  });

  it("name the field in words and both values in the user's units", () => {
    const mine = { ...demo, mass_kg: 950, altitude_m: 304.8, name: "Mine" };
    const theirs = {
      ...demo,
      heading_rad: Math.PI / 2,
      pilot: { ...demo.pilot, bank_rad: Math.PI / 6 },
      name: "Theirs",
    };
    const found = differences({ ...mine, mass_kg: 950 }, { ...theirs, mass_kg: 1000 }, format);
    expect(found).toContainEqual({ what: "Name", mine: "Mine", theirs: "Theirs" });
    const plain = (text = "") => text.replace(/\s/g, " ");
    const mass = found.find(({ what }) => what === "Mass");
    expect([plain(mass?.mine), plain(mass?.theirs)]).toEqual(["950 kg", "1 000 kg"]);
    expect(plain(found.find(({ what }) => what === "Altitude")?.mine)).toBe("1 000 ft");
    expect(found.find(({ what }) => what === "Heading")?.theirs).toBe("90°");
  });

  it("count places in lists from one, and say what only one of them has", () => {
    expect(differences({ list: [{ gearDown: true }] }, { list: [] }, format)).toEqual([
      { what: "List 1, gear down", mine: "yes", theirs: "none" },
    ]);
  });

  it("call speeds by their names", () => {
    expect(
      differences({ vmca_mps: 40, vx_mps: 30 }, { vmca_mps: 41, vx_mps: 31 }, format).map(({ what }) => what),
    ).toEqual(["V_MCA", "V_X"]);
  });
});
