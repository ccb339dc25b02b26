// The order in which a propeller is feathered, and brought back: what must not come before what, and why. Common
// practice; the flight manual's own order comes first.

/** An action at one engine. */
export type EngineAction =
  | "throttle-closed"
  | "propeller-feather"
  | "mixture-off"
  | "fuel-off"
  | "propeller-stopped"
  | "ignition-off"
  | "fuel-on"
  | "ignition-on"
  | "throttle-set"
  | "propeller-forward"
  | "starter"
  | "mixture-rich"
  | "warm-up";

/** What is to be done: stop the engine for good, or start it again in the air. */
export type EngineTask = "feather" | "unfeather";

/** One must come before the other. */
interface Rule {
  readonly before: EngineAction;
  readonly after: EngineAction;
  readonly why: string;
}

/** The actions of each task in their usual order. */
export const ENGINE_ACTIONS: Readonly<Record<EngineTask, readonly EngineAction[]>> = {
  feather: ["throttle-closed", "propeller-feather", "mixture-off", "fuel-off", "propeller-stopped", "ignition-off"],
  unfeather: ["fuel-on", "ignition-on", "throttle-set", "propeller-forward", "mixture-rich", "starter", "warm-up"],
};

const RULES: Readonly<Record<EngineTask, readonly Rule[]>> = {
  feather: [
    {
      before: "throttle-closed",
      after: "propeller-feather",
      why: "Closing the throttle first verifies: if anything changes, it is the wrong engine.",
    },
    {
      before: "propeller-feather",
      after: "mixture-off",
      why: "Feather while it still turns fast: below a low speed a pin keeps the blades from feathering.",
    },
    {
      before: "propeller-stopped",
      after: "ignition-off",
      why: "The ignition stays on until the propeller has stopped: an engine that still turns burns what is left in it, and may yet be wanted.",
    },
  ],
  unfeather: [
    { before: "fuel-on", after: "starter", why: "Without fuel the starter only drains the battery." },
    { before: "ignition-on", after: "starter", why: "Without ignition it turns and does not fire." },
    { before: "throttle-set", after: "starter", why: "Open wide it races cold; set as for a start on the ground." },
    {
      before: "propeller-forward",
      after: "starter",
      why: "The propeller control leaves feather before the starter turns: feathered blades load the starter and the engine.",
    },
    { before: "starter", after: "warm-up", why: "It warms up once it runs." },
  ],
};

/** A fault of order. */
export interface OrderFault {
  readonly action: EngineAction;
  readonly missing: EngineAction;
  readonly why: string;
}

/**
 * What was done too early.
 *
 * @param done - in the order in which it was done
 * @returns faults in that order; empty when nothing came too early
 */
export function orderFaults(task: EngineTask, done: readonly EngineAction[]): OrderFault[] {
  return done.flatMap((action, i) =>
    RULES[task]
      .filter((rule) => rule.after === action && !done.slice(0, i).includes(rule.before))
      .map((rule) => ({ action, missing: rule.before, why: rule.why })),
  );
}
