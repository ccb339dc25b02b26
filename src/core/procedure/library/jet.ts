// The jet, a crew of two: failure after V_1, fire in the air and on the ground, relight, no engine at all, no brakes.
import { again, ask, atHeight, control, end, lamp, procedure, say, set, wait } from "./steps";

const THRUST = control("thrust", "Thrust lever", "cruise, closed", true);
const FUEL = control("fuel", "Fuel lever", "on, cut off|cut off", true);
const FIRE = [
  control("handle", "Fire handle", "in, pulled|pulled", true),
  control("bottle-1", "Bottle 1", "full, fired|fired", true),
  control("bottle-2", "Bottle 2", "full, fired|fired", true),
];

/** Fire or severe damage: recall with confirmations, wait, second bottle, then the checklist. */
export const jetFire = procedure({
  id: "jet-fire",
  name: "Engine fire in flight, jet",
  purpose: "What cannot be undone is named, confirmed by the other and then done; thirty seconds for the first bottle.",
  fits: ["jet"],
  crew: "two",
  warnings: ["fire"],
  controls: [THRUST, FUEL, ...FIRE],
  steps: [
    say("bell", "monitoring", "Fire, which engine?", "engine named"),
    say("flying", "flying", "I have control: heading, speed", "held"),
    set("lever", "flying", "Thrust lever, confirm", "thrust dead closed", { confirm: "other" }),
    set("cut", "flying", "Fuel lever, confirm", "fuel dead cut off", { confirm: "other" }),
    set("pull", "monitoring", "Fire handle, confirm", "handle dead pulled", { confirm: "other" }),
    set("one", "monitoring", "Bottle 1, confirm", "bottle-1 dead fired", { confirm: "other" }),
    wait("thirty", "monitoring", "Thirty seconds, the lamp", 30, { since: "one" }),
    ask("lamp", "flying", "Does the lamp still burn?", {
      "it is out": { to: "list", when: lamp("fire", "off") },
      "it burns": { to: "two", when: lamp("fire", "on") },
    }),
    set("two", "monitoring", "Bottle 2, confirm", "bottle-2 dead fired", {
      confirm: "other",
      why: "Nothing is left after it: land at once.",
    }),
    say("at-once", "flying", "Land at once, tell them", "distress call"),
    say("list", "flying", "Engine fire checklist", "read", { read: true }),
    say("fuel-balance", "monitoring", "Fuel balance, approach on one engine", "briefed", { read: true }),
    end("secured", "flying", "Land at the nearest suitable aerodrome."),
  ],
});

/** After V_1: go, and touch nothing below 400 ft. */
export const jetAfterV1 = procedure({
  id: "jet-after-v1",
  name: "Engine failure after V_1, jet",
  purpose: "Go: straight, rotate, V_2, gear. Nothing else is touched until a safe height, then by name.",
  fits: ["jet"],
  crew: "two",
  warnings: ["engine"],
  controls: [control("gear", "Gear", "down, up"), THRUST, FUEL],
  steps: [
    say("call", "monitoring", "Engine failure", "continue", { target_s: 2 }),
    say("rotate", "flying", "Straight, rotate at V_R, slower than with both", "rotating", { target_s: 5 }),
    say("positive", "monitoring", "Positive climb", "gear up", { target_s: 5 }),
    set("gear-up", "monitoring", "Gear", "gear up"),
    say("v2", "flying", "V_2, wings level or little bank, trim", "held"),
    say("safe", "monitoring", "400 ft: identify", "engine named", {
      why: "Below it the hands stay away: haste has shut down good engines.",
    }),
    set("lever", "flying", "Thrust lever, confirm", "thrust dead closed", { confirm: "other" }),
    set("cut", "flying", "Fuel lever, confirm", "fuel dead cut off", { confirm: "other" }),
    say("accelerate", "flying", "Acceleration height: level, flap in by its speeds", "clean"),
    say("list", "monitoring", "Checklist, fuel balance, where to land", "read", { read: true }),
    end("away", "flying", "Climb on one, the way that was briefed for it."),
  ],
});

/** Fire on the ground. */
export const jetFireOnGround = procedure({
  id: "jet-fire-ground",
  name: "Engine fire on the ground, jet",
  purpose: "Stop, park, both fuel levers, the handles, the bottle; then out on the side away from it.",
  fits: ["jet"],
  crew: "two",
  flight: "level",
  warnings: ["fire"],
  controls: [control("brake", "Parking brake", "off, set"), { ...FUEL, final: [] }, ...FIRE],
  steps: [
    say("stop", "flying", "Stop, into the wind if there is time", "stopping", { target_s: 3 }),
    set("park", "flying", "Parking brake", "brake set"),
    set("cut", "flying", "Both fuel levers", "fuel each cut off"),
    set("pull", "monitoring", "Fire handle, confirm", "handle dead pulled", { confirm: "other" }),
    set("one", "monitoring", "Bottle 1, confirm", "bottle-1 dead fired", { confirm: "other" }),
    say("tell", "monitoring", "Tower and cabin", "told"),
    ask("burns", "flying", "Does it still burn?", {
      "it is out": { to: "stay", when: lamp("fire", "off") },
      "it burns": { to: "out", when: lamp("fire", "on") },
    }),
    say("out", "flying", "Out, on the side away from it", "order given"),
    end("evacuated", "flying", "Out and away, upwind."),
    say("stay", "flying", "Seated; the fire service looks at it", "told"),
    end("seated", "flying", "Out by the steps, unless somebody sees smoke."),
  ],
});

/** Relight: windmill first, then with help. */
export const jetRelight = procedure({
  id: "jet-relight",
  name: "Relight attempts, jet",
  purpose: "Inside the envelope; each try has its wait; what windmilling does not give the assisted start may.",
  fits: ["jet"],
  crew: "two",
  controls: [
    { ...THRUST },
    control("fuel", "Fuel lever", "cut off, on", true),
    control("ignition", "Ignition", "off, on", true),
    control("bleed", "Assist", "off, on", true),
  ],
  steps: [
    ask("inside", "monitoring", "Speed and level inside the windmilling envelope?", {
      "inside: windmill": "closed",
      "too slow: assisted": "assist",
    }),
    set("closed", "flying", "Thrust lever", "thrust dead closed", { read: true }),
    set("ignition-on", "monitoring", "Ignition", "ignition dead on", { read: true }),
    set("fuel-on", "monitoring", "Fuel lever", "fuel dead on", { read: true }),
    wait("thirty", "monitoring", "Thirty seconds: temperature and speed", 30, { since: "fuel-on", read: true }),
    ask("lit", "monitoring", "Does it light?", { "it lights": "stable", "it does not": "drain" }),
    wait("drain", "monitoring", "Fuel off again: drain, thirty seconds", 30, { read: true }),
    again("once-more", "monitoring", "Once more", "closed", 1),
    say("assist", "monitoring", "Assisted: speed and level for that", "inside"),
    set("bleed-on", "monitoring", "Assist from the engine that runs", "bleed dead on", { read: true }),
    set("fuel-assist", "monitoring", "Fuel lever, with the speed of the book", "fuel dead on", { read: true }),
    ask("lit-assisted", "monitoring", "Does it light?", { "it lights": "stable", "it does not": "one" }),
    say("one", "flying", "No more: land on one", "decided"),
    end("nearest", "flying", "Nearest suitable aerodrome on one."),
    say("stable", "monitoring", "Idle, stable; a minute before power", "stable", { read: true }),
    end("two", "flying", "Both. Nearest suitable aerodrome all the same."),
  ],
});

/** All engines out, over water. */
export const jetDitching = procedure({
  id: "jet-ditching",
  name: "All engines out and ditching, jet",
  purpose: "Glide, relight while it lasts, prepare by height: calls at 5,000, 2,000, 500 and 100 ft.",
  fits: ["jet"],
  crew: "two",
  flight: "glide",
  controls: [
    { ...FUEL, positions: ["on", "cut off"] },
    control("apu", "Auxiliary power", "off, on"),
    control("ditching", "Ditching valves", "open, closed"),
    control("gear", "Gear", "up, down"),
    control("flap", "Flap", "up, landing"),
  ],
  steps: [
    say("glide", "flying", "Best glide, towards land or ships", "held", { target_s: 4 }),
    set("apu-on", "monitoring", "Auxiliary power", "apu on"),
    say("relight", "monitoring", "Relight by its drill as long as height lasts", "trying"),
    say("call", "monitoring", "Distress call, position, souls", "sent"),
    say("cabin", "flying", "Cabin: vests on, not inflated; minutes left", "told"),
    atHeight("five", "monitoring", "5 000 ft: swell and wind, heading", 1524),
    set("valves", "monitoring", "Ditching valves", "ditching closed"),
    atHeight("two", "monitoring", "2 000 ft: gear stays up, flap", 609.6),
    set("flap-out", "monitoring", "Flap", "flap landing"),
    atHeight("five-hundred", "monitoring", "500 ft: brace in thirty seconds", 152.4),
    atHeight("hundred", "monitoring", "100 ft: brace, brace", 30.48),
    say("touch", "flying", "Along the swell, wings level, nose up", "touching"),
    set("cut", "monitoring", "Both fuel levers, confirm", "fuel each cut off", { confirm: "other" }),
    end("out", "flying", "Out, vests inflated outside, rafts."),
  ],
});

/** Landing with no brakes. */
export const jetNoBrakes = procedure({
  id: "jet-no-brakes",
  name: "Landing without brakes, jet",
  purpose: "What is left, in order: longest runway, spoilers, reverse of the live engine, emergency brake, once.",
  fits: ["jet"],
  crew: "two",
  flight: "level",
  controls: [
    control("spoilers", "Spoilers", "in, out"),
    control("reverse", "Reverse", "off, on", true),
    control("antiskid", "Anti-skid", "on, off"),
    control("emergency", "Emergency brake", "off, on"),
  ],
  steps: [
    set("spoil", "flying", "Spoilers", "spoilers out", { target_s: 2 }),
    set("reverse-live", "flying", "Reverse of the live engine", "reverse live on", {
      why: "One side alone pulls to that side: rudder, then little by little.",
    }),
    say("none", "flying", "No brakes", "called"),
    set("skid", "monitoring", "Anti-skid", "antiskid off"),
    ask("pedals", "flying", "Pedals again: do they brake?", { "they brake": "short", "they do not": "emergency-on" }),
    set("emergency-on", "flying", "Emergency brake: one steady pull", "emergency on", {
      why: "Each release spends pressure; pumping empties it.",
    }),
    say("straight", "flying", "Straight; off the end rather than off the side", "held"),
    end("stands", "flying", "Stands. Nobody near the wheels: they are hot."),
    say("short", "flying", "Short pulls without anti-skid: tyres lock", "slowing"),
    end("stopped", "flying", "Stopped."),
  ],
});
