import type { Aeroplane } from "@/core/aircraft/aeroplane";

type DeadPropeller = NonNullable<NonNullable<Aeroplane["polar"]>["deadPropeller"]>;

/** What a propeller's blades can do. */
export const PROPELLER_KINDS = [
  { value: "fixed", label: "fixed pitch" },
  { value: "constant-speed", label: "constant speed" },
  { value: "feathering", label: "feathering" },
] as const;
/** @see PROPELLER_KINDS */
export type PropellerKind = (typeof PROPELLER_KINDS)[number]["value"];

/** What a kind of propeller drags less than windmilling, as a share of it. Common practice, until it is measured. */
const COARSE_SHARE = 0.65;
const FEATHERED_SHARE = 0.1;

/** The kind that a document's dead propeller is of. */
export function propellerKind({ coarse, feathered }: DeadPropeller): PropellerKind {
  return feathered !== null ? "feathering" : coarse !== null ? "constant-speed" : "fixed";
}

/** Drag of a dead propeller of another kind: what it can now do is usual until typed, what it cannot do goes. */
export function ofPropellerKind(propeller: DeadPropeller, kind: PropellerKind): DeadPropeller {
  const { windmilling } = propeller;
  return {
    ...propeller,
    coarse: kind === "fixed" ? null : (propeller.coarse ?? windmilling * COARSE_SHARE),
    feathered: kind === "feathering" ? (propeller.feathered ?? windmilling * FEATHERED_SHARE) : null,
  };
}
