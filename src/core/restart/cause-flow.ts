// The cause check of an engine that has stopped in the air: items with their seconds, the likely cause first.
// This folder: flow, height budget, relight of jets. Not here: what the engine does inside, fire drills, the starter's
// limits. Times are common practice for a pilot who knows the flow by heart.
import type { AircraftDocument } from "../aircraft/aircraft-document";
import type { CauseItem, Symptom } from "../aircraft/cause-item";

/** The usual flow of a piston engine, in cockpit order. Common practice. */
export const PISTON_FLOW: readonly CauseItem[] = [
  {
    id: "last",
    name: "Last touched",
    action: "what did I touch last? put it back",
    time_s: 2,
    symptoms: ["after-change"],
  },
  {
    id: "selector",
    name: "Fuel selector",
    action: "other tank, felt in its detent",
    time_s: 3,
    symptoms: ["sudden", "surging"],
  },
  { id: "pump", name: "Fuel pump", action: "on", time_s: 2, symptoms: ["surging", "sudden"] },
  {
    id: "heat",
    name: "Carburettor",
    action: "heat, or alternate air: full, and left there",
    time_s: 3,
    symptoms: ["fading", "rough"],
  },
  {
    id: "mixture",
    name: "Mixture",
    action: "rich, or as the height asks",
    time_s: 3,
    symptoms: ["rough", "after-change"],
  },
  { id: "ignition", name: "Ignition", action: "each alone, then both", time_s: 6, symptoms: ["rough", "sudden"] },
  { id: "primer", name: "Primer", action: "in and locked", time_s: 3, symptoms: ["rough"] },
  { id: "throttle", name: "Throttle", action: "through its range", time_s: 3, symptoms: ["fading"] },
  { id: "starter", name: "Propeller", action: "fine; starter if it stands still", time_s: 8, symptoms: [] },
];

/** What an engine with injection has in place of the carburettor's heat. */
const ALTERNATE_AIR: CauseItem = {
  id: "heat",
  name: "Alternate air",
  action: "open, and left there",
  time_s: 2,
  symptoms: ["fading", "rough"],
};

/** The usual flow with injection. Common practice. */
const INJECTION_FLOW: readonly CauseItem[] = PISTON_FLOW.map((item) => (item.id === "heat" ? ALTERNATE_AIR : item));

/** The usual flow of a turboprop that has flamed out, before it is lit again. Common practice. */
export const TURBOPROP_FLOW: readonly CauseItem[] = [
  {
    id: "last",
    name: "Last touched",
    action: "what did I touch last? put it back",
    time_s: 2,
    symptoms: ["after-change"],
  },
  { id: "lever", name: "Power lever", action: "idle", time_s: 2, symptoms: [] },
  {
    id: "fuel",
    name: "Fuel",
    action: "shut-off open, selector both, quantity",
    time_s: 4,
    symptoms: ["sudden", "surging"],
  },
  { id: "pump", name: "Boost pump", action: "on", time_s: 2, symptoms: ["surging", "sudden"] },
  {
    id: "inlet",
    name: "Separator",
    action: "inertial separator open; ignition on in ice or rain",
    time_s: 3,
    symptoms: ["fading", "rough"],
  },
  {
    id: "condition",
    name: "Condition",
    action: "condition lever cut off, until it is lit again",
    time_s: 3,
    symptoms: [],
  },
];

/** The usual flow of a turboshaft that has run down. Common practice; the manual decides if it may be lit again. */
const TURBOSHAFT_FLOW: readonly CauseItem[] = [
  {
    id: "last",
    name: "Last touched",
    action: "what did I touch last? put it back",
    time_s: 2,
    symptoms: ["after-change"],
  },
  { id: "fuel", name: "Fuel", action: "valves open, quantity", time_s: 3, symptoms: ["sudden", "surging"] },
  { id: "pump", name: "Boost pumps", action: "on", time_s: 2, symptoms: ["surging", "sudden"] },
  { id: "inlet", name: "Inlet", action: "anti-ice and ignition on", time_s: 3, symptoms: ["fading", "rough"] },
  { id: "light", name: "Light again", action: "by the manual, starter and fuel", time_s: 25, symptoms: [] },
];

/** What follows a check that brought nothing, with time to spare. Common practice. */
export const AFTER_CHECK: readonly CauseItem[] = [
  { id: "call", name: "Call", action: "distress call, 7700, locator beacon on", time_s: 15, symptoms: [] },
  {
    id: "passengers",
    name: "Passengers",
    action: "told, belts tight, loose things stowed, brace shown",
    time_s: 15,
    symptoms: [],
  },
  {
    id: "secure",
    name: "Secure",
    action: "when no restart is wanted any more: fuel and ignition off",
    time_s: 8,
    symptoms: [],
  },
];

/**
 * The flow of an aircraft: its own, or the usual one of its kind of engine; none for jets, which are lit again rather
 * than checked.
 */
export function causeFlow({
  engines,
  causeFlow: own,
}: Pick<AircraftDocument, "engines" | "causeFlow">): readonly CauseItem[] {
  if (own) return own;
  if (engines.kind === "turboshaft") return TURBOSHAFT_FLOW;
  if (engines.kind !== "propeller") return [];
  switch (engines.fuelSystem) {
    case "carburettor":
      return PISTON_FLOW;
    case "injection":
      return INJECTION_FLOW;
    case "turbine":
      return TURBOPROP_FLOW;
  }
}

/** The items with what the symptom points to in front, each group in the flow's own order; null keeps the order. */
export function flowFor(flow: readonly CauseItem[], symptom: Symptom | null): CauseItem[] {
  if (symptom === null) return [...flow];
  return [
    ...flow.filter((item) => item.symptoms.includes(symptom)),
    ...flow.filter((item) => !item.symptoms.includes(symptom)),
  ];
}
