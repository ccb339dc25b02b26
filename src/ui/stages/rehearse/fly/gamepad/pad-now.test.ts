import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { usePadNow } from "./pad-now";
import { padSettings, usePads } from "./pad-store";

beforeEach(() => {
  const store = new Map<string, string>();
  vi.stubGlobal("localStorage", {
    getItem: (key: string) => store.get(key) ?? null,
    setItem: (key: string, value: string) => void store.set(key, value),
  });
  usePads.setState({ pads: {} });
  usePadNow.setState({ pad: null, travel: null, asked: null });
});
afterEach(() => vi.unstubAllGlobals());

const pad = (axes: number[], down: boolean[] = []) =>
  ({ id: "One of three", axes, buttons: down.map((pressed) => ({ pressed })) }) as unknown as Gamepad;

describe("a gamepad that is set up", () => {
  it("the next button that goes down does what is asked for, of this kind of gamepad only", () => {
    const { see, ask } = usePadNow.getState();
    see(pad([0], [false, true]));
    ask("gear");
    see(pad([0.1], [false, true]));
    expect(usePadNow.getState().asked).toBe("gear");
    see(pad([0.1], [true, true]));
    expect(usePadNow.getState().asked).toBeNull();
    const { pads } = usePads.getState();
    expect(padSettings(pads, "One of three").buttons.gear).toBe(0);
    expect(padSettings(pads, "Another").buttons.gear).toBeNull();
  });

  it("its travel is measured from where it rests, and no more when it goes away", () => {
    const { see, measure } = usePadNow.getState();
    measure(true);
    expect(usePadNow.getState().travel).toBeNull();
    see(pad([0.1]));
    measure(true);
    for (const at of [-0.8, 0.9, 0]) see(pad([at]));
    expect(usePadNow.getState().travel).toEqual({ low: [-0.8], high: [0.9], rest: [0.1] });
    see(null);
    expect(usePadNow.getState()).toMatchObject({ pad: null, travel: null });
  });
});
