import { create } from "zustand";

/** The panels of the shell of which one at a time is open. */
export type DialogName = "commands" | "keys" | "situations" | "units" | "account" | "home" | "background";

interface DialogsState {
  readonly shown: DialogName | null;
  show(name: DialogName | null): void;
}

/** Which panel is open. */
export const useDialogs = create<DialogsState>()((set) => ({ shown: null, show: (shown) => set({ shown }) }));
