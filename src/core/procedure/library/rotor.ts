// Rotorcraft: a hover on one engine, and a gyroplane whose engine has stopped.
import { ask, atHeight, control, end, procedure, say, set } from "./steps";

/** One engine of two in the hover: the rotor first, then back down or away. */
export const helicopterHover = procedure({
  id: "helicopter-hover",
  name: "One engine lost in the hover, helicopter",
  purpose: "Rotor speed first; down or away was decided before, and the rating’s clock runs.",
  fits: ["helicopter"],
  crew: "single",
  controls: [
    control("collective", "Collective", "hover, eased down, up"),
    control("limiter", "Limiter", "30 s, 2 min"),
  ],
  steps: [
    set("ease", "single", "Collective: rotor speed first", "collective eased down", { target_s: 2 }),
    say("rotor", "single", "Rotor speed", "not below its limit", { target_s: 3 }),
    ask("decide", "single", "Back down or away, as briefed?", { down: "level", away: "tilt" }, { target_s: 2 }),
    say("tilt", "single", "Nose down, to V_TOSS", "speed comes"),
    set("two-minutes", "single", "Limiter to the longer rating, once climbing", "limiter 2 min"),
    say("vy", "single", "V_Y, climb, then the checklist", "climbing"),
    end("away", "single", "Away. The engine is looked at after such a rating."),
    say("level", "single", "Level, no drift", "level"),
    set("cushion", "single", "Collective to cushion it", "collective up"),
    end("down", "single", "Down. Rotor speed is spent in the last metre, not before."),
  ],
});

/** Nose down, a place into the wind, speed in time. */
export const gyroEngineOut = procedure({
  id: "gyro-engine-out",
  name: "Engine stopped, gyroplane",
  purpose:
    "Nose down for speed at once, a spot into the wind, the cause only while there is height, speed for the flare.",
  fits: ["gyroplane"],
  crew: "single",
  controls: [
    control("fuel", "Fuel valve", "on, off|off"),
    control("pump", "Second pump", "off, on"),
    control("ignition", "Ignition", "both, off|off"),
  ],
  steps: [
    say("nose", "single", "Nose down, 50 to 60 kt", "speed held", {
      target_s: 3,
      why: "Without speed there is no rudder and no flare.",
    }),
    say("pedal", "single", "Pedal the other way: the slipstream is gone", "straight"),
    say("spot", "single", "A spot into the wind, ahead", "named"),
    ask("height", "single", "Above 500 ft, time to look?", { "yes, look": "pump-on", "no: land": "secure" }),
    set("pump-on", "single", "Second pump", "pump on"),
    ask("runs", "single", "Does it run?", { runs: "nearest", "does not": "secure" }),
    set("secure", "single", "Ignition", "ignition off", { confirm: "self" }),
    set("fuel-off", "single", "Fuel valve", "fuel off", { confirm: "self" }),
    atHeight("five-hundred", "single", "500 ft: not slower than 40 kt from here", 152.4),
    say("flare", "single", "Round out, hold off, straight", "wheels together"),
    end("down", "single", "Stick back until the rotor slows."),
    say("nearest", "single", "Land at the nearest place all the same", "landing"),
    end("power", "single", "It runs. Land and have it looked at."),
  ],
});

/** Vertical descent shown at height: in on purpose, and out by the nose in time. */
export const gyroVerticalDescent = procedure({
  id: "gyro-vertical-descent",
  name: "Vertical descent, gyroplane",
  purpose: "What it looks like to sink without speed, and what height it takes to have the speed again.",
  fits: ["gyroplane"],
  crew: "single",
  controls: [control("throttle", "Throttle", "cruise, idle, climb")],
  steps: [
    say("out", "single", "Clear below and behind", "clear"),
    atHeight("height", "single", "Not below 1 500 ft from here", 457.2),
    set("idle", "single", "Throttle back", "throttle idle"),
    say("hold", "single", "Nose level until the speed is gone", "no speed, straight by the pedals"),
    say("nose", "single", "Nose down at once, well down", "speed comes", {
      target_s: 4,
      why: "Power alone does not end it: only speed through the disc does.",
    }),
    say("level", "single", "Level at climb speed, then power", "level"),
    set("climb", "single", "Throttle", "throttle climb"),
    end("climbing", "single", "The height that it took is what a slow approach must never need."),
  ],
});
