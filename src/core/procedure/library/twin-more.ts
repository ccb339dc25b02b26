// Piston twins: the other school, the take-off roll, approach and go-around, fix or feather, restart, landing on one.
import { ask, atHeight, call, control, end, procedure, say, set, wait } from "./steps";

const LEVERS = [
  control("mixture", "Mixture", "cruise, rich, cut off|cut off", true),
  control("propeller", "Propeller", "cruise, fine, feather|feather", true),
  control("throttle", "Throttle", "cruise, full, idle", true),
];
const GEAR = control("gear", "Gear", "up, down");
const FLAP = control("flap", "Flap", "up, approach, landing");

/** All levers forward first; verified by temperature and flow rather than by the throttle. */
export const twinLeversFirst = procedure({
  id: "twin-levers-first",
  name: "Engine failure in cruise, piston twin, levers first",
  purpose: "The other school: everything forward, then drag, identify by foot, verify by temperature and flow.",
  fits: ["twin"],
  crew: "single",
  controls: [...LEVERS, { ...GEAR, positions: ["down", "up"] }, control("flap", "Flap", "approach, up")],
  steps: [
    set("mixtures", "single", "Mixtures", "mixture each rich", { target_s: 4 }),
    set("propellers", "single", "Propellers", "propeller each fine", { target_s: 4 }),
    set("throttles", "single", "Throttles", "throttle each full", { target_s: 4 }),
    set("gear-up", "single", "Gear", "gear up"),
    set("flap-up", "single", "Flap", "flap up"),
    say("identify", "single", "Dead foot, dead engine: which?", "named"),
    ask("gauges", "single", "Its exhaust temperature and fuel flow?", {
      "fallen: it is dead": "gate",
      "as before: the other": "anew",
    }),
    ask("gate", "single", "Fix or feather: height and time?", {
      "above the gate: fix": "fix",
      "below: feather": "feather",
    }),
    say("fix", "single", "Fuel, pump, ignition, heat", "tried"),
    ask("runs", "single", "Does it run?", { "it runs": "both", "it does not": "feather" }),
    set("feather", "single", "Propeller of the dead engine", "propeller dead feather", {
      confirm: "self",
      why: "Rpm tells nothing: a windmilling propeller holds it.",
    }),
    call("secure", "single", "Securing", "twin-securing"),
    end("secured", "single", "Secured. Nearest place that is long enough."),
    say("both", "single", "Both run: watch it, nearest place", "landing"),
    end("two", "single", "It runs. Land and have it looked at."),
    say("anew", "single", "Begin again at the foot", "identified anew"),
    end("again", "single", "The gauges said the other: begin again."),
  ],
});

/** On the runway. */
export const twinTakeOffRoll = procedure({
  id: "twin-take-off-roll",
  name: "Engine failure in the take-off roll, piston twin",
  purpose: "Below the decision speed both throttles close: on one engine at full power it leaves the runway sideways.",
  fits: ["twin"],
  crew: "single",
  flight: "level",
  controls: [control("throttle", "Throttle", "full, idle", true), control("brakes", "Brakes", "off, on")],
  steps: [
    set("closed", "single", "Both throttles", "throttle each idle", {
      target_s: 2,
      why: "Below V_MCG the rudder does not hold the live engine.",
    }),
    set("brake", "single", "Straight, brakes", "brakes on", { target_s: 3 }),
    ask("stops", "single", "Does it stop on the runway?", { "it stops": "tell", "it does not": "off" }),
    say("off", "single", "Mixtures, fuel, master off: between what is hard", "off"),
    end("through", "single", "Out when it stands."),
    say("tell", "single", "Say that you are on the runway", "told"),
    end("stopped", "single", "Stopped. Brakes are hot: not straight to another take-off."),
  ],
});

/** On the approach. */
export const twinOnApproach = procedure({
  id: "twin-approach-failure",
  name: "Engine failure on the approach, piston twin",
  purpose: "Power and rudder together; go on to land: it is the go-around that does not work.",
  fits: ["twin"],
  crew: "single",
  flight: "approach",
  controls: [...LEVERS, { ...FLAP, positions: ["landing", "approach", "up"] }],
  steps: [
    say("straight", "single", "Straight, slope and speed, power as needed", "held", { target_s: 3 }),
    set("flap-back", "single", "Flap back to approach", "flap approach", { why: "Full flap may not be held on one." }),
    say("identify", "single", "Dead foot, dead engine: which?", "named"),
    ask("decide", "single", "Above the height of no return?", {
      "land from here": "both",
      "too high, go around": "around",
    }),
    say("around", "single", "Only above it, by the drill for that", "going around"),
    end("away", "single", "The go-around is a drill of its own: fly that."),
    set("both", "single", "Propellers forward, for what is left", "propeller live fine"),
    atHeight("committed", "single", "200 ft above ground: landing, whatever comes", 60.96),
    say("close", "single", "Both throttles closed in the flare, straight", "closed"),
    end("down", "single", "Down. It swings when the power goes: rudder centred."),
  ],
});

/** Going around on one. */
export const twinGoAround = procedure({
  id: "twin-go-around",
  name: "Go-around on one engine, piston twin",
  purpose: "Only above the height that it costs: power, attitude, flap in steps, gear, speed.",
  fits: ["twin"],
  crew: "single",
  controls: [
    control("throttle", "Throttle", "approach, full", true),
    control("propeller", "Propeller", "fine, feather|feather", true),
    { ...GEAR, positions: ["down", "up"] },
    { ...FLAP, positions: ["landing", "approach", "up"] },
  ],
  steps: [
    ask("height", "single", "Above the height that it costs?", { "above: go": "power", "below: land": "land" }),
    set("power", "single", "Full power on the live engine, rudder with it", "throttle live full", { target_s: 3 }),
    say("attitude", "single", "Attitude for V_YSE, five degrees to the live engine", "held", { target_s: 3 }),
    set("flap-part", "single", "Flap to approach", "flap approach"),
    set("gear-up", "single", "Gear, when it does not sink any more", "gear up"),
    set("flap-up", "single", "Flap, with speed", "flap up"),
    ask("climbs", "single", "Does it climb?", { "it climbs": "circuit", "it does not": "land-ahead" }),
    say("circuit", "single", "Straight to a safe height", "V_YSE"),
    end("again", "single", "A longer final this time, gear late."),
    say("land-ahead", "single", "Land ahead under control", "wings level"),
    end("ahead", "single", "Ahead."),
    say("land", "single", "Land: wherever it is now", "committed"),
    end("down", "single", "Down."),
  ],
});

/** The propeller comes out of feather before the starter turns. */
export const twinRestart = procedure({
  id: "twin-restart",
  name: "Restart and unfeathering, piston twin",
  purpose: "Why it stopped is known and mended; propeller out of feather before the starter, warm before power.",
  fits: ["twin"],
  crew: "single",
  controls: [
    control("fuel", "Fuel", "off, on", true),
    control("ignition", "Ignition", "off, on", true),
    control("throttle", "Throttle", "full, a quarter", true),
    control("propeller", "Propeller", "feather, fine", true),
    control("mixture", "Mixture", "cut off, rich", true),
    control("starter", "Starter", "off, turning", true),
  ],
  steps: [
    ask("reason", "single", "Is it known why it stopped, and mended?", {
      "yes, it may run": "fuel-on",
      "no or fire": "leave",
    }),
    set("fuel-on", "single", "Fuel of that engine", "fuel dead on", { read: true }),
    set("ignition-on", "single", "Ignition of that engine", "ignition dead on", { read: true }),
    set("quarter", "single", "Throttle a quarter open", "throttle dead a quarter", { read: true }),
    set("unfeather", "single", "Propeller control out of feather", "propeller dead fine", {
      read: true,
      why: "The propeller control leaves feather before the starter turns: otherwise it turns against a feathered blade.",
    }),
    set("starter-on", "single", "Starter, until it windmills", "starter dead turning", { read: true }),
    set("mixture-rich", "single", "Mixture", "mixture dead rich", { read: true }),
    ask("runs", "single", "Does it run?", { "it runs": "warm", "it does not": "feather" }),
    wait("warm", "single", "Warm at low power", 60, { read: true }),
    say("power", "single", "Power slowly, both alike", "matched", { read: true }),
    end("both", "single", "Both run. Nearest place all the same."),
    say("feather", "single", "Feather it again, secure, no second try", "feathered", { read: true }),
    end("one", "single", "On one engine to the nearest place."),
    say("leave", "single", "Leave it feathered", "left"),
    end("left", "single", "On one engine to the nearest place."),
  ],
});

/** The approach that is flown on one from the beginning. */
export const twinOneEngineApproach = procedure({
  id: "twin-one-engine-approach",
  name: "Approach and landing on one engine, piston twin",
  purpose: "A longer final, gear when the landing is assured, calls by height, both levers moved.",
  fits: ["twin"],
  crew: "single",
  flight: "approach",
  controls: [control("throttle", "Throttle", "approach, idle", true), GEAR, FLAP],
  steps: [
    say("brief", "single", "Wind, length, go-around height: none below it", "briefed"),
    call("check", "single", "Landing check", "landing-check"),
    set("flap-approach", "single", "Flap", "flap approach", { target_s: 10 }),
    atHeight("five-hundred", "single", "500 ft: stable, V_YSE, or away now", 152.4),
    set("gear-down", "single", "Gear: the landing is assured", "gear down", {
      why: "Out early it costs the climb that a go-around would need.",
    }),
    atHeight("three-hundred", "single", "300 ft: gear locked, committed", 91.44),
    set("flap-landing", "single", "Flap, over the fence of what is made", "flap landing"),
    set("both-idle", "single", "Both throttles, slowly", "throttle each idle", {
      why: "The dead one’s too: a lever left forward wakes at the next touch.",
    }),
    end("down", "single", "Straight as the power goes: rudder centred."),
  ],
});

/** The demonstration at height. */
export const twinVmcaDemo = procedure({
  id: "twin-vmca-demo",
  name: "Minimum control speed demonstration, piston twin",
  purpose: "With an instructor, high, critical engine idling: slow until something ends it, and out by power and nose.",
  fits: ["twin"],
  crew: "single",
  flight: "level",
  controls: [control("throttle", "Throttle", "cruise, full, idle", true), GEAR, FLAP],
  steps: [
    call("flow", "single", "Before the exercise", "exercise-flow"),
    set("idle", "single", "Throttle of the engine that “fails”", "throttle dead idle", { read: true }),
    set("full", "single", "Throttle of the other", "throttle live full", { read: true }),
    say("slow", "single", "One knot a second, straight, bank to the live engine", "slowing", { read: true }),
    ask("ends", "single", "What comes first?", {
      "rudder at its stop": "out",
      "stall warning": "out",
      "heading goes": "out",
    }),
    set("out", "single", "Power off the live engine, nose down", "throttle live idle", {
      target_s: 2,
      why: "Power first: at V_MCA more of it turns it over.",
    }),
    say("speed", "single", "V_SSE, then power again", "recovered", { target_s: 10 }),
    end("done", "single", "Noted: mass, height, bank, speed, and which sign came first."),
  ],
  cautions: ["Only with an instructor, above the hard deck, and never where the stall comes before V_MCA."],
});
