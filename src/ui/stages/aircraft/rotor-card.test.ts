import { describe, expect, it } from "vitest";
import { demoGyroplane, demoHelicopter } from "../../../../demo/read-demo";
import { DEFAULT_UNITS } from "@/core/quantities/units";
import { rotorNumbers } from "@/core/rotor/rotor-numbers";
import type { Rotorcraft } from "@/core/rotor/rotor-question";
import { formatIn } from "@/ui/kit/units/units-store";
import { rotorCard } from "./rotor-card";

const format = formatIn(DEFAULT_UNITS);
const card = (aircraft: Rotorcraft, mass_kg: number) => {
  const found = rotorNumbers({ aircraft, mass_kg, altitude_m: 0, air: { qnh_Pa: 101_325, deviation_K: 0 } });
  if (!found.ok) throw new Error(found.issue.message);
  return rotorCard(aircraft, found.value, mass_kg, format);
};
const plain = (text: string) => text.replace(/[\u00a0\u202f]/g, " ");

describe("the numbers card of a rotorcraft", () => {
  it("a helicopter's tells descents, ratings and what it hovers with on one engine", () => {
    const { large, speeds, byMass, besides } = card(demoHelicopter(), 2800);
    expect(large.map(({ value }) => plain(value))).toEqual(["102 kt", "4.4:1, 0.72 NM per 1 000 ft"]);
    expect(speeds.map(({ name, value }) => `${name}: ${plain(value)}`)).toContain("One engine, 30 s: 30 s, 3 uses");
    expect(byMass.head).toHaveLength(6);
    expect(byMass.rows.every((row) => row.length === 6)).toBe(true);
    expect(byMass.rows[0][5]).toBe("no");
    expect(besides.head).toContain("Hovers on one engine");
    expect(plain(besides.lines[0].value)).toMatch(/^2 8\d\d kg$/);
  });

  it("a gyroplane's tells what speed for the flare costs, and nothing of hovering", () => {
    const { speeds, byMass, besides } = card(demoGyroplane(), 450);
    expect(speeds.map(({ name, value }) => `${name}: ${plain(value)}`)).toContain("Flare from: 58 kt");
    expect(byMass.head).toHaveLength(5);
    expect(besides.lines[0].name).toMatch(/^from 0/);
    expect(plain(besides.lines[0].value)).toMatch(/^[45]\d0 ft$/);
  });
});
