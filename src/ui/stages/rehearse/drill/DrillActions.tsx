"use client";
import { Pause, Play, RotateCcw, Undo2, Users, Volume2, VolumeX } from "lucide-react";
import { useDrill } from "./drill-store";
import type { DrillByHand } from "./useDrillRun";

/** What is done with a drill as a whole. */
export function DrillActions({ drill: { flying, rate, begin, asCrew, byHand } }: { drill: DrillByHand }) {
  const sound = useDrill((state) => state.sound);
  const { pause, prefer } = useDrill.getState();
  const running = flying !== null && !flying.over;
  return (
    <>
      <button
        type="button"
        className="btn btn-quiet"
        aria-pressed={sound}
        aria-label="Sound"
        title={sound ? "Warnings sound" : "Warnings are silent"}
        onClick={() => prefer({ sound: !sound })}
      >
        {sound ? <Volume2 size={15} aria-hidden="true" /> : <VolumeX size={15} aria-hidden="true" />}
      </button>
      {running ? (
        <>
          <button type="button" className="btn btn-quiet" onClick={() => byHand({ type: "back" })}>
            <Undo2 size={15} aria-hidden="true" /> Step back
          </button>
          <button key="pause" type="button" className="btn" onClick={() => pause(!flying.paused)}>
            {flying.paused ? <Play size={15} aria-hidden="true" /> : <Pause size={15} aria-hidden="true" />}
            {flying.paused ? "Go on" : "Pause"}
          </button>
        </>
      ) : (
        <>
          <button type="button" className="btn btn-quiet" disabled={!rate} onClick={() => void asCrew()}>
            <Users size={15} aria-hidden="true" /> As a crew
          </button>
          {/* Another button than the one to pause: space, which answers the drill, must not press that. */}
          <button key="begin" type="button" className="btn" disabled={!rate} onClick={begin}>
            {flying ? <RotateCcw size={15} aria-hidden="true" /> : <Play size={15} aria-hidden="true" />}
            {flying ? "Begin anew" : "Begin"}
          </button>
        </>
      )}
    </>
  );
}
