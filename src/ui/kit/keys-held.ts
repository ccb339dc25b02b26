import { create } from "zustand";

/** While it is held the shell's keys do nothing: what runs has them. */
export const useKeysHeld = create<{ readonly held: boolean }>()(() => ({ held: false }));
