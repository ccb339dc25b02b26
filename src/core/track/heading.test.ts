import { describe, expect, it } from "vitest";
import { headingOfTrack } from "./heading";

const degrees = (angle_deg: number) => (angle_deg * Math.PI) / 180;

describe("heading from a track over the ground", () => {
  // Triangles of velocities by hand: 40 m/s north with 30 m/s to the east is a 3-4-5 triangle, 36.87° of crab.
  it.each([
    [0, 40, { east_mps: 30, north_mps: 0 }, 360 - 36.8699],
    [90, 40, { east_mps: 0, north_mps: 30 }, 126.8699],
    [270, 30, { east_mps: 0, north_mps: 0 }, 270],
    [180, 10, { east_mps: 0, north_mps: -30 }, 0],
  ])("track %d°, %d m/s over the ground, wind %j: heading %d°", (track_deg, speed_mps, wind, heading_deg) => {
    expect(headingOfTrack(degrees(track_deg), speed_mps, wind)).toBeCloseTo(degrees(heading_deg), 5);
  });

  it("is not known when it stands, or drifts with the wind", () => {
    expect(headingOfTrack(0, 0, { east_mps: 0, north_mps: 0 })).toBeNull();
    expect(headingOfTrack(degrees(90), 12, { east_mps: 10, north_mps: 0 })).toBeNull();
  });
});
