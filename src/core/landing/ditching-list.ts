// What is done on the way down to the water, by height, and how it is left.
import type { Aeroplane } from "../aircraft/aeroplane";

/** Something to do on the way down to the water. */
export interface DitchingItem {
  /** By this height over the water, m; null at once. */
  readonly by_m: number | null;
  readonly who: "flight deck" | "cabin" | "all";
  readonly what: string;
}

/** What is done by which height. Common practice; the operator's checklist comes first. */
export function ditchingItems({ category, polar }: Pick<Aeroplane, "category" | "polar">): DitchingItem[] {
  const jet = category === "jet";
  const feet = (ft: number) => ft * 0.3048;
  return [
    // Radio reaches farthest from here, and the search begins with it.
    {
      by_m: null,
      who: "flight deck",
      what: "Call with position, heading and people on board, 7700, locator beacon on",
    },
    ...(jet
      ? ([
          { by_m: feet(12_000), who: "flight deck", what: "Cabin told: ditching, how many minutes, signal to brace" },
          {
            by_m: feet(10_000),
            who: "cabin",
            what: "Life vests on, not inflated; loose things stowed; exits and rafts assigned",
          },
          {
            by_m: feet(6000),
            who: "flight deck",
            what: "Cabin pressure off as the checklist says, ground proximity warning off, vents and outflow shut",
          },
        ] satisfies DitchingItem[])
      : ([
          { by_m: feet(3000), who: "all", what: "Life vests on, not inflated; raft within reach; belts tight" },
        ] satisfies DitchingItem[])),
    { by_m: feet(2500), who: "flight deck", what: "Final position and heading called again" },
    { by_m: feet(2000), who: "flight deck", what: "Swell looked at from here: heading settled, ship or shore noted" },
    {
      by_m: feet(1500),
      who: "flight deck",
      what: polar?.gear.retractable ? "Gear stays up, flap as planned" : "Flap as planned",
    },
    {
      by_m: feet(1000),
      who: jet ? "cabin" : "all",
      what: jet ? "“Thirty seconds”: cabin seated, secured" : "Doors unlatched and wedged, headsets off, glasses off",
    },
    { by_m: feet(500), who: "all", what: "“Brace, brace”" },
    {
      by_m: feet(50),
      who: "flight deck",
      what: "Level off close to the water, wings level to the surface, slowest speed under control, attitude held",
    },
    { by_m: 0, who: "all", what: "Wait until it has stopped: there may be a second blow" },
  ];
}

/** Leaving it, in order. Common practice. */
export const EVACUATION: readonly string[] = [
  "Hold a fixed point, release the belt when the motion has stopped and water is in.",
  "Door or window open; if it is held, when the cabin has filled it opens more easily.",
  "Out, vest inflated outside, never inside.",
  "Raft tied to the aircraft before it is inflated; tied to nothing once all are in it.",
  "Beacon, flares, water taken along; stay together, out of the fuel, upwind of it.",
  "Count heads. Stay with the raft: it is seen, a swimmer is not.",
];
