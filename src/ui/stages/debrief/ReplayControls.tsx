"use client";
import { Pause, Play } from "lucide-react";
import type { Replay } from "./useReplay";

const SPEEDS = [1, 2, 5, 10, 30, 60];

/** Plays the flight again, at a speed of one's choice. */
export function ReplayControls({ replay: { playing, speed, setSpeed, toggle } }: { readonly replay: Replay }) {
  return (
    <span className="flex items-center gap-1.5 font-sans text-[13px]">
      <button
        type="button"
        className="btn btn-quiet px-1.5 py-0.5"
        onClick={toggle}
        aria-label={playing ? "Stop" : "Play"}
      >
        {playing ? <Pause size={15} aria-hidden="true" /> : <Play size={15} aria-hidden="true" />}
      </button>
      <select
        className="field w-auto py-0"
        aria-label="Speed of the replay"
        value={speed}
        onChange={(event) => setSpeed(Number(event.currentTarget.value))}
      >
        {SPEEDS.map((times) => (
          <option key={times} value={times}>
            ×{times}
          </option>
        ))}
      </select>
    </span>
  );
}
