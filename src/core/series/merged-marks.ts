import type { CardMark } from "./test-card";

/**
 * Marks of two devices together: each once, taken back where either has taken it back. The order in which devices are
 * merged, and how often, makes no difference.
 */
export function mergedMarks(one: readonly CardMark[], other: readonly CardMark[]): CardMark[] {
  const byId = new Map<string, CardMark>();
  for (const mark of [...one, ...other]) {
    const there = byId.get(mark.id);
    byId.set(mark.id, there ? { ...there, removed: there.removed || mark.removed } : mark);
  }
  return [...byId.values()].sort((a, b) => a.at_ms - b.at_ms || a.id.localeCompare(b.id));
}
