// Short procedures that others call.
import { control, end, procedure, say, set } from "./steps";

/** What is asked before an exercise begins. */
export const exerciseFlow = procedure({
  id: "exercise-flow",
  name: "Before an exercise: height, area, security, engine, look-out",
  purpose: "Five words before anything that may end in a spin, a stall or a glide.",
  fits: ["single", "turboprop", "twin", "helicopter", "gyroplane"],
  crew: "single",
  controls: [control("pump", "Fuel pump", "off, on")],
  steps: [
    say("height", "single", "Height: recovered above the hard deck?", "height, and the deck named"),
    say("area", "single", "Area: no houses, no cloud, a field below", "area clear"),
    say("security", "single", "Security: belts, loose things, doors", "secure"),
    say("engine", "single", "Engine: temperatures, fuel, heat as needed", "checked"),
    say("look-out", "single", "Look-out: turn 180°, or 90° each way", "clear"),
    end("ready", "single", "Ready. What ends it is said before it begins."),
  ],
});

/** Before landing without an engine, or on one. */
export const landingCheck = procedure({
  id: "landing-check",
  name: "Landing check on one engine or none",
  purpose: "What must be out, on or tight before the ground, short enough to be said aloud.",
  fits: ["single", "turboprop", "twin"],
  crew: "single",
  controls: [],
  steps: [
    say("belts", "single", "Belts, loose things, doors", "told and done"),
    say("wind", "single", "Wind, place, way in", "named"),
    say("wheels", "single", "Wheels: out and locked, or up and why", "looked at"),
    end("checked", "single", "Checked."),
  ],
});

/** The dead engine of a piston twin is shut off. */
export const twinSecuring = procedure({
  id: "twin-securing",
  name: "Securing the dead engine, piston twin",
  purpose: "After the feather: what is shut off, by name, ignition last and only when the propeller stands.",
  fits: ["twin"],
  crew: "single",
  controls: [
    control("mixture", "Mixture", "rich, cut off|cut off", true),
    control("fuel", "Fuel", "on, off|off", true),
    control("pump", "Fuel pump", "on, off", true),
    control("ignition", "Ignition", "on, off|off", true),
    control("cowl", "Cowl flap", "open, closed", true),
  ],
  steps: [
    set("mixture-off", "single", "Mixture of the dead engine", "mixture dead cut off", { confirm: "self", read: true }),
    set("fuel-off", "single", "Fuel of the dead engine", "fuel dead off", { confirm: "self", read: true }),
    set("pump-off", "single", "Its pump", "pump dead off", { read: true }),
    say("stands", "single", "Does the propeller stand?", "it stands", { read: true }),
    set("ignition-off", "single", "Ignition of the dead engine", "ignition dead off", {
      confirm: "self",
      read: true,
      why: "Ignition stays on until the propeller has stopped.",
    }),
    set("cowl-closed", "single", "Its cowl flap: drag", "cowl dead closed", { read: true }),
    say("load", "single", "Electrical load, fuel balance, bank 2 to 3°", "reduced, noted", { read: true }),
    end("secured", "single", "Secured."),
  ],
});
