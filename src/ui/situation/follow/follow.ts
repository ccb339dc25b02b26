"use client";
// Following: every position that comes moves the situation's aircraft; undo takes the whole flight back in one step.
import { windProfile } from "@/core/air/wind";
import type { Fix } from "@/core/track/formats/fix";
import { headingOfTrack } from "@/core/track/heading";
import { send } from "@/ui/kit/request";
import { holdUndo, releaseUndo, useSituation } from "../situation-store";
import { type FollowSource, useFollow } from "./follow-store";
import {
  type FixTeller,
  type RunningSource,
  type SimulatedStart,
  deviceSource,
  recordedSource,
  simulatedSource,
} from "./sources";

/** Without a position for this long the signal is lost, ms. */
const LOST_MS = 2500;

let running: RunningSource | null = null;
let watch: ReturnType<typeof setInterval> | undefined;
let flight = "";

/** Moves the situation's aircraft to where a position says. */
export function takeFix({ position, altitude_m, track_rad, groundSpeed_mps }: Fix): void {
  useSituation.getState().change((current) => {
    const height_m = altitude_m === null ? current.altitude_m : Math.min(Math.max(altitude_m, -500), 15_000);
    const profile = windProfile(current.wind, 0);
    const heading_rad =
      track_rad !== null && groundSpeed_mps !== null && profile.ok
        ? headingOfTrack(track_rad, groundSpeed_mps, profile.value(height_m))
        : null;
    return { position, altitude_m: height_m, heading_rad: heading_rad ?? current.heading_rad };
  });
}

function begin(source: FollowSource, start: (tell: FixTeller) => RunningSource): void {
  stopFollowing();
  const { set } = useFollow.getState();
  set({ source, signal: "waiting", withHeight: true, running: true, fault: null });
  holdUndo();
  const { id } = useSituation.getState();
  let last_ms = performance.now();
  running = start({
    fix: (fix) => {
      // Another situation is another aircraft's: it is not flown away with.
      if (useSituation.getState().id !== id) return stopFollowing();
      last_ms = performance.now();
      takeFix(fix);
      set({ signal: "here", withHeight: fix.altitude_m !== null });
    },
    ended: (reason) => {
      stopFollowing();
      set({ fault: reason });
    },
  });
  watch = setInterval(() => {
    if (performance.now() - last_ms > LOST_MS) set({ signal: "lost" });
  }, 250);
}

/** Ends it; the aircraft stays where it was last. */
export function stopFollowing(): void {
  if (!running) return;
  running.stop();
  running = null;
  clearInterval(watch);
  releaseUndo();
  useFollow.getState().set({ source: null });
}

/** Follows the simulated aircraft of the stand-in, from where the situation's is. */
export function followSimulated(start: Omit<SimulatedStart, "flight">): void {
  flight = crypto.randomUUID().slice(0, 8);
  begin("simulated", (tell) => simulatedSource({ flight, ...start }, tell));
}

/** Follows a recording. */
export function followRecording(fixes: readonly Fix[], times: number): void {
  begin("file", (tell) => recordedSource(fixes, times, tell));
}

/** Follows the device. */
export function followDevice(): void {
  begin("device", deviceSource);
}

/** Stops the simulated aircraft's engine, or lets it run again. */
export async function setSimulatedEngine(runs: boolean): Promise<void> {
  const answer = await send("POST", "/api/follow", { flight, what: "engine", value: runs ? "1" : "0" });
  if (answer.ok) useFollow.getState().set({ running: runs });
  else useFollow.getState().set({ fault: answer.issues.map((issue) => issue.message).join(" ") });
}
