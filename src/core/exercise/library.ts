// Exercises that ship, generic ones of our own, and flight tests made of them.
import { M_PER_FT, MPS_PER_KT } from "../quantities/constants";
import type { Exercise, FlightTestProfile, Tolerance } from "./exercise";

const RAD_PER_DEG = Math.PI / 180;

/** Figures of the airman certification standards for aeroplanes, one engine and several (FAA, memory). */
const ACS = "FAA airman certification standards, aeroplane (memory)";
const OURS = "common practice";

type Limits = Pick<Tolerance, "target" | "below" | "above"> & Partial<Pick<Tolerance, "forgiven_s" | "source">>;
const held = (channel: Tolerance["channel"], limits: Limits): Tolerance => ({
  channel,
  forgiven_s: 3,
  source: ACS,
  ...limits,
});

const HUNDRED_FT = 100 * M_PER_FT;
const height = held("height", { target: "entry", below: HUNDRED_FT, above: HUNDRED_FT });
const heading = held("heading", { target: "entry", below: 10 * RAD_PER_DEG, above: 10 * RAD_PER_DEG });
/** The book's speed for the failure: best glide, V_YSE. */
const bookSpeed = held("speed", { target: "book", below: 10 * MPS_PER_KT, above: 10 * MPS_PER_KT, forgiven_s: 10 });

/** Of a glide near the ground: hardly less, somewhat more. */
const glideSpeed = held("speed", {
  target: "book",
  below: 5 * MPS_PER_KT,
  above: 15 * MPS_PER_KT,
  forgiven_s: 12,
  source: OURS,
});

type Parts = Omit<Exercise, "format" | "version" | "lookOuts" | "calls" | "fails" | "cautions" | "begins" | "ends"> &
  Partial<Pick<Exercise, "lookOuts" | "calls" | "fails" | "cautions" | "begins" | "ends">>;

const exercise = (parts: Parts): Exercise => ({
  format: "utrimax/exercise",
  version: 1,
  begins: null,
  ends: null,
  lookOuts: ["A turn of 180°, or 90° each way, before it begins."],
  calls: [],
  fails: [],
  ...parts,
  cautions: [
    "With an instructor until it is signed off; the flight manual and local rules come first.",
    ...(parts.cautions ?? []),
  ],
});

const aeroplanes = ["single", "turboprop", "twin"] as const;

/** All exercises that ship. */
export const EXERCISES: readonly Exercise[] = [
  exercise({
    id: "slow-flight",
    name: "Slow flight",
    purpose: "The aircraft is flown where the next step back is the stall, without it.",
    fits: [...aeroplanes],
    setUp: {
      configuration: "as briefed, flap out",
      speed_mps: null,
      height_m: 3000 * M_PER_FT,
      hardDeck_m: 1500 * M_PER_FT,
    },
    procedure: "slow-flight",
    tolerances: [height, heading],
    drill: { wrong: 0, seconds: null },
  }),
  exercise({
    id: "stalls",
    name: "Stall and recovery",
    purpose: "Recognised at its first sign and left by the nose, then by power.",
    fits: [...aeroplanes],
    setUp: {
      configuration: "clean, then landing",
      speed_mps: null,
      height_m: 3000 * M_PER_FT,
      hardDeck_m: 1500 * M_PER_FT,
    },
    procedure: "stalls",
    tolerances: [held("heading", { target: "entry", below: 10 * RAD_PER_DEG, above: 10 * RAD_PER_DEG, forgiven_s: 5 })],
    drill: { wrong: 0, seconds: null },
  }),
  exercise({
    id: "steep-turns",
    name: "Steep turns",
    purpose: "360° at 45° of bank, height and speed held, out on the heading.",
    fits: [...aeroplanes],
    setUp: { configuration: "clean", speed_mps: null, height_m: 3000 * M_PER_FT, hardDeck_m: 1500 * M_PER_FT },
    procedure: "steep-turns",
    tolerances: [height, held("speed", { target: "entry", below: 10 * MPS_PER_KT, above: 10 * MPS_PER_KT })],
    drill: { wrong: 0, seconds: null },
    fails: [{ channel: "bank", is: "above", value: 60 * RAD_PER_DEG }],
  }),
  exercise({
    id: "vmca-demo",
    name: "Minimum control speed demonstration",
    purpose: "How it announces itself and how it is left, high and with an instructor.",
    fits: ["twin"],
    setUp: {
      configuration: "clean, critical engine idling",
      speed_mps: null,
      height_m: 5000 * M_PER_FT,
      hardDeck_m: 3000 * M_PER_FT,
    },
    procedure: "twin-vmca-demo",
    tolerances: [held("heading", { target: "entry", below: 20 * RAD_PER_DEG, above: 20 * RAD_PER_DEG })],
    drill: { wrong: 0, seconds: null },
    fails: [{ channel: "bank", is: "above", value: 45 * RAD_PER_DEG }],
    cautions: ["Never where the stall comes before V_MCA, and never low."],
  }),
  exercise({
    id: "engine-failure-twin",
    name: "Engine failure in cruise, one engine held",
    purpose: "Held straight at V_YSE, identified, verified, feathered; nothing shut down that runs.",
    fits: ["twin"],
    setUp: { configuration: "cruise", speed_mps: null, height_m: 4000 * M_PER_FT, hardDeck_m: 3000 * M_PER_FT },
    procedure: "twin-in-cruise",
    tolerances: [heading, bookSpeed],
    drill: { wrong: 0, seconds: 90 },
    calls: ["Which engine, aloud, before the throttle and before the feather."],
  }),
  exercise({
    id: "engine-failure-single",
    name: "Engine failure in cruise, one engine",
    purpose: "Best glide and a place at once; the cause in its order; the call.",
    fits: ["single"],
    setUp: { configuration: "cruise", speed_mps: null, height_m: 3000 * M_PER_FT, hardDeck_m: 500 * M_PER_FT },
    procedure: "single-in-cruise",
    tolerances: [bookSpeed],
    drill: { wrong: 0, seconds: 120 },
    calls: ["The place, aloud.", "The distress call, while there is height."],
  }),
  exercise({
    id: "engine-failure-turboprop",
    name: "Engine failure in cruise, turboprop",
    purpose: "Best glide and feather; a relight inside its limits only.",
    fits: ["turboprop"],
    setUp: { configuration: "cruise", speed_mps: null, height_m: 5000 * M_PER_FT, hardDeck_m: 500 * M_PER_FT },
    procedure: "turboprop-in-cruise",
    tolerances: [bookSpeed],
    drill: { wrong: 0, seconds: 180 },
  }),
  exercise({
    id: "one-engine-approach",
    name: "Approach and landing on one engine",
    purpose: "A steady slope at V_YSE, gear when it is assured, no go-around below its height.",
    fits: ["twin"],
    setUp: { configuration: "approach flap", speed_mps: null, height_m: 1500 * M_PER_FT, hardDeck_m: null },
    procedure: "twin-one-engine-approach",
    tolerances: [
      held("speed", { target: "book", below: 5 * MPS_PER_KT, above: 10 * MPS_PER_KT, forgiven_s: 5 }),
      held("bank", { target: 0, below: 15 * RAD_PER_DEG, above: 15 * RAD_PER_DEG, source: OURS }),
    ],
    drill: { wrong: 0, seconds: null },
    fails: [{ channel: "verticalSpeed", is: "below", value: (-1000 * M_PER_FT) / 60 }],
  }),
  exercise({
    id: "turn-back",
    name: "Turn back after take-off",
    purpose: "Nose down, the turn at the bank that was briefed, the line, the landing with the wind behind.",
    fits: ["single"],
    setUp: { configuration: "climb, take-off flap", speed_mps: null, height_m: 1000 * M_PER_FT, hardDeck_m: null },
    procedure: "single-turn-back",
    tolerances: [glideSpeed],
    drill: { wrong: 0, seconds: null },
    fails: [{ channel: "bank", is: "above", value: 60 * RAD_PER_DEG }],
    calls: ["The side of the turn, before the take-off."],
    cautions: ["At height, with a deck that stands for the runway; never low for practice."],
  }),
  exercise({
    id: "power-off-180",
    name: "Power-off approach, 180° to a spot",
    purpose: "From abeam at circuit height, idle, round to the spot that was named, without power.",
    fits: ["single"],
    setUp: { configuration: "circuit, clean", speed_mps: null, height_m: 1000 * M_PER_FT, hardDeck_m: null },
    procedure: "single-forced-landing",
    tolerances: [glideSpeed],
    drill: { wrong: 0, seconds: null },
    lookOuts: ["Touched at the spot or up to 200 ft beyond it: seen from the ground, or measured from the log."],
    fails: [{ channel: "bank", is: "above", value: 45 * RAD_PER_DEG }],
  }),
  exercise({
    id: "one-engine-go-around",
    name: "Go-around on one engine",
    purpose: "Only above the height that it costs: power, attitude, flap, gear, V_YSE, straight.",
    fits: ["twin"],
    setUp: { configuration: "approach", speed_mps: null, height_m: 500 * M_PER_FT, hardDeck_m: null },
    procedure: "twin-go-around",
    tolerances: [
      heading,
      held("speed", { target: "book", below: 5 * MPS_PER_KT, above: 10 * MPS_PER_KT, forgiven_s: 8 }),
    ],
    drill: { wrong: 0, seconds: null },
    cautions: ["Practised at height, with an instructor, onto a deck that stands for the ground."],
  }),
  exercise({
    id: "jet-fire",
    name: "Engine fire in flight",
    purpose: "Recall with confirmations, thirty seconds, the second bottle; then the list.",
    fits: ["jet"],
    setUp: {
      configuration: "climb or cruise",
      speed_mps: null,
      height_m: 9000 * M_PER_FT,
      hardDeck_m: 3000 * M_PER_FT,
    },
    procedure: "jet-fire",
    tolerances: [heading],
    drill: { wrong: 0, seconds: 150 },
    calls: ["Each engine by name before it is touched."],
  }),
  exercise({
    id: "helicopter-hover",
    name: "One engine lost in the hover",
    purpose: "Rotor speed first; down or away as briefed.",
    fits: ["helicopter"],
    setUp: { configuration: "hover", speed_mps: 0, height_m: 10 * M_PER_FT, hardDeck_m: null },
    procedure: "helicopter-hover",
    tolerances: [held("heading", { target: "entry", below: 15 * RAD_PER_DEG, above: 15 * RAD_PER_DEG, source: OURS })],
    drill: { wrong: 0, seconds: 60 },
  }),
  exercise({
    id: "gyro-engine-out",
    name: "Engine out to a spot, gyroplane",
    purpose: "Nose down at once, into the wind, speed kept for the flare.",
    fits: ["gyroplane"],
    setUp: { configuration: "cruise", speed_mps: null, height_m: 1000 * M_PER_FT, hardDeck_m: null },
    procedure: "gyro-engine-out",
    tolerances: [held("speed", { target: "book", below: 8 * MPS_PER_KT, above: 12 * MPS_PER_KT, source: OURS })],
    drill: { wrong: 0, seconds: null },
  }),
  exercise({
    id: "gyro-vertical-descent",
    name: "Vertical descent and speed regained, gyroplane",
    purpose: "Down without speed on purpose, out by the nose, with height to spare.",
    fits: ["gyroplane"],
    setUp: {
      configuration: "idle",
      speed_mps: null,
      height_m: 2000 * M_PER_FT,
      hardDeck_m: 800 * M_PER_FT,
    },
    procedure: "gyro-vertical-descent",
    tolerances: [held("heading", { target: "entry", below: 45 * RAD_PER_DEG, above: 45 * RAD_PER_DEG, source: OURS })],
    drill: { wrong: 0, seconds: null },
    fails: [{ channel: "verticalSpeed", is: "below", value: (-2500 * M_PER_FT) / 60 }],
    cautions: ["Only where the manual allows it, high, and never into the ground: speed comes back by height alone."],
  }),
];

/** Flight tests that ship. */
export const FLIGHT_TESTS: readonly FlightTestProfile[] = [
  {
    format: "utrimax/flight-test",
    version: 1,
    id: "single-check",
    name: "Check flight, one engine",
    exercises: ["slow-flight", "stalls", "steep-turns", "engine-failure-single"],
    repeats: 1,
    stopsAtFailure: false,
  },
  {
    format: "utrimax/flight-test",
    version: 1,
    id: "twin-check",
    name: "Check flight, twin",
    exercises: ["slow-flight", "stalls", "steep-turns", "vmca-demo", "engine-failure-twin", "one-engine-approach"],
    repeats: 1,
    stopsAtFailure: true,
  },
];
