"use client";
import type { AircraftDocument } from "@/core/aircraft/aircraft-document";
import type { Outcome } from "@/core/outcome";
import type { BookResidual } from "@/core/rotor/fit-rounds";
import { BookResiduals } from "./BookResiduals";
import { FitFrame } from "./FitFrame";
import type { EditedOf } from "./useEdited";

/** The fit of a rotorcraft to its book: what the model makes of it now, and taking over what fits. */
export function RotorFit<T extends AircraftDocument>({
  edited: { document, change, faults },
  from,
  residuals,
  fit,
}: {
  edited: EditedOf<T>;
  from: string;
  residuals: (aircraft: T) => readonly BookResidual[];
  fit: (aircraft: T) => Outcome<{ readonly fitted: T }>;
}) {
  // A rotor that cannot be is not computed with.
  const sound = faults.length === 0;
  const take = () => {
    const found = fit(document);
    if (!found.ok) return found.issue.message;
    change(() => found.value.fitted);
    return undefined;
  };
  return (
    <FitFrame title="Fit to the handbook" from={from} onUse={sound ? take : null}>
      <BookResiduals rows={sound ? residuals(document) : []} />
    </FitFrame>
  );
}
