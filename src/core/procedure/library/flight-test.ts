// What a flight test asks for at height, in one engine's aeroplane or two's.
import { call, control, end, procedure, say, set } from "./steps";

const fits = ["single", "turboprop", "twin"] as const;
const POWER = control("power", "Power", "cruise, idle, full");
const FLAP = control("flap", "Flap", "up, landing");

/** Slow flight: within 10 kt, 100 ft, 10°. */
export const slowFlight = procedure({
  id: "slow-flight",
  name: "Slow flight",
  purpose: "Height within 100 ft, heading within 10°, without a stall warning, turns of little bank.",
  fits: [...fits],
  crew: "single",
  flight: "level",
  controls: [POWER, FLAP],
  steps: [
    call("flow", "single", "Before the exercise", "exercise-flow"),
    say("slow", "single", "Power back, height held by the nose", "slowing", { target_s: 20 }),
    set("flap-out", "single", "Flap inside its speed", "flap landing", { target_s: 20 }),
    say("trim", "single", "Power to hold it, trim, rudder", "height held", { target_s: 20 }),
    say("turn", "single", "Turn, not over 20°", "turned", { target_s: 30 }),
    set("power-up", "single", "Out of it: full power", "power full"),
    set("flap-in", "single", "Flap in steps, height held", "flap up"),
    end("cruise", "single", "Cruise. ±100 ft, ±10° were asked for."),
  ],
});

/** Stall and recovery. */
export const stalls = procedure({
  id: "stalls",
  name: "Stall and recovery",
  purpose: "At the first sign nose down, then power, wings level by rudder and aileron, out of the descent.",
  fits: [...fits],
  crew: "single",
  flight: "level",
  controls: [POWER],
  steps: [
    call("flow", "single", "Before the exercise", "exercise-flow"),
    set("idle", "single", "Power back, height held", "power idle", { target_s: 10 }),
    say("sign", "single", "First sign: warning, buffet, nose", "named", { target_s: 20 }),
    say("nose", "single", "Nose down", "unstalled", { target_s: 2, why: "Power alone lifts the nose and turns it." }),
    set("power-up", "single", "Full power", "power full", { target_s: 2 }),
    say("level", "single", "Wings level, out of the descent, climb", "climbing"),
    end("recovered", "single", "Recovered above the hard deck."),
  ],
});

/** Steep turns: 45°, within 100 ft. */
export const steepTurns = procedure({
  id: "steep-turns",
  name: "Steep turns",
  purpose: "45° of bank for 360°, height within 100 ft, speed within 10 kt, out on the heading within 10°.",
  fits: [...fits],
  crew: "single",
  flight: "level",
  controls: [POWER],
  steps: [
    call("flow", "single", "Before the exercise", "exercise-flow"),
    say("in", "single", "In, past 30° with power and back pressure", "45° held", { target_s: 10 }),
    say("around", "single", "Around: nose on the horizon, look-out", "height held", { target_s: 40 }),
    say("out", "single", "Out, half the bank before the heading", "heading", { target_s: 10 }),
    end("level", "single", "Level. ±100 ft, ±10° were asked for."),
  ],
});
