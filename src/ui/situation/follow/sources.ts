// Where positions come from: the simulated aircraft of the stand-in, a recorded file, the device. Each tells fixes
// until it is stopped.
import type { WindVector } from "@/core/air/wind";
import { degrees } from "@/core/quantities/angle";
import type { Fix } from "@/core/track/formats/fix";
import { nmeaReader } from "@/core/track/formats/nmea";

/** Tells what comes, and why it ended. */
export interface FixTeller {
  readonly fix: (fix: Fix) => void;
  readonly ended: (reason: string) => void;
}

/** A source under way. */
export interface RunningSource {
  readonly stop: () => void;
}

/** How a simulated aircraft begins. */
export interface SimulatedStart {
  readonly flight: string;
  readonly latitude_deg: number;
  readonly longitude_deg: number;
  readonly altitude_m: number;
  readonly heading_rad: number;
  readonly tas_mps: number;
  readonly ratio: number;
  readonly ground_m: number;
  /** Wind that carries it, by where it goes. */
  readonly wind: WindVector;
}

/** The position feed of the server. */
export function simulatedSource(start: SimulatedStart, tell: FixTeller): RunningSource {
  const query = new URLSearchParams({
    flight: start.flight,
    lat: start.latitude_deg.toFixed(6),
    lon: start.longitude_deg.toFixed(6),
    alt_m: start.altitude_m.toFixed(1),
    hdg_deg: (degrees(start.heading_rad) % 360).toFixed(1),
    tas_mps: start.tas_mps.toFixed(1),
    ratio: start.ratio.toFixed(1),
    ground_m: start.ground_m.toFixed(0),
    east_mps: start.wind.east_mps.toFixed(2),
    north_mps: start.wind.north_mps.toFixed(2),
  });
  const feed = new EventSource(`/api/follow?${query}`);
  const read = nmeaReader();
  feed.onmessage = (event: MessageEvent<string>) => {
    for (const line of event.data.split("\n")) {
      const found = read(line);
      if (found.kind === "fix") tell.fix(found.fix);
    }
  };
  // A feed that was refused does not come back by itself; one that broke off is opened again by the browser.
  feed.onerror = () => {
    if (feed.readyState === EventSource.CLOSED) tell.ended("The position feed was closed.");
  };
  return { stop: () => feed.close() };
}

/** Replays what was recorded, in its own time or so many times faster. */
export function recordedSource(fixes: readonly Fix[], times: number, tell: FixTeller): RunningSource {
  let next = 0;
  let timer: ReturnType<typeof setTimeout>;
  const step = () => {
    const fix = fixes[next];
    next += 1;
    tell.fix(fix);
    const following = fixes.at(next);
    if (!following || next >= fixes.length) return tell.ended("The recording has ended.");
    // A hole in the recording is not waited out whole.
    const wait_ms = Math.min(Math.max(following.time_ms - fix.time_ms, 0), 60_000);
    timer = setTimeout(step, wait_ms / times);
  };
  timer = setTimeout(step, 0);
  return { stop: () => clearTimeout(timer) };
}

/** The device's own location, while the user allows it. */
export function deviceSource(tell: FixTeller): RunningSource {
  const watch = navigator.geolocation.watchPosition(
    ({ coords, timestamp }) =>
      tell.fix({
        time_ms: timestamp,
        position: { latitude_deg: coords.latitude, longitude_deg: coords.longitude },
        altitude_m: coords.altitude,
        track_rad: coords.heading === null || Number.isNaN(coords.heading) ? null : (coords.heading * Math.PI) / 180,
        groundSpeed_mps: coords.speed,
      }),
    (error) => error.code === error.PERMISSION_DENIED && tell.ended("The device’s location is not allowed here."),
    { enableHighAccuracy: true, maximumAge: 0 },
  );
  return { stop: () => navigator.geolocation.clearWatch(watch) };
}
