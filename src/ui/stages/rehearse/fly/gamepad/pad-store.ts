import { z } from "zod";
import { create } from "zustand";
import { createJSONStorage, persist } from "zustand/middleware";
import { accountStorage } from "@/ui/kit/kept";
import { PadSettings, USUAL_PAD } from "./pad-settings";

/** Kinds of gamepads that are remembered. */
const MOST = 8;
const Kept = z.record(z.string().max(200), PadSettings);

interface PadState {
  /** By what a gamepad calls itself. */
  readonly pads: Readonly<Record<string, PadSettings>>;
  put(id: string, settings: PadSettings): void;
}

/** What each kind of gamepad does, kept in this browser. */
export const usePads = create<PadState>()(
  persist(
    (set) => ({
      pads: {},
      put: (id, settings) =>
        set(({ pads }) => ({
          pads: Object.fromEntries(
            [[id.slice(0, 200), settings] as const, ...Object.entries(pads).filter(([other]) => other !== id)].slice(
              0,
              MOST,
            ),
          ),
        })),
    }),
    {
      name: "gamepads",
      version: 1,
      storage: createJSONStorage(() => accountStorage),
      skipHydration: true,
      merge: (stored, now) => ({
        ...now,
        pads: Kept.safeParse((stored as { pads?: unknown } | null)?.pads).data ?? {},
      }),
    },
  ),
);

/** What a gamepad does. */
export const padSettings = (pads: PadState["pads"], id: string): PadSettings => pads[id.slice(0, 200)] ?? USUAL_PAD;

/** The gamepad that is connected, the first of several; null for none. */
export function connectedPad(): Gamepad | null {
  if (typeof navigator.getGamepads !== "function") return null;
  return navigator.getGamepads().find((pad) => pad?.connected) ?? null;
}
