// Piston singles near the ground: the take-off roll, after lift-off, turning back, power that is not all there.
import { ask, atHeight, call, control, end, procedure, say, set } from "./steps";

const THROTTLE = control("throttle", "Throttle", "full, closed");
const BRAKES = control("brakes", "Brakes", "off, on");
const OFF = [
  control("mixture", "Mixture", "rich, cut off|cut off"),
  control("fuel", "Fuel selector", "on, off|off"),
  control("ignition", "Ignition", "both, off|off"),
  control("master", "Master switch", "on, off"),
];

/** An engine that fails before the wheels have left the ground. */
export const singleTakeOffRoll = procedure({
  id: "single-take-off-roll",
  name: "Engine failure in the take-off roll, piston single",
  purpose: "Throttle closed whatever it still gives, brakes, straight; then what burns is shut off.",
  fits: ["single"],
  crew: "single",
  flight: "level",
  controls: [THROTTLE, BRAKES, ...OFF],
  steps: [
    set("closed", "single", "Throttle", "throttle closed", {
      target_s: 2,
      why: "An engine that comes back at the wrong moment takes the rest of the runway.",
    }),
    set("brake", "single", "Brakes, straight", "brakes on", { target_s: 3 }),
    ask("stops", "single", "Does it stop on the runway?", { "it stops": "tell", "it does not": "mixture-off" }),
    set("mixture-off", "single", "Mixture", "mixture cut off", { confirm: "self", target_s: 3 }),
    set("fuel-off", "single", "Fuel selector", "fuel off", { confirm: "self", target_s: 3 }),
    set("ignition-off", "single", "Ignition", "ignition off", { confirm: "self", target_s: 3 }),
    set("master-off", "single", "Master switch", "master off", { target_s: 3 }),
    end("through", "single", "Between what is hard, not into it; out when it stands."),
    say("tell", "single", "Say that you are on the runway", "told"),
    end("stopped", "single", "Stopped. Off the runway, and looked at before it flies again."),
  ],
});

/** Too low to come back: a landing ahead. */
export const singleAfterLiftOff = procedure({
  id: "single-after-lift-off",
  name: "Engine failure after lift-off, piston single",
  purpose: "Nose down first, then ahead: the height of the gate was said before the take-off.",
  fits: ["single"],
  crew: "single",
  flight: "glide",
  controls: [...OFF, control("flap", "Flap", "take-off, landing")],
  steps: [
    say("nose", "single", "Nose down, best glide", "speed held", {
      target_s: 2,
      why: "In the climb the nose stands high: the speed is gone in two or three seconds.",
    }),
    ask("gate", "single", "Above the briefed height for turning back?", {
      "below: ahead": "spot",
      "above, turn": "turn",
    }),
    say("turn", "single", "Turn as briefed, speed first", "bank and speed held"),
    end("back", "single", "The turn is a drill of its own: fly that."),
    say("spot", "single", "The spot, within 30° of the nose", "named, turning to it", { target_s: 3 }),
    set("fuel-off", "single", "Fuel selector", "fuel off", { confirm: "self" }),
    set("mixture-off", "single", "Mixture", "mixture cut off", { confirm: "self" }),
    set("ignition-off", "single", "Ignition", "ignition off", { confirm: "self" }),
    set("flap-out", "single", "Flap, the spot is made", "flap landing"),
    set("master-off", "single", "Master switch, last", "master off"),
    end("down", "single", "Slow, wings level, under control."),
  ],
  cautions: ["Low steep turns kill by stall and spin. Practise at height, with an instructor."],
});

/** Above the gate, back to the runway. */
export const singleTurnBack = procedure({
  id: "single-turn-back",
  name: "Turn back after take-off, piston single",
  purpose: "Only above the briefed height: nose down, bank as practised, speed watched, and the way out named.",
  fits: ["single"],
  crew: "single",
  flight: "glide",
  controls: [control("flap", "Flap", "up, landing"), control("fuel", "Fuel selector", "on, off|off")],
  steps: [
    say("nose", "single", "Nose down, speed for the turn", "speed held", { target_s: 2 }),
    ask("gate", "single", "Above the briefed height?", { above: "bank", below: "ahead" }),
    say("bank", "single", "Into the wind, bank as practised, ball in the middle", "bank held", {
      why: "The stall comes earlier by the root of the load factor: 19 % at 45°.",
    }),
    ask("made", "single", "Halfway round: is the runway made?", { made: "line-up", "not made": "spot" }),
    say("line-up", "single", "Back on the line, wind behind", "lined up"),
    set("flap-out", "single", "Flap when it is certain", "flap landing"),
    say("tail", "single", "Wind behind: the ground goes by fast, the speed is right", "speed held"),
    end("runway", "single", "On the runway, or off its end slowly."),
    say("spot", "single", "The spot in the turn", "named"),
    set("fuel-off", "single", "Fuel selector", "fuel off", { confirm: "self" }),
    end("spot-down", "single", "A spot under control is better than the runway in a stall."),
    say("ahead", "single", "Ahead, within 30°", "spot named"),
    end("down", "single", "Ahead."),
  ],
  cautions: ["Low steep turns kill by stall and spin. Practise at height, with an instructor."],
});

/** Some power is left. */
export const singlePartialPower = procedure({
  id: "single-partial-power",
  name: "Partial power after take-off, piston single",
  purpose: "Power that is left tempts into a turn at low speed: what keeps the aircraft level decides.",
  fits: ["single"],
  crew: "single",
  flight: "approach",
  controls: [control("heat", "Carburettor heat", "cold, hot"), control("pump", "Fuel pump", "off, on")],
  steps: [
    say("speed", "single", "Best glide speed, not the climb’s", "speed held", { target_s: 3 }),
    ask("holds", "single", "Does it hold height at that speed?", { "it holds": "circuit", "it sinks": "treat" }),
    say("treat", "single", "Treat it as failed: a spot ahead", "spot named"),
    end("spot", "single", "Landing ahead while there is power to place it."),
    say("circuit", "single", "Shallow turns, places below all the way", "places named"),
    set("heat-on", "single", "Carburettor heat", "heat hot"),
    set("pump-on", "single", "Fuel pump", "pump on"),
    atHeight("low", "single", "500 ft above ground: no more turns from here", 152.4),
    call("check", "single", "Landing check", "landing-check"),
    end("land", "single", "Land at the nearest place; throttle closed when it is made."),
  ],
});
