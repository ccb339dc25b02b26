import { useMemo } from "react";
import { create } from "zustand";
import { createJSONStorage, persist } from "zustand/middleware";
import { accountStorage } from "../kept";
import {
  DEFAULT_UNITS,
  type QuantityKind,
  type Rounding,
  UNITS,
  type UnitChoice,
  formatSi,
} from "@/core/quantities/units";

interface UnitsState {
  readonly units: UnitChoice;
  /** Unknown kinds and units change nothing: they come from stored choices too. */
  choose(kind: string, unit: string): void;
  reset(): void;
}

/** The user's units, kept in the browser. */
export const useUnits = create<UnitsState>()(
  persist(
    (set) => ({
      units: DEFAULT_UNITS,
      choose: (kind, unit) =>
        set((state) =>
          kind in UNITS && unit in UNITS[kind as QuantityKind] ? { units: { ...state.units, [kind]: unit } } : state,
        ),
      reset: () => set({ units: DEFAULT_UNITS }),
    }),
    { name: "units", storage: createJSONStorage(() => accountStorage), skipHydration: true },
  ),
);

/** Puts an SI value into words of the user's units: `format("height", 300)` is "980 ft". */
export type Format = (kind: QuantityKind, si: number, rounding?: Rounding) => string;

/** The formatter of some units. */
export function formatIn(units: UnitChoice): Format {
  return (kind, si, rounding) => formatSi(kind, units[kind], si, rounding);
}

/** The formatter of the user's units. */
export function useFormat(): Format {
  const units = useUnits((state) => state.units);
  return useMemo(() => formatIn(units), [units]);
}
