// What can be flown: what ships, and of one's own what is sound.
import { type Issue, issuesOf } from "@/core/outcome";
import { WRITTEN, proceduresFor } from "@/core/procedure/library/procedures";
import { type AircraftCategory, Procedure } from "@/core/procedure/procedure";
import { procedureFaults } from "@/core/procedure/procedure-faults";
import { withCalls } from "@/core/procedure/with-calls";
import type { OwnDocument } from "@/server/own-documents";

/** Everything that keeps a procedure from being flown. */
export function flownFaults(procedure: Procedure): readonly Issue[] {
  const valid = Procedure.safeParse(procedure);
  if (!valid.success) return issuesOf(valid.error);
  const whole = withCalls(valid.data, WRITTEN);
  return whole.ok ? procedureFaults(whole.value) : [whole.issue];
}

/** As it is flown, with the steps of those that it calls; none where it is not sound. */
function flown(procedure: Procedure): readonly Procedure[] {
  const whole = withCalls(procedure, WRITTEN);
  return whole.ok && flownFaults(procedure).length === 0 ? [whole.value] : [];
}

/** Those that fit a kind of aircraft: what ships, then one’s own, what is edited as it stands now. */
export function flyable(
  category: AircraftCategory,
  own: readonly OwnDocument<Procedure>[] | null,
  draft: Procedure | null,
): readonly Procedure[] {
  const mine = [
    ...(draft ? [draft] : []),
    ...(own ?? []).map(({ document }) => document).filter(({ id }) => id !== draft?.id),
  ];
  const fit = mine.filter(({ fits }) => fits.includes(category)).flatMap(flown);
  // The first is flown unless another is chosen: what ships.
  return [...proceduresFor(category), ...fit];
}
