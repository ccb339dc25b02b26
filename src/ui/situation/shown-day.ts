// Another day than the situation's, shown in its strip: that of a flight that is looked at again.
import { create } from "zustand";

/** The day of a flight, in words; null where it is not known. */
export interface ShownDay {
  readonly aircraft: string | null;
  readonly mass: string;
  readonly wind: string | null;
  readonly air: string | null;
}

interface ShownDayState {
  /** Null: there is none but the situation's. */
  readonly day: ShownDay | null;
  /** The situation's is looked at all the same. */
  readonly present: boolean;
  show(day: ShownDay | null): void;
  lookAt(present: boolean): void;
}

/** @see ShownDay */
export const useShownDay = create<ShownDayState>()((set) => ({
  day: null,
  present: false,
  show: (day) => set({ day }),
  lookAt: (present) => set({ present }),
}));
