"use client";
import { type PointerEvent, useEffect, useRef } from "react";
import { holdStick } from "./flight-lane";

/** A pointer this far from where it went down is the whole stick, px. */
const WHOLE_PX = 130;
/** A gamepad near its middle is in the middle; what is beyond is soft at first. Common practice. */
const [DEAD, EXPO] = [0.08, 0.35];

/** A gamepad's axis as the hand means it. */
export function shaped(axis: number): number {
  const away = Math.abs(axis);
  if (!(away > DEAD)) return 0;
  const share = Math.min((away - DEAD) / (1 - DEAD), 1);
  return Math.sign(axis) * ((1 - EXPO) * share + EXPO * share ** 3);
}

const within = (share: number) => Math.max(-1, Math.min(1, share));

/** The view as a stick: pressed and pulled by mouse or finger; or a gamepad, where one is. */
export function useStick(flies: boolean) {
  const from = useRef<{ x: number; y: number } | null>(null);
  useEffect(() => {
    if (!flies || typeof navigator.getGamepads !== "function") return;
    let frame = 0;
    let held = false;
    const look = () => {
      frame = requestAnimationFrame(look);
      const pad = navigator.getGamepads().find((one) => one?.connected);
      // One that has gone lets go.
      if (!pad) {
        if (held) void holdStick(null);
        held = false;
        return;
      }
      const [right, back, foot] = [shaped(pad.axes[0] ?? 0), shaped(pad.axes[1] ?? 0), shaped(pad.axes[2] ?? 0)];
      const moves = right !== 0 || back !== 0 || foot !== 0;
      if (moves) void holdStick({ back, right, foot: foot === 0 ? null : foot });
      else if (held) void holdStick(null);
      held = moves;
    };
    frame = requestAnimationFrame(look);
    return () => cancelAnimationFrame(frame);
  }, [flies]);
  if (!flies) return {};
  const end = () => {
    if (!from.current) return;
    from.current = null;
    void holdStick(null);
  };
  return {
    onPointerDown: (event: PointerEvent<HTMLElement>) => {
      event.currentTarget.setPointerCapture(event.pointerId);
      from.current = { x: event.clientX, y: event.clientY };
    },
    onPointerMove: (event: PointerEvent<HTMLElement>) => {
      if (!from.current) return;
      const right = within((event.clientX - from.current.x) / WHOLE_PX);
      const back = within((event.clientY - from.current.y) / WHOLE_PX);
      void holdStick({ back, right, foot: null });
    },
    onPointerUp: end,
    onPointerCancel: end,
  };
}
