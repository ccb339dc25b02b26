"use client";
import { type PointerEvent, useRef } from "react";
import { holdStick } from "./flight-lane";

/** A pointer this far from where it went down is the whole stick, px. */
const WHOLE_PX = 130;
const within = (share: number) => Math.max(-1, Math.min(1, share));

/** The view as a stick: pressed and pulled by mouse or finger. */
export function useStick(flies: boolean) {
  const from = useRef<{ x: number; y: number } | null>(null);
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
