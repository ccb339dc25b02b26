"use client";
import { useEffect, useState } from "react";
import { useDebrief } from "./debrief-store";

/** A flight that is played again. */
export interface Replay {
  readonly playing: boolean;
  /** Seconds of the flight a second. */
  readonly speed: number;
  readonly setSpeed: (speed: number) => void;
  /** Begins, or stops; at its end it begins anew. */
  readonly toggle: () => void;
}

/** Steps longer than this are those of a page that was not looked at, s. */
const LONGEST_STEP_S = 0.25;

/** Plays the part of a flight that is looked at, by moving the moment that is pointed at. */
export function useReplay({ from_s, to_s }: { readonly from_s: number; readonly to_s: number }): Replay {
  const [playing, setPlaying] = useState(false);
  const [speed, setSpeed] = useState(5);
  useEffect(() => {
    if (!playing) return;
    let last_ms: number | null = null;
    const step = (now_ms: number) => {
      const passed_s = last_ms === null ? 0 : Math.min((now_ms - last_ms) / 1000, LONGEST_STEP_S);
      last_ms = now_ms;
      const { cursor_s } = useDebrief.getState();
      const next_s = Math.min(Math.max(cursor_s, from_s) + passed_s * speed, to_s);
      useDebrief.setState({ cursor_s: next_s });
      if (next_s >= to_s) setPlaying(false);
      else frame = requestAnimationFrame(step);
    };
    let frame = requestAnimationFrame(step);
    return () => cancelAnimationFrame(frame);
  }, [playing, speed, from_s, to_s]);
  return {
    playing,
    speed,
    setSpeed,
    toggle: () => {
      const { cursor_s } = useDebrief.getState();
      if (!playing && cursor_s >= to_s) useDebrief.setState({ cursor_s: from_s });
      setPlaying(!playing);
    },
  };
}
