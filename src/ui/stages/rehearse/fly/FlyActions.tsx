"use client";
import { Gauge, Moon, Pause, Play, RotateCcw, Square, Sun, Users, Volume2, VolumeX } from "lucide-react";
import { useEffect } from "react";
import { toast } from "sonner";
import { end, goBack, goHalf, letGo } from "./flight-lane";
import { type Look, useFly } from "./fly-store";
import { askOthers, sendAway, showAgain, useOthers } from "./others/others";

const LOOKS: readonly { readonly value: Look; readonly label: string }[] = [
  { value: "ahead", label: "Ahead" },
  { value: "left", label: "Left" },
  { value: "right", label: "Right" },
  { value: "behind", label: "Behind" },
  { value: "map", label: "Map" },
];

/** What is done with a flight: look, back, slower, pause, end. */
export function FlyActions({ aircraft, onEnded }: { aircraft: string; onEnded: () => void }) {
  const { under, view, running, half, look, dusk, sound } = useFly();
  if (!under || !view) return <OthersButton aircraft={aircraft} />;
  return (
    <>
      <OthersButton aircraft={aircraft} />
      <label className="flex items-center gap-1 text-[14px]">
        <span className="sr-only">Look</span>
        <select
          className="field py-0.5"
          value={look}
          onChange={(event) => useFly.setState({ look: event.currentTarget.value as Look })}
        >
          {LOOKS.map(({ value, label }) => (
            <option key={value} value={value}>
              {label}
            </option>
          ))}
        </select>
      </label>
      <button
        type="button"
        className="btn btn-quiet"
        aria-label={dusk ? "By day" : "At dusk"}
        onClick={() => useFly.setState({ dusk: !dusk })}
      >
        {dusk ? <Sun size={15} aria-hidden="true" /> : <Moon size={15} aria-hidden="true" />}
      </button>
      <button
        type="button"
        className="btn btn-quiet"
        aria-label="Sound"
        aria-pressed={sound}
        onClick={() => useFly.setState({ sound: !sound })}
      >
        {sound ? <Volume2 size={15} aria-hidden="true" /> : <VolumeX size={15} aria-hidden="true" />}
      </button>
      <button type="button" className="btn btn-quiet" aria-pressed={half} onClick={() => void goHalf(!half)}>
        <Gauge size={15} aria-hidden="true" /> ½
      </button>
      <button type="button" className="btn btn-quiet" onClick={() => void goBack(10)}>
        <RotateCcw size={15} aria-hidden="true" /> 10 s
      </button>
      {view.ended === null && (
        <button type="button" className="btn" onClick={() => void letGo(!running)}>
          {running ? <Pause size={15} aria-hidden="true" /> : <Play size={15} aria-hidden="true" />}
          {running ? "Pause" : "Go on"}
        </button>
      )}
      <button type="button" className="btn" onClick={() => void end().then(onEnded)}>
        <Square size={15} aria-hidden="true" /> End
      </button>
    </>
  );
}

/** Asks others to look on, or sends them away; the flights of this page, one after the other. */
function OthersButton({ aircraft }: { aircraft: string }) {
  const asked = useOthers((state) => state.code !== null);
  useEffect(() => void showAgain(), []);
  const ask = async () => {
    const fault = await askOthers(aircraft);
    if (fault !== null) toast(fault);
  };
  return (
    <button
      type="button"
      className="btn btn-quiet"
      aria-pressed={asked}
      onClick={() => (asked ? sendAway() : void ask())}
    >
      <Users size={15} aria-hidden="true" /> Others
    </button>
  );
}
