import type { Actor, Step } from "@/core/procedure/procedure";

/** Alone one does what is everybody's; the confirmation is the other's. */
export const confirming = ({ actor, ...step }: Step): Actor =>
  step.kind === "set" && step.confirm === "other" ? (actor === "flying" ? "monitoring" : "flying") : actor;
