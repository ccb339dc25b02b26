import { describe, expect, it } from "vitest";
import { demoAircraft } from "../../../demo/read-demo";
import { singleForcedLanding, singleInCruise } from "../procedure/library/single";
import { PROCEDURES } from "../procedure/library/procedures";
import { twinInCruise } from "../procedure/library/twin";
import * as C from "../simulation/controls";
import { doneByHand, movedTo } from "./flown-drill";

const [alder, larch, cedar] = ["alder-s1", "larch-t2", "cedar-j2"].map(demoAircraft);
const stepOf = (procedure: typeof twinInCruise, id: string) => procedure.steps.find((step) => step.id === id);
/** Controls in cruise, with some of them moved. */
const controls = (moved: Readonly<Record<number, number>> = {}) => {
  const all = C.controlsAtRest();
  for (const engine of [0, 1]) all[C.THROTTLE + engine] = 80;
  for (const [at, value] of Object.entries(moved)) all[Number(at)] = value;
  return all;
};

describe("a drill that is done while it is flown", () => {
  it("the lever of the engine that is due counts, moved to its end and not on the way", () => {
    const verify = stepOf(twinInCruise, "verify");
    const done = (from: number, to: number, engine = 1) =>
      doneByHand(
        larch,
        twinInCruise,
        verify,
        "right",
        controls({ [C.THROTTLE + engine]: from }),
        controls({ [C.THROTTLE + engine]: to }),
      );
    expect(done(80, 4)).toEqual([{ control: "throttle", side: "right", position: "idle" }]);
    expect(done(80, 40)).toEqual([]);
    expect(done(5, 2)).toEqual([]);
    // The wrong one too: it is told.
    expect(done(80, 0, 0)).toEqual([{ control: "throttle", side: "left", position: "idle" }]);
  });

  it("what is moved to fly is not of the drill; what cannot be taken back is, whenever", () => {
    const control = stepOf(twinInCruise, "control");
    const done = (moved: Readonly<Record<number, number>>) =>
      doneByHand(larch, twinInCruise, control, "right", controls(), controls(moved));
    expect(done({ [C.THROTTLE]: C.FULL, [C.GEAR]: 0, [C.FLAP]: 1 })).toEqual([]);
    expect(done({ [C.PROPELLER]: 0 })).toEqual([{ control: "propeller", side: "left", position: "feather" }]);
    expect(done({ [C.MAGNETOS + 1]: 0 })).toEqual([{ control: "ignition", side: "right", position: "off" }]);
  });

  it("a switch that the aircraft has once is that of the engine that is meant; of one engine it is nobody's", () => {
    const pumps = stepOf(twinInCruise, "pumps");
    const on = controls({ [C.PUMP]: 1 });
    expect(doneByHand(larch, twinInCruise, pumps, "right", controls(), on)).toEqual([
      { control: "pump", side: "right", position: "on" },
    ]);
    const one = doneByHand(alder, singleInCruise, stepOf(singleInCruise, "pump-on"), null, controls(), on);
    expect(one).toEqual([{ control: "pump", side: null, position: "on" }]);
    const tank = doneByHand(
      alder,
      singleInCruise,
      stepOf(singleInCruise, "tank"),
      null,
      controls(),
      controls({ [C.FUEL]: 2, [C.FUEL + 1]: 2 }),
    );
    expect(tank).toEqual([{ control: "fuel", side: null, position: "right" }]);
  });

  it("what the panel sets is set in the aeroplane; a place that is none, and what it lacks, is not", () => {
    const to = (aircraft: typeof alder, control: string, side: "left" | "right" | null, position: string) =>
      movedTo(aircraft, { control, side, position });
    expect(to(larch, "propeller", "right", "feather")).toEqual({ control: C.PROPELLER + 1, value: 0 });
    expect(to(alder, "ignition", null, "both")).toEqual({ control: C.MAGNETOS, value: 3 });
    expect(to(alder, "flap", null, "landing")).toEqual({ control: C.FLAP, value: alder.polar?.landingFlap });
    expect(to(cedar, "fuel", "left", "cut off")).toEqual({ control: C.MIXTURE, value: 0 });
    expect(to(larch, "throttle", "left", "cruise")).toBeNull();
    expect(to(alder, "master", null, "off")).toBeNull();
  });

  it("every final position of the engines' controls that ship is one that the aeroplane has, or is not of it at all", () => {
    const known = ["fuel", "mixture", "propeller", "ignition", "condition"];
    const missing = PROCEDURES.filter(({ fits }) => fits.includes("single") || fits.includes("twin")).flatMap(
      ({ id, controls: all }) =>
        all
          .filter((control) => known.includes(control.id))
          .flatMap((control) =>
            control.final
              .filter((position) => to2(control.id, position) === null)
              .map((position) => `${id}: ${control.id} ${position}`),
          ),
    );
    expect(missing).toEqual([]);
    function to2(control: string, position: string) {
      return movedTo(larch, { control, side: "left", position });
    }
  });

  it("securing a single by its levers alone is the whole of its drill's middle", () => {
    const order = ["fuel-off", "mixture-off", "ignition-off"].map((id) => stepOf(singleForcedLanding, id));
    const moves = [{ [C.FUEL]: 0 }, { [C.FUEL]: 0, [C.MIXTURE]: 0 }, { [C.FUEL]: 0, [C.MIXTURE]: 0, [C.MAGNETOS]: 0 }];
    const done = order.map((step, i) =>
      doneByHand(alder, singleForcedLanding, step, null, controls(moves[i - 1] ?? {}), controls(moves[i])),
    );
    expect(done.flat().map(({ control, position }) => `${control} ${position}`)).toEqual([
      "fuel off",
      "mixture cut off",
      "ignition off",
    ]);
  });
});
