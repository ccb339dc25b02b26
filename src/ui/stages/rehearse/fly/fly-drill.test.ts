import { describe, expect, it } from "vitest";
import { demoAircraft } from "../../../../../demo/read-demo";
import { singleForcedLanding } from "@/core/procedure/library/single";
import { twinInCruise } from "@/core/procedure/library/twin";
import { runResult } from "@/core/procedure/run-document";
import * as C from "@/core/simulation/controls";
import type { FlightView } from "@/core/simulation/flight-view";
import { type FlownDrill, actedInDrill, leadDrill } from "./fly-drill";

const [alder, larch] = ["alder-s1", "larch-t2"].map(demoAircraft);
const single = { aircraft: alder, procedure: singleForcedLanding, speed_mps: 34, waits: true };
const twin = { aircraft: larch, procedure: twinInCruise, speed_mps: 42, waits: true };

interface Moment {
  readonly time_s: number;
  readonly height_m?: number;
  readonly moved?: Readonly<Record<number, number>>;
  readonly engine?: 0 | 1;
  readonly failed?: boolean;
}

/** A flight as it stands; its engine failed at five seconds. */
function at({ time_s, height_m = 600, moved = {}, engine = 0, failed = time_s >= 5 }: Moment): FlightView {
  const controls = [...C.controlsAtRest()];
  for (const [control, value] of Object.entries(moved)) controls[Number(control)] = value;
  const trouble = { kind: "ignition", engine, since_s: 5 };
  return { time_s, height_m, climb_mps: -4, controls, failed: failed ? [trouble] : [] } as unknown as FlightView;
}

/** Led through moments; something may be done at each. */
function led(of: typeof single, moments: readonly (Moment & { does?: Parameters<typeof actedInDrill>[3] })[]) {
  let drill: FlownDrill | null = null;
  let moved: ReturnType<typeof actedInDrill>["moved"] = null;
  for (const moment of moments) {
    drill = leadDrill(of, drill, at(moment));
    if (!moment.does || !drill) continue;
    const done = actedInDrill(of.aircraft, drill, at(moment), moment.does);
    ({ drill, moved } = done);
  }
  return { drill, moved };
}
const log = (drill: FlownDrill | null) => drill?.state.drill.log.map(({ step, outcome }) => `${step} ${outcome}`);

describe("a drill that is done while it is flown", () => {
  it("begins with the failure where one is to come, with the flight where none is; the dead engine is its", () => {
    expect(leadDrill(twin, null, at({ time_s: 3 }))).toBeNull();
    const begun = leadDrill(twin, null, at({ time_s: 6, engine: 1 }));
    expect(begun).toMatchObject({ began_s: 5, run: { dead: "right", height_m: 600 } });
    expect(leadDrill({ ...twin, waits: false }, null, at({ time_s: 3 }))?.began_s).toBe(0);
    expect(leadDrill(single, null, at({ time_s: 6 }))?.run.dead).toBeNull();
  });

  it("takes levers for what they are in it, by the flight's clock and height; said is said", () => {
    const off = { [C.FUEL]: 0 };
    const both = { ...off, [C.MIXTURE]: 0 };
    const { drill } = led(single, [
      { time_s: 6 },
      { time_s: 8, does: { type: "say" } },
      { time_s: 9, moved: { [C.THROTTLE]: 100 } },
      { time_s: 10, moved: off },
      { time_s: 11, moved: off },
      { time_s: 12, moved: both },
      { time_s: 13, moved: { ...both, [C.MAGNETOS]: 0 } },
      { time_s: 40, height_m: 200, moved: { ...both, [C.MAGNETOS]: 0 } },
      { time_s: 60, height_m: 90, moved: { ...both, [C.MAGNETOS]: 0 } },
    ]);
    expect(log(drill)).toEqual([
      "brief done",
      "fuel-off done",
      "mixture-off done",
      "ignition-off done",
      "certain done",
    ]);
    expect(runResult(drill!.run, 55)).toMatchObject({ wrong: 0, over: false });
  });

  it("what the panel sets moves in the aeroplane, and is not taken for a second hand", () => {
    const before = [{ time_s: 6 }, { time_s: 7, does: { type: "say" as const } }];
    const { drill, moved } = led(single, [
      ...before,
      { time_s: 8, does: { type: "set", control: "fuel", side: null, position: "off" } },
    ]);
    expect(moved).toEqual({ control: C.FUEL, value: 0 });
    const later = leadDrill(single, drill, at({ time_s: 9, moved: { [C.FUEL]: 0 } }));
    expect(log(later)).toEqual(["brief done", "fuel-off done"]);
    const master = led(single, [
      ...before,
      { time_s: 8, does: { type: "set", control: "master", side: null, position: "off" } },
    ]);
    expect([master.moved, log(master.drill)?.at(-1)]).toEqual([null, "fuel-off wrong-order"]);
  });

  it("the wrong engine feathered is told, whatever is due", () => {
    const { drill } = led(twin, [
      { time_s: 6, engine: 1 },
      { time_s: 7, engine: 1, moved: { [C.PROPELLER]: 0 } },
    ]);
    expect(log(drill)).toEqual(["control wrong-order"]);
    expect(drill?.run.events.at(-1)).toMatchObject({
      event: { control: "propeller", side: "left", position: "feather" },
    });
  });

  it("gone back, what was done after it was not done; before the failure there is none", () => {
    const { drill } = led(single, [
      { time_s: 6 },
      { time_s: 8, does: { type: "say" } },
      { time_s: 12, moved: { [C.FUEL]: 0 } },
    ]);
    const back = leadDrill(single, drill, at({ time_s: 9 }));
    expect(log(back)).toEqual(["brief done"]);
    expect(log(leadDrill(single, back, at({ time_s: 10, moved: { [C.FUEL]: 0 } })))).toEqual([
      "brief done",
      "fuel-off done",
    ]);
    expect(leadDrill(single, back, at({ time_s: 2 }))).toBeNull();
  });

  it("an hour of it stays within what is kept", () => {
    let drill: FlownDrill | null = null;
    for (let time_s = 5; time_s < 3600; time_s += 1) drill = leadDrill(twin, drill, at({ time_s, height_m: 3000 }));
    expect(drill?.run.events.length).toBeLessThan(1000);
    expect(drill?.run.events.length).toBeGreaterThan(600);
  });
});
