// The same question as `searchPaths`, answered the plain way: closures and objects, the drift of each segment summed in
// small steps of height, a fixed damping of 0.8. What the real one is measured against, and must agree with.
import { airspeedsFromCas } from "@/core/air/airspeed";
import { airAtAltitude, type AirMass } from "@/core/air/altimetry";
import type { WindVector } from "@/core/air/wind";
import type { PathProblem } from "@/core/glide/glide-path";
import { G0 } from "@/core/quantities/constants";

/** Step of height in which drift is summed, m: a tenth of what the table of the real one is built with. */
const STEP_M = 1;
const SETTLED_M = 0.02;

interface Point {
  x: number;
  y: number;
}

const right = (heading: number): Point => ({ x: Math.cos(heading), y: -Math.sin(heading) });
const ahead = (heading: number): Point => ({ x: Math.sin(heading), y: Math.cos(heading) });
const turned = (angle: number) => ((angle % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI);

/** V²/2g at an altitude, the calibrated speed being held. */
function kinetic(air: AirMass, altitude_m: number, cas_mps: number): number {
  const speeds = airspeedsFromCas(cas_mps, airAtAltitude(altitude_m, air));
  if (!speeds.ok) throw new Error(speeds.issue.message);
  return speeds.value.tas_mps ** 2 / (2 * G0);
}

/** Altitude after spending an energy height, by repeated substitution. */
function descended(air: AirMass, from_m: number, energy_m: number, cas_mps: number): number {
  const start = kinetic(air, from_m, cas_mps);
  let to_m = from_m - energy_m;
  for (let i = 0; i < 6; i += 1) to_m = from_m - energy_m + start - kinetic(air, to_m, cas_mps);
  return to_m;
}

/** Drift between two altitudes at a sea-level sink. */
function drift(
  air: AirMass,
  wind: (altitude_m: number) => WindVector,
  from_m: number,
  to_m: number,
  sinkEas: number,
  cas_mps: number,
): Point & { time: number } {
  const steps = Math.max(1, Math.ceil((from_m - to_m) / STEP_M));
  const step = (from_m - to_m) / steps;
  const sum = { x: 0, y: 0, time: 0 };
  for (let i = 0; i < steps; i += 1) {
    const altitude = from_m - (i + 0.5) * step;
    const factor = 1 + (kinetic(air, altitude + 1, cas_mps) - kinetic(air, altitude - 1, cas_mps)) / 2;
    const time = (step * Math.sqrt(airAtAltitude(altitude, air).sigma) * factor) / sinkEas;
    const w = wind(altitude);
    sum.x += w.east_mps * time;
    sum.y += w.north_mps * time;
    sum.time += time;
  }
  return sum;
}

/** Margin of each word that works, m. */
export function referenceMargins(
  problem: PathProblem,
  air: AirMass,
  wind: (altitude_m: number) => WindVector,
  cas_mps: number,
): Map<string, number> {
  const { start, target, choices, performance: p } = problem;
  const sigma = (altitude: number) => airAtAltitude(altitude, air).sigma;
  const margins = new Map<string, number>();
  const reactionEnergy = (choices.reaction_s * p.straightSinkEas_mps) / Math.sqrt(sigma(start.altitude_m));
  const reactionEnd = descended(air, start.altitude_m, reactionEnergy, cas_mps);
  const reacted = drift(air, wind, start.altitude_m, reactionEnd, p.straightSinkEas_mps, cas_mps);
  const length = reactionEnergy * p.straightRatio;
  const from = {
    x: start.x_m + length * ahead(start.heading_rad).x + reacted.x,
    y: start.y_m + length * ahead(start.heading_rad).y + reacted.y,
  };
  for (const word of ["LSL", "RSR", "LSR", "RSL"]) {
    const s1 = word[0] === "R" ? 1 : -1;
    const s2 = word[2] === "R" ? 1 : -1;
    let shift = { x: 0, y: 0 };
    let h = [reactionEnd, reactionEnd, reactionEnd, reactionEnd, reactionEnd];
    for (let round = 0; round < 400; round += 1) {
      const band = Math.max(h[3] - h[4], 1);
      const mean = drift(air, wind, h[3], h[3] - band, 1, cas_mps);
      const track = ahead(target.heading_rad);
      const along = (mean.x * track.x + mean.y * track.y) / mean.time;
      const across = (mean.x * track.y - mean.y * track.x) / mean.time;
      const speed = p.straightHorizontalEas_mps / Math.sqrt(sigma(h[3] - band / 2));
      if (speed <= Math.abs(across)) break;
      const ground = Math.sqrt(speed ** 2 - across ** 2) + along;
      if (ground <= 0) break;
      const finalAir = (choices.final_m / ground) * speed;
      const finalHeading = target.heading_rad - Math.asin(across / speed);
      const r1 = p.turnRadiusSeaLevel_m / sigma((reactionEnd + h[1]) / 2);
      const r2 = p.turnRadiusSeaLevel_m / sigma((h[2] + h[3]) / 2);
      const end = {
        x: target.x_m - shift.x - finalAir * ahead(finalHeading).x,
        y: target.y_m - shift.y - finalAir * ahead(finalHeading).y,
      };
      const c1 = { x: from.x + s1 * r1 * right(start.heading_rad).x, y: from.y + s1 * r1 * right(start.heading_rad).y };
      const c2 = { x: end.x + s2 * r2 * right(finalHeading).x, y: end.y + s2 * r2 * right(finalHeading).y };
      const dx = c2.x - c1.x;
      const dy = c2.y - c1.y;
      const offset = s2 * r2 - s1 * r1;
      const square = dx * dx + dy * dy - offset * offset;
      if (s1 !== s2 && square < 0) break;
      const straight = Math.sqrt(Math.max(0, square));
      const heading = Math.atan2(dx, dy) - Math.atan2(offset, straight);
      const turn1 = turned(s1 * (heading - start.heading_rad));
      const turn2 = turned(s2 * (finalHeading - heading));
      const next = [reactionEnd, 0, 0, 0, 0];
      next[1] = descended(
        air,
        next[0],
        (turn1 * p.turnHeightPerRadianSeaLevel_m) / sigma((reactionEnd + h[1]) / 2),
        cas_mps,
      );
      next[2] = descended(air, next[1], straight / p.straightRatio, cas_mps);
      next[3] = descended(air, next[2], (turn2 * p.turnHeightPerRadianSeaLevel_m) / sigma((h[2] + h[3]) / 2), cas_mps);
      next[4] = descended(air, next[3], finalAir / p.straightRatio, cas_mps);
      if (reactionEnd - next[4] > 60_000) break;
      const parts = [
        drift(air, wind, next[0], next[1], p.turnSinkEas_mps, cas_mps),
        drift(air, wind, next[1], next[2], p.straightSinkEas_mps, cas_mps),
        drift(air, wind, next[2], next[3], p.turnSinkEas_mps, cas_mps),
        drift(air, wind, next[3], next[4], p.straightSinkEas_mps, cas_mps),
      ];
      const residual = {
        x: parts.reduce((sum, part) => sum + part.x, 0) - shift.x,
        y: parts.reduce((sum, part) => sum + part.y, 0) - shift.y,
      };
      const moved = next.reduce((sum, value, i) => sum + Math.abs(value - h[i]), 0);
      h = next;
      if (Math.abs(residual.x) + Math.abs(residual.y) < SETTLED_M && moved < SETTLED_M) {
        margins.set(word, h[4] - target.altitude_m - choices.reserve_m);
        break;
      }
      shift = { x: shift.x + 0.8 * residual.x, y: shift.y + 0.8 * residual.y };
    }
  }
  return margins;
}
