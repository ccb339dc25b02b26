import type { TerrainGrid } from "@/core/earth/terrain";

interface Kept<T> {
  readonly key: string;
  readonly terrain: TerrainGrid | null;
  readonly value: T;
}

/** Something worked out once for what it depends on. */
export function kept<T>(): (key: string, terrain: TerrainGrid | null, work: () => T) => T {
  let last: Kept<T> | null = null;
  return (key, terrain, work) => {
    if (last?.key !== key || last.terrain !== terrain) last = { key, terrain, value: work() };
    return last.value;
  };
}
