// What differs between two procedures, step by step: for two versions, and for what one was made from.
import type { Procedure, Step } from "./procedure";

/** Something that differs. */
export interface ProcedureDifference {
  readonly kind: "added" | "removed" | "changed" | "moved";
  readonly id: string;
  readonly challenge: string;
  /** Of a change, what of the step, in the words of the document. */
  readonly fields: readonly string[];
}

/** What differs, in the order of the later one, then what is gone; steps are the same by their id. */
export function procedureDifferences(before: Procedure, after: Procedure): ProcedureDifference[] {
  const old = new Map(before.steps.map((step, i) => [step.id, { step, i }]));
  const kept = after.steps.filter(({ id }) => old.has(id));
  const inPlace = longestRising(kept.map(({ id }) => old.get(id)?.i ?? -1));
  const stays = new Set(kept.filter((_, i) => inPlace.has(i)).map(({ id }) => id));
  const differences = after.steps.flatMap((step): ProcedureDifference[] => {
    const was = old.get(step.id)?.step;
    const { id, challenge } = step;
    if (!was) return [{ kind: "added", id, challenge, fields: [] }];
    const fields = fieldsThatDiffer(was, step);
    return [
      ...(stays.has(id) ? [] : [{ kind: "moved" as const, id, challenge, fields: [] }]),
      ...(fields.length > 0 ? [{ kind: "changed" as const, id, challenge, fields }] : []),
    ];
  });
  const now = new Set(after.steps.map(({ id }) => id));
  const gone = before.steps.filter(({ id }) => !now.has(id));
  return [
    ...differences,
    ...gone.map(({ id, challenge }) => ({ kind: "removed" as const, id, challenge, fields: [] })),
  ];
}

function fieldsThatDiffer(before: Step, after: Step): string[] {
  const [was, is] = [before, after] as unknown as Record<string, unknown>[];
  return [...new Set([...Object.keys(was), ...Object.keys(is)])].filter(
    (field) => JSON.stringify(was[field]) !== JSON.stringify(is[field]),
  );
}

/** Indices of a longest rising part of a list without repeats: what is not in it has been moved. */
function longestRising(list: readonly number[]): Set<number> {
  const lengths: number[] = [];
  const previous: number[] = [];
  let best = -1;
  list.forEach((value, i) => {
    lengths[i] = 1;
    previous[i] = -1;
    for (let j = 0; j < i; j += 1)
      if (list[j] < value && lengths[j] + 1 > lengths[i]) {
        lengths[i] = lengths[j] + 1;
        previous[i] = j;
      }
    if (best < 0 || lengths[i] > lengths[best]) best = i;
  });
  const indices = new Set<number>();
  for (let i = best; i >= 0; i = previous[i]) indices.add(i);
  return indices;
}
