import { create } from "zustand";
import { type PadAction, type Travel, pressedNow, travelled } from "./pad-settings";
import { padSettings, usePads } from "./pad-store";

/** A gamepad as it was seen last. */
interface SeenPad {
  readonly id: string;
  readonly axes: readonly number[];
  readonly down: readonly boolean[];
}

interface PadNow {
  readonly pad: SeenPad | null;
  /** Its travel so far, while it is measured. */
  readonly travel: Travel | null;
  /** The next button that is pressed does this. */
  readonly asked: PadAction | null;
  see(pad: Gamepad | null): void;
  measure(on: boolean): void;
  ask(action: PadAction | null): void;
}

/** The gamepad while it is set up: where it stands, its travel, which button is asked for. */
export const usePadNow = create<PadNow>()((set, get) => ({
  pad: null,
  travel: null,
  asked: null,
  see: (seen) => {
    const { pad: before, asked, travel } = get();
    const pad = seen && {
      id: seen.id,
      axes: [...seen.axes],
      down: seen.buttons.map(({ pressed }) => pressed),
    };
    if (JSON.stringify(pad) === JSON.stringify(before)) return;
    const pressed = pad && asked !== null ? pressedNow(before?.down ?? [], pad.down) : null;
    if (pad && asked !== null && pressed !== null) {
      const settings = padSettings(usePads.getState().pads, pad.id);
      usePads.getState().put(pad.id, { ...settings, buttons: { ...settings.buttons, [asked]: pressed } });
      set({ asked: null });
    }
    // One that goes away is measured no more.
    set({ pad, travel: pad && travel && travelled(travel, pad.axes) });
  },
  measure: (on) => set(({ pad }) => ({ travel: on && pad ? travelled(null, pad.axes) : null })),
  ask: (asked) => set({ asked }),
}));
