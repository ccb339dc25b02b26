// Ditching with one engine that has stopped.
import { ask, atHeight, control, end, procedure, say, set } from "./steps";

/** A single comes down on the water. */
export const singleDitching = procedure({
  id: "single-ditching",
  name: "Ditching, piston single",
  purpose: "Towards a ship or the shore, by the swell, doors open, vests on but not inflated inside.",
  fits: ["single", "turboprop"],
  crew: "single",
  flight: "glide",
  controls: [
    control("flap", "Flap", "up, landing"),
    control("gear", "Gear", "up, down"),
    control("doors", "Doors", "latched, open"),
    control("master", "Master switch", "on, off"),
  ],
  steps: [
    say("speed", "single", "Best glide, towards ship or shore", "held", { target_s: 4 }),
    say("call", "single", "Distress call, position, souls", "sent"),
    say("vests", "single", "Vests on, not inflated; belts; raft in hand", "told"),
    atHeight("two", "single", "2 000 ft: swell, wind, heading along the swell", 609.6),
    ask("wheels", "single", "Wheels that come in?", { "they stay up": "flap-out", "they are fixed": "flap-out" }),
    set("flap-out", "single", "Flap as the book says", "flap landing"),
    set("doors-open", "single", "Doors", "doors open", { why: "A bent frame holds them shut." }),
    atHeight("hundred", "single", "100 ft: brace, slow, nose up", 30.48),
    set("master-off", "single", "Master switch", "master off"),
    say("touch", "single", "Held off, tail first, wings level", "touching"),
    end("out", "single", "A hand on a fixed point, belts, out, inflate outside."),
  ],
});
