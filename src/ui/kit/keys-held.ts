import { create } from "zustand";

/** A key of what runs, and what it does. */
interface HeldKey {
  readonly key: string;
  readonly does: string;
}

/** While they are held the shell's keys do nothing: what runs has these instead. Null while nothing runs. */
export const useKeysHeld = create<{ readonly held: readonly HeldKey[] | null }>()(() => ({ held: null }));
