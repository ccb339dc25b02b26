// Piston singles: an engine that still runs but tells something, and fire.
import { ask, call, control, end, lamp, procedure, say, set, wait } from "./steps";

/** Rough running: the cause by what it answers to. */
export const singleRoughRunning = procedure({
  id: "single-rough-running",
  name: "Rough running, piston single",
  purpose: "Each thing alone and slowly, and back if it does nothing; a place in reach meanwhile.",
  fits: ["single"],
  crew: "single",
  flight: "level",
  controls: [
    control("heat", "Carburettor heat", "cold, hot"),
    control("mixture", "Mixture", "lean, rich, cut off|cut off"),
    control("ignition", "Ignition", "both, left, right, off|off"),
    control("fuel", "Fuel selector", "left, right, off|off"),
    control("pump", "Fuel pump", "off, on"),
  ],
  steps: [
    say("height", "single", "Keep height while it runs, turn to a place", "turning"),
    set("heat-on", "single", "Carburettor heat, full", "heat hot", {
      why: "It runs worse first while ice goes through.",
    }),
    ask("ice", "single", "Rough, then smoother?", { "yes: it was ice": "stay", no: "mixture-rich" }),
    set("mixture-rich", "single", "Mixture", "mixture rich"),
    set("pump-on", "single", "Fuel pump", "pump on"),
    set("tank", "single", "Other tank", "fuel right"),
    set("one", "single", "Ignition, one alone", "ignition left"),
    ask("smooth", "single", "Smoother on this one?", { "smooth: stay on it": "land", "no change": "both" }),
    set("both", "single", "Ignition back to both", "ignition both"),
    say("land", "single", "Nearest place, while it runs", "landing"),
    end("precaution", "single", "A landing with power is better than one without."),
    say("stay", "single", "Heat stays on until the ice has gone", "watched"),
    end("ice-gone", "single", "Out of the air that makes ice."),
  ],
});

/** A pump that fills one tank from another, and empties the one that feeds. */
export const singleFuelTransfer = procedure({
  id: "single-fuel-transfer",
  name: "Fuel mismanaged: the transfer that empties",
  purpose: "Pressure falls though there is fuel: which tank feeds, which is pumped from, who watches the gauges?",
  fits: ["single"],
  crew: "single",
  flight: "glide",
  warnings: ["fuel pressure"],
  controls: [
    control("transfer", "Transfer pump", "on, off"),
    control("selector", "Feeding tank", "main, other"),
    control("boost", "Boost pump", "off, on"),
    control("power", "Power", "cruise, idle"),
  ],
  steps: [
    say("speed", "single", "Best glide, a place", "held, named", { target_s: 4 }),
    set("stop", "single", "Transfer pump: is it pumping away what feeds?", "transfer off", {
      why: "Valves set the wrong way round pump the feeding tank out.",
    }),
    set("other", "single", "The tank that has fuel by its gauge", "selector other"),
    set("boost-on", "single", "Boost pump: the lines are full of air", "boost on"),
    wait("fills", "single", "Lines fill, as long as the book says", 10),
    ask("pressure", "single", "Pressure back?", {
      "it is back": { to: "watch", when: lamp("fuel pressure", "off") },
      "it is not": { to: "land", when: lamp("fuel pressure", "on") },
    }),
    say("watch", "single", "Gauges every five minutes, by whom?", "named"),
    end("nearest", "single", "Land and measure what is in the tanks."),
    call("land", "single", "Landing check", "landing-check"),
    end("down", "single", "The landing has the rest of the attention."),
  ],
});

/** Carburettor or intake ice. */
export const singleIce = procedure({
  id: "single-ice",
  name: "Ice in the intake, piston single",
  purpose: "Full heat while the engine is warm, worse before better, and heat stays until the ice has gone.",
  fits: ["single"],
  crew: "single",
  flight: "level",
  controls: [control("heat", "Carburettor heat", "cold, half, hot"), control("mixture", "Mixture", "rich, lean")],
  steps: [
    say("signs", "single", "Rpm or pressure falls, slowly: moist air, under 25 °C?", "likely ice"),
    set("hot", "single", "Heat: full, at once", "heat hot", {
      why: "Half of it can warm the air into the range that makes ice.",
    }),
    wait("worse", "single", "Worse before better: leave it", 15),
    ask("better", "single", "Does it come back?", { "it comes back": "lean", "it does not": "place" }),
    set("lean", "single", "Mixture: hot air is thin", "mixture lean"),
    say("out", "single", "Out of that air, heat as needed", "leaving"),
    end("gone", "single", "Heat is checked every ten minutes from here."),
    say("place", "single", "A place in reach; heat stays on", "named"),
    end("failed", "single", "From here it is an engine failure: fly that drill."),
  ],
});

/** Fire in flight, one engine. */
export const singleFire = procedure({
  id: "single-fire",
  name: "Engine fire in flight, piston single",
  purpose: "What feeds it is shut off, and with it the engine: no restart after a fire.",
  fits: ["single"],
  crew: "single",
  flight: "glide",
  controls: [
    control("mixture", "Mixture", "rich, cut off|cut off"),
    control("fuel", "Fuel selector", "on, off|off"),
    control("pump", "Fuel pump", "on, off"),
    control("throttle", "Throttle", "cruise, open"),
    control("ignition", "Ignition", "both, off|off"),
    control("cabin", "Cabin heat and air", "open, closed"),
    control("master", "Master switch", "on, off"),
  ],
  steps: [
    set("mixture-off", "single", "Mixture", "mixture cut off", { confirm: "self", target_s: 3 }),
    set("fuel-off", "single", "Fuel selector", "fuel off", { confirm: "self", target_s: 3 }),
    set("pump-off", "single", "Fuel pump", "pump off"),
    set("open", "single", "Throttle: it draws the lines empty", "throttle open"),
    set("cabin-shut", "single", "Cabin heat and air", "cabin closed", { why: "Smoke comes in by the heater." }),
    set("ignition-off", "single", "Ignition, when it has run dry", "ignition off", { confirm: "self" }),
    ask("out", "single", "Is it out?", { "it is out": "place", "it burns": "dive" }),
    say("dive", "single", "Faster: blow it out, slip away from the smoke", "speed up to the limit"),
    say("place", "single", "Place, wind, best glide; no restart", "named, turning"),
    set("master-off", "single", "Master switch after the call and the flap", "master off"),
    end("down", "single", "Land, and out on the side away from it."),
  ],
});

/** Fire while starting. */
export const singleFireAtStart = procedure({
  id: "single-fire-start",
  name: "Engine fire at the start, piston single",
  purpose: "Keep it turning: flames are drawn in. Then nothing feeds it, and everybody is out.",
  fits: ["single", "twin"],
  crew: "single",
  flight: "level",
  controls: [
    control("starter", "Starter", "turning, off"),
    control("mixture", "Mixture", "rich, cut off"),
    control("fuel", "Fuel selector", "on, off"),
    control("throttle", "Throttle", "idle, open"),
    control("master", "Master switch", "on, off"),
  ],
  steps: [
    say("turn", "single", "Keep the starter turning", "turning", {
      target_s: 2,
      why: "What burns in the intake is drawn into the engine.",
    }),
    ask("runs", "single", "Does it start?", { "it runs": "warm", "it does not": "mixture-off" }),
    say("warm", "single", "Up to 1 700 rpm for a minute", "held"),
    set("mixture-off", "single", "Mixture", "mixture cut off"),
    set("fuel-off", "single", "Fuel selector", "fuel off"),
    set("open", "single", "Throttle, still turning", "throttle open"),
    set("starter-off", "single", "Starter", "starter off"),
    set("master-off", "single", "Master switch", "master off"),
    say("out", "single", "Everybody out, away from it, then the extinguisher", "out"),
    end("looked-at", "single", "It does not fly before somebody has looked at it."),
  ],
});
