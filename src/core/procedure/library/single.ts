// Piston singles: an engine that stops in the air.
import { again, ask, atHeight, control, end, procedure, say, set } from "./steps";

const CONTROLS = [
  control("fuel", "Fuel selector", "left, right, off|off"),
  control("pump", "Fuel pump", "off, on"),
  control("heat", "Carburettor heat", "cold, hot"),
  control("mixture", "Mixture", "rich, cut off|cut off"),
  control("ignition", "Ignition", "both, left, right, off|off"),
  control("throttle", "Throttle", "cruise, closed, open"),
  control("flap", "Flap", "up, landing"),
  control("master", "Master switch", "on, off"),
];

/** Speed, place, cause, call: an engine failure in cruise. */
export const singleInCruise = procedure({
  id: "single-in-cruise",
  name: "Engine failure in cruise, piston single",
  purpose: "Speed and a place first, then the cause in the order of the cockpit, with the height that it costs.",
  fits: ["single"],
  crew: "single",
  controls: CONTROLS,
  steps: [
    say("speed", "single", "Best glide, trim", "speed, trimmed", { why: "Every second away from it is height." }),
    say("place", "single", "Place and wind: where do I land?", "named, turning to it"),
    set("tank", "single", "Fuel selector", "fuel right", { why: "The commonest cause is a tank that is empty." }),
    set("pump-on", "single", "Fuel pump", "pump on"),
    set("heat-on", "single", "Carburettor heat", "heat hot", { why: "Ice melts only while the engine is still warm." }),
    set("mixture-rich", "single", "Mixture", "mixture rich"),
    set("each", "single", "Ignition, each alone", "ignition left"),
    set("both", "single", "Ignition", "ignition both"),
    ask("running", "single", "Does it run?", { "it runs": "fly", "it does not": "height" }),
    ask("height", "single", "Height left for another try?", { "enough, once more": "once-more", "no: land": "call" }),
    again("once-more", "single", "Once more from the fuel", "tank", 1),
    say("call", "single", "Distress call", "who, where, what, how many"),
    end("commit", "single", "The landing has the rest of the attention."),
    say("fly", "single", "Power as it gives, nearest place", "landing as soon as it can be"),
    end("nearest", "single", "Land at the nearest place."),
  ],
});

/** Securing and landing where there is no runway. */
export const singleForcedLanding = procedure({
  id: "single-forced-landing",
  name: "Forced landing, piston single",
  purpose: "From the decision to land on: what is switched off, in which order, and what is left on until when.",
  fits: ["single"],
  crew: "single",
  controls: CONTROLS,
  steps: [
    say("brief", "single", "Belts, loose things, doors, brace", "told"),
    set("fuel-off", "single", "Fuel selector", "fuel off", { confirm: "self", why: "No fire after touchdown." }),
    set("mixture-off", "single", "Mixture", "mixture cut off", { confirm: "self" }),
    set("ignition-off", "single", "Ignition", "ignition off", { confirm: "self" }),
    atHeight("certain", "single", "Three hundred feet, the field is made", 91.44),
    set("flap-last", "single", "Flap, when it is certain", "flap landing", {
      why: "Flap before it is certain is height that does not come back.",
    }),
    set("master-off", "single", "Master switch, last", "master off", { why: "Electric flap and the radio need it." }),
    say("unlock", "single", "Doors unlatched, brace", "done"),
    end("down", "single", "Tail low, slow, into the wind."),
  ],
});
