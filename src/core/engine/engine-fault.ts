// What stops or troubles an engine, what its gauges then show, and which of them settle which engine it is. This
// folder: faults, gauges over a minute, what each gauge says, both ways to verify. Not here: pitch and roll of the
// aeroplane, vibration, smell and sound. Time constants are common practice, of the right order only; forces come from
// the one-engine model.

/** What may happen to an engine. */
export type FaultKind =
  "starvation" | "selector" | "ignition" | "mixture" | "ice" | "seizure" | "partial" | "overspeed" | "gauge" | "stuck";

/** A fault for the interface and for the explanation. */
export interface Fault {
  readonly kind: FaultKind;
  readonly name: string;
  /** What happens, in a sentence. */
  readonly says: string;
  /** Whether jets have it too. */
  readonly jet: boolean;
  /** The engine does not give what its lever asks for; otherwise feathering it would cost a good engine. */
  readonly dead: boolean;
}

/** In the order in which they are offered. */
export const FAULTS: readonly Fault[] = [
  {
    kind: "starvation",
    name: "Fuel starvation",
    says: "The fuel stops. Within seconds the engine gives nothing and is turned by its propeller.",
    jet: true,
    dead: true,
  },
  {
    kind: "selector",
    name: "Fuel selector off",
    says: "The engine runs on what is in the lines, surges, and stops.",
    jet: false,
    dead: true,
  },
  {
    kind: "ignition",
    name: "Ignition lost",
    says: "Both magnetos are off or broken. Fuel goes on flowing and is not burnt.",
    jet: false,
    dead: true,
  },
  {
    kind: "mixture",
    name: "Mixture run lean",
    says: "The mixture goes leaner until it no longer burns: exhaust temperature rises before it falls.",
    jet: false,
    dead: true,
  },
  {
    kind: "ice",
    name: "Carburettor or intake ice",
    says: "The intake closes little by little. Manifold pressure falls although nobody moved the throttle.",
    jet: false,
    dead: true,
  },
  {
    kind: "seizure",
    name: "Mechanical stop",
    says: "Something breaks and the engine stops turning.",
    jet: true,
    dead: true,
  },
  {
    kind: "partial",
    name: "Partial power",
    says: "Part of the power is gone: a cylinder, a valve, a surging compressor. What is left may be worth keeping.",
    jet: true,
    dead: false,
  },
  {
    kind: "overspeed",
    name: "Propeller runaway to fine",
    says: "The governor loses the propeller, which goes to fine pitch and overspeeds. Power is there; much of the thrust is not.",
    jet: false,
    dead: true,
  },
  {
    kind: "gauge",
    name: "Gauge failure",
    says: "One gauge falls to nothing. The engine knows nothing of it.",
    jet: true,
    dead: false,
  },
  {
    kind: "stuck",
    name: "Power lever stuck forward",
    says: "Both levers come back and one engine stays at power. The aeroplane yaws toward the good engine.",
    jet: true,
    dead: false,
  },
];

/** The fault of a kind. */
export function faultOf(kind: FaultKind): Fault {
  const named = FAULTS.find((fault) => fault.kind === kind);
  if (!named) throw new Error(`faultOf: expected a known fault, got ${kind}`);
  return named;
}
