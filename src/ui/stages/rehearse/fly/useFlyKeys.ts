"use client";
import { useEffect } from "react";
import type { AircraftKind } from "@/core/aircraft/aircraft-kind";
import { HAND_KEYS, type HandKey } from "@/core/simulation/at-controls";
import * as C from "@/core/simulation/controls";
import { useKeysHeld } from "@/ui/kit/keys-held";
import { goBack, letGo, press, set } from "./flight-lane";
import { nextLook, useFly } from "./fly-store";

/** Which key flies what. */
const FLIES: Readonly<Record<string, HandKey>> = {
  ArrowUp: "nose-up",
  ArrowDown: "nose-down",
  ArrowLeft: "bank-left",
  ArrowRight: "bank-right",
  z: "foot-left",
  x: "foot-right",
  w: "power-up",
  s: "power-down",
  t: "trim-up",
  y: "trim-down",
  b: "brakes",
};

const shownFor = (kind: AircraftKind) => [
  { key: "← →", does: "bank" },
  { key: "↑ ↓", does: "nose" },
  { key: "z x", does: "feet" },
  { key: "w s", does: kind === "helicopter" ? "collective" : "power" },
  ...(kind === "aeroplane" ? [{ key: "f g", does: "flap, gear" }] : []),
  ...(kind === "helicopter" ? [] : [{ key: "b", does: "brakes" }]),
  { key: "v", does: "look" },
  { key: "⌫", does: "10 s back" },
  { key: "Esc", does: "pause" },
];

const isTyping = (target: EventTarget | null) =>
  target instanceof HTMLElement &&
  (target.matches("input:not([type=range]), select, textarea") || target.isContentEditable);

/** While something flies the keys fly; the shell's are off. */
export function useFlyKeys(flies: boolean, kind: AircraftKind, flaps: number): void {
  useEffect(() => {
    useKeysHeld.setState({ held: flies ? shownFor(kind) : null });
    return () => useKeysHeld.setState({ held: null });
  }, [flies, kind]);
  useEffect(() => {
    if (!flies) return;
    const down = (event: KeyboardEvent) => {
      if (isTyping(event.target) || event.metaKey || event.ctrlKey || event.altKey) return;
      const key = FLIES[event.key];
      if (key) {
        event.preventDefault();
        if (!event.repeat) void press(key, true);
        return;
      }
      if (event.repeat) return;
      const { running, view } = useFly.getState();
      switch (event.key) {
        case "Escape":
          void letGo(!running);
          break;
        case "Backspace":
          void goBack(10);
          break;
        case "f":
        case "F":
          if (view)
            void set(C.FLAP, Math.max(0, Math.min(flaps - 1, view.controls[C.FLAP] + (event.key === "f" ? 1 : -1))));
          break;
        case "g":
          if (view) void set(C.GEAR, view.controls[C.GEAR] === 1 ? 0 : 1);
          break;
        case "v":
          nextLook();
          break;
        case "m":
          useFly.setState(({ sound }) => ({ sound: !sound }));
          break;
        default:
          return;
      }
      event.preventDefault();
    };
    const up = (event: KeyboardEvent) => {
      const key = FLIES[event.key];
      if (key) void press(key, false);
    };
    // A page that nobody looks at pauses, and no key stays down in it.
    const away = () => {
      for (const key of HAND_KEYS) void press(key, false);
      if (document.hidden) void letGo(false);
    };
    window.addEventListener("keydown", down);
    window.addEventListener("keyup", up);
    window.addEventListener("blur", away);
    document.addEventListener("visibilitychange", away);
    return () => {
      window.removeEventListener("keydown", down);
      window.removeEventListener("keyup", up);
      window.removeEventListener("blur", away);
      document.removeEventListener("visibilitychange", away);
      for (const key of HAND_KEYS) void press(key, false);
    };
  }, [flies, flaps]);
}
