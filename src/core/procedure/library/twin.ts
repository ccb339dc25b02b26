// Piston twins: one engine of two.
import { ask, control, end, procedure, say, set } from "./steps";

const CONTROLS = [
  control("mixture", "Mixture", "cruise, rich, cut off|cut off", true),
  control("propeller", "Propeller", "cruise, fine, feather|feather", true),
  control("throttle", "Throttle", "cruise, full, idle", true),
  control("gear", "Gear", "up, down"),
  control("flap", "Flap", "up, take-off"),
  control("ignition", "Ignition", "on, off|off", true),
  control("fuel", "Fuel", "on, off|off", true),
  control("pump", "Fuel pump", "off, on", true),
];

/** Control, power, drag, identify, verify, feather: the school that begins with power. */
export const twinInCruise = procedure({
  id: "twin-in-cruise",
  name: "Engine failure in cruise, piston twin",
  purpose: "Control first, then power and drag, which engine it is by the foot and by the throttle, and the feather.",
  fits: ["twin"],
  crew: "single",
  controls: CONTROLS,
  steps: [
    say("control", "single", "Heading, wings, ball, speed not below V_YSE", "held", { target_s: 3 }),
    set("mixtures", "single", "Mixtures", "mixture each rich"),
    set("propellers", "single", "Propellers", "propeller each fine"),
    set("throttles", "single", "Throttles", "throttle each full"),
    say("identify", "single", "Dead foot, dead engine: which?", "named"),
    set("verify", "single", "Throttle of that engine, slowly", "throttle dead idle", {
      confirm: "self",
      why: "Nothing may change: if it does, it was the live one.",
    }),
    ask("changed", "single", "Did anything change?", {
      "nothing: it is dead": "height",
      "yes: it is the other": "stop",
    }),
    ask("height", "single", "Height to look for the cause?", { "yes, look": "pumps", "no, feather": "feather" }),
    set("pumps", "single", "Fuel pump of the dead engine", "pump dead on"),
    ask("cause", "single", "Does it run again?", { runs: "back", "does not": "feather" }),
    set("feather", "single", "Propeller of the dead engine", "propeller dead feather", {
      confirm: "self",
      why: "Below the start lock’s speed it does not feather any more.",
    }),
    set("cut", "single", "Mixture of the dead engine", "mixture dead cut off", { confirm: "self" }),
    set("fuel-off", "single", "Fuel of the dead engine", "fuel dead off", { confirm: "self", read: true }),
    set("ignition-off", "single", "Ignition of the dead engine, when it stands", "ignition dead off", {
      confirm: "self",
      read: true,
      why: "Ignition stays on until the propeller has stopped.",
    }),
    say("land", "single", "Bank 2 to 3° to the live engine, nearest place", "V_YSE, landing", { read: true }),
    end("secured", "single", "Secured. Land at the nearest place that is long enough."),
    say("stop", "single", "Stop: power back up, begin again at the foot", "identified anew"),
    end("anew", "single", "The wrong one was named: begin again."),
    say("back", "single", "Both running: watch it, nearest place", "landing"),
    end("both", "single", "It runs. Land and have it looked at."),
  ],
});

/** After lift-off: as above, but what costs climb comes first and there is no looking for the cause. */
export const twinAfterLiftOff = procedure({
  id: "twin-after-lift-off",
  name: "Engine failure after lift-off, piston twin",
  purpose: "Above the decision speed, gear still down: what costs climb goes first.",
  fits: ["twin"],
  crew: "single",
  controls: CONTROLS.map((entry) =>
    entry.id === "gear"
      ? { ...entry, positions: ["down", "up"] }
      : entry.id === "flap"
        ? { ...entry, positions: ["take-off", "up"] }
        : entry,
  ),
  steps: [
    say("control", "single", "Straight, five degrees to the live engine, V_YSE", "held", { target_s: 3 }),
    set("throttles", "single", "Throttles", "throttle each full", { target_s: 3 }),
    set("gear-up", "single", "Gear", "gear up", { why: "With the gear down many do not climb at all." }),
    set("flap-up", "single", "Flap", "flap up"),
    say("identify", "single", "Dead foot, dead engine: which?", "named"),
    set("verify", "single", "Throttle of that engine", "throttle dead idle", { confirm: "self" }),
    set("feather", "single", "Propeller", "propeller dead feather", { confirm: "self" }),
    ask("climbs", "single", "Does it climb?", { "it climbs": "climb", "it does not": "land" }),
    say("climb", "single", "Straight ahead to a safe height, then back", "V_YSE"),
    set("cut", "single", "Mixture of the dead engine", "mixture dead cut off", { confirm: "self", read: true }),
    end("return", "single", "Circuit to the live engine’s side, land."),
    say("land", "single", "Power back on the live one as it needs: land ahead", "wings level, under control"),
    end("ahead", "single", "Ahead, under control, is better than a turn that is not."),
  ],
});
