import { describe, expect, it } from "vitest";
import type { Configuration } from "@/core/aircraft/configuration";
import { polarOf } from "@/core/aircraft/polar";
import { demoAircraft } from "../../../../demo/read-demo";
import { fittingConfiguration } from "./fitting-configuration";

const ASKED: Configuration = {
  propeller: "feathered",
  flap: 3,
  gearDown: false,
  slip: 0.4,
  items: ["cowl", "door", "speedbrake"],
};

describe("a configuration as far as an aircraft can have it", () => {
  it.each([
    ["larch-t2", { propeller: "feathered", flap: 3, gearDown: false, slip: 0.4, items: ["cowl", "door"] }],
    // Fixed gear stays down; a propeller that does not feather windmills; what it has not is left out.
    ["alder-s1", { propeller: "windmilling", gearDown: true, slip: 0.4 }],
    ["cedar-j2", { flap: 0, gearDown: false, items: ["speedbrake"] }],
  ])("%s", (name, expected) => {
    const aircraft = demoAircraft(name);
    const fitting = fittingConfiguration(aircraft, ASKED);
    expect(fitting).toMatchObject(expected);
    // Whatever was asked, the model takes it.
    expect(polarOf(aircraft, aircraft.mass.usual_kg, fitting).ok).toBe(true);
  });
});
