// Single turboprop.
import { ask, atHeight, call, control, end, procedure, say, set } from "./steps";

const CONTROLS = [
  control("power", "Power lever", "cruise, idle"),
  control("propeller", "Propeller lever", "fine, feather|feather"),
  control("condition", "Fuel condition", "run, cut off|cut off"),
  control("igniter", "Igniters", "off, on"),
  control("pump", "Fuel pump", "off, on"),
  control("starter", "Starter", "off, turning"),
];

/** Flame-out in cruise: feather first, it glides a third farther. */
export const turbopropInCruise = procedure({
  id: "turboprop-in-cruise",
  name: "Engine failure in cruise, single turboprop",
  purpose: "Best glide and feather: the flat propeller is the largest drag there is. Then relight by its own limits.",
  fits: ["turboprop"],
  crew: "single",
  controls: CONTROLS,
  steps: [
    say("speed", "single", "Best glide, trim, a place", "held, named", { target_s: 4 }),
    set("idle", "single", "Power lever", "power idle"),
    ask("turns", "single", "Gas generator still turning, temperature in limits?", {
      "turning: relight": "igniters",
      "standing: feather": "feather",
    }),
    set("igniters", "single", "Igniters", "igniter on"),
    set("pump-on", "single", "Fuel pump", "pump on"),
    ask("lit", "single", "Temperature rising?", { "it lights": "runs", "it does not": "cut" }),
    set("cut", "single", "Fuel condition", "condition cut off", { confirm: "self" }),
    set("feather", "single", "Propeller lever", "propeller feather", {
      confirm: "self",
      why: "Windmilling it glides two thirds as far.",
    }),
    call("check", "single", "Landing check", "landing-check"),
    atHeight("field", "single", "500 ft above ground: wheels as decided, committed", 152.4),
    end("down", "single", "Down."),
    say("runs", "single", "Power slowly, nearest place", "landing"),
    end("nearest", "single", "It runs. Land and have it looked at."),
  ],
});

/** Relight with the starter, step by step. */
export const turbopropRelight = procedure({
  id: "turboprop-relight",
  name: "Relight with the starter, single turboprop",
  purpose: "Inside the envelope only: starter before fuel, fuel only with enough speed of the gas generator.",
  fits: ["turboprop"],
  crew: "single",
  controls: [
    control("power", "Power lever", "cruise, idle"),
    control("condition", "Fuel condition", "cut off, run"),
    control("igniter", "Igniters", "off, on"),
    control("starter", "Starter", "off, turning"),
  ],
  steps: [
    ask("inside", "single", "Speed and height inside the relight envelope?", { inside: "idle", outside: "descend" }),
    say("descend", "single", "Down into it, best glide", "descending"),
    set("idle", "single", "Power lever", "power idle", { read: true }),
    set("igniters", "single", "Igniters", "igniter on", { read: true }),
    set("starter-on", "single", "Starter", "starter turning", { read: true }),
    say("speed", "single", "Gas generator: above its least for fuel", "read out", { read: true }),
    set("fuel", "single", "Fuel condition", "condition run", {
      read: true,
      why: "Fuel before there is enough air burns the turbine.",
    }),
    ask("temperature", "single", "Temperature within its limit, rising?", {
      "within it": "runs",
      "over or none": "stop",
    }),
    say("stop", "single", "Fuel off, starter off, drain for the time of the book", "drained", { read: true }),
    end("glide", "single", "One more try only if height and book allow; then land."),
    set("runs", "single", "Starter, as it runs by itself", "starter off", { read: true }),
    end("lit", "single", "Lit. Nearest place."),
  ],
});
