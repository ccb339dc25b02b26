// The command line as another program would use it.
import { spawnSync } from "node:child_process";
import path from "node:path";
import { describe, expect, it } from "vitest";

const ROOT = path.resolve(import.meta.dirname, "..");

function calc(args: string[], input = ""): { status: number | null; stdout: string; stderr: string } {
  const { status, stdout, stderr } = spawnSync(path.join(ROOT, "node_modules/.bin/tsx"), ["scripts/calc.ts", ...args], {
    cwd: ROOT,
    input,
    encoding: "utf8",
  });
  return { status, stdout, stderr };
}

describe("npm run -s calc", () => {
  it("lists the calculations with the questions they answer", () => {
    const { status, stdout } = calc(["--list"]);
    expect(status).toBe(0);
    expect(
      stdout
        .split("\n")
        .filter(Boolean)
        .map((line) => line.split(" ")[0]),
    ).toEqual([
      "atmosphere",
      "airspeed",
      "metar",
      "fit",
      "loading",
      "polar",
      "turn",
      "glide",
      "path",
      "cover",
      "route",
      "one-engine-route",
      "equal-time",
      "turnback",
      "departure",
      "departure-chance",
      "control",
      "vmca",
      "one-engine-climb",
      "ceilings",
      "driftdown",
      "zero-thrust",
      "accelerate",
      "segments",
      "restart-budget",
      "relight",
      "minutes-left",
      "sites",
      "keys",
      "lose-height",
      "one-engine-approach",
      "touchdown",
      "ditching",
      "call",
      "oei-hover",
      "ratings",
      "fly-away",
      "autorotation",
      "rotor-path",
      "gyro-glide",
      "gyro-recovery",
      "rudder-authority",
      "trim-tab",
      "procedure-check",
      "exercise-score",
      "simulate",
      "track-read",
      "track-measure",
      "refit",
      "exposure",
      "series",
    ]);
  });

  it("answers JSON with JSON: 250 KCAS at FL100 is 288.70 KTAS (pitot equations)", () => {
    const { status, stdout } = calc(
      ["airspeed"],
      JSON.stringify({ from: "cas", value: 250 / 1.943844, altitudePressure_m: 3048 }),
    );
    expect(status).toBe(0);
    expect(JSON.parse(stdout).tas_mps * 1.943844).toBeCloseTo(288.7, 1);
  });

  it("gives the schema of what goes in and comes out", () => {
    const { input, output } = JSON.parse(calc(["glide", "--schema"]).stdout);
    expect(input.properties).toHaveProperty("bank_rad");
    expect(output.properties).toHaveProperty("speedToFly");
  });

  it.each([
    [["atmosphere"], '{"altitude_m": 99999, "qnh_Pa": 5}', "qnh_Pa: QNH is 850 to 1090 hPa."],
    [["atmosphere"], "{", "The input is not JSON"],
    [["no-such-thing"], "{}", "There is no calculation"],
    [["no-such-thing", "--schema"], "", "There is no calculation"],
    [[], "", "Usage"],
  ])("ends with 2 and the faults on stderr: %j < %j", (args, input, says) => {
    const { status, stdout, stderr } = calc(args, input);
    expect(status).toBe(2);
    expect(stdout).toBe("");
    expect(stderr).toContain(says);
  });
});
