"use client";
import { useEffect } from "react";
import * as C from "@/core/simulation/controls";
import { goBack, holdStick, letGo, press, set } from "../flight-lane";
import { nextLook, useFly } from "../fly-store";
import { PAD_ACTIONS, type PadAction, type PadHand, type PadSettings, padHand } from "./pad-settings";
import { connectedPad, padSettings, usePads } from "./pad-store";

/** A lever on an axis is moved only when it has moved by so much. */
const LEVER_STEP = 2;

/** While something flies the gamepad flies it, as it is set. */
export function useGamepad(flies: boolean, flaps: number): void {
  useEffect(() => void usePads.persist.rehydrate(), []);
  useEffect(() => {
    if (!flies) return;
    let frame = 0;
    let held = false;
    let lever: number | null = null;
    let down: ReadonlySet<PadAction> | null = null;
    const look = () => {
      frame = requestAnimationFrame(look);
      const pad = connectedPad();
      const settings = pad && padSettings(usePads.getState().pads, pad.id);
      const hand = pad && settings ? padHand(settings, pad.axes) : null;
      // One that has gone lets go.
      held = stick(hand, held);
      if (!pad || !settings || !hand) return;
      lever = moveLever(hand.power, lever);
      down = pushed(pad, settings, down, flaps);
    };
    frame = requestAnimationFrame(look);
    return () => cancelAnimationFrame(frame);
  }, [flies, flaps]);
}

function stick(hand: PadHand | null, held: boolean): boolean {
  const moves = hand !== null && (hand.right !== 0 || hand.back !== 0 || hand.foot !== null);
  if (moves) void holdStick({ back: hand.back, right: hand.right, foot: hand.foot });
  else if (held) void holdStick(null);
  return moves;
}

function moveLever(power: number | null, before: number | null): number | null {
  if (power === null) return before;
  const now = C.kept(power);
  if (before !== null && Math.abs(now - before) < LEVER_STEP) return before;
  // Where it stands when it is first looked at is no movement of it.
  if (before === null) return now;
  // A helicopter's lever is the collective.
  if (useFly.getState().view?.rotor?.clock) void set(C.COLLECTIVE, now);
  else for (const engine of [0, 1]) void set(C.THROTTLE + engine, now);
  return now;
}

function pushed(
  pad: Gamepad,
  { buttons }: PadSettings,
  before: ReadonlySet<PadAction> | null,
  flaps: number,
): Set<PadAction> {
  const down = new Set(
    PAD_ACTIONS.filter((action) => pad.buttons.at(buttons[action] ?? -1)?.pressed === true && buttons[action] !== null),
  );
  // What is down when it is first looked at was not pressed here.
  for (const action of PAD_ACTIONS)
    if (before && down.has(action) !== before.has(action)) act(action, down.has(action), flaps);
  return down;
}

function act(action: PadAction, isDown: boolean, flaps: number): void {
  if (action === "brakes") return void press("brakes", isDown);
  if (!isDown) return;
  const { running, view } = useFly.getState();
  if (!view) return;
  const flap = view.controls[C.FLAP];
  switch (action) {
    case "pause":
      return void letGo(!running);
    case "back":
      return void goBack(10);
    case "look":
      return nextLook();
    case "gear":
      return void set(C.GEAR, view.controls[C.GEAR] === 1 ? 0 : 1);
    case "flap out":
      return void set(C.FLAP, Math.min(flaps - 1, flap + 1));
    case "flap in":
      return void set(C.FLAP, Math.max(0, flap - 1));
  }
}
