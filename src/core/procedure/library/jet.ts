// The jet, a crew of two: fire in flight.
import { ask, control, end, lamp, procedure, say, set, wait } from "./steps";

/** Fire or severe damage: recall with confirmations, wait, second bottle, then the checklist. */
export const jetFire = procedure({
  id: "jet-fire",
  name: "Engine fire in flight, jet",
  purpose: "What cannot be undone is named, confirmed by the other and then done; thirty seconds for the first bottle.",
  fits: ["jet"],
  crew: "two",
  warnings: ["fire"],
  controls: [
    control("thrust", "Thrust lever", "cruise, closed", true),
    control("fuel", "Fuel lever", "on, cut off|cut off", true),
    control("handle", "Fire handle", "in, pulled|pulled", true),
    control("bottle-1", "Bottle 1", "full, fired|fired", true),
    control("bottle-2", "Bottle 2", "full, fired|fired", true),
  ],
  steps: [
    say("bell", "monitoring", "Fire, which engine?", "engine named"),
    say("flying", "flying", "I have control: heading, speed", "held"),
    set("lever", "flying", "Thrust lever, confirm", "thrust dead closed", { confirm: "other" }),
    set("cut", "flying", "Fuel lever, confirm", "fuel dead cut off", { confirm: "other" }),
    set("pull", "monitoring", "Fire handle, confirm", "handle dead pulled", { confirm: "other" }),
    set("one", "monitoring", "Bottle 1, confirm", "bottle-1 dead fired", { confirm: "other" }),
    wait("thirty", "monitoring", "Thirty seconds, the lamp", 30),
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
