import { create } from "zustand";
import { persist } from "zustand/middleware";
import { DEFAULT_UNITS, type QuantityKind, UNITS, type UnitChoice, formatSi } from "@/core/quantities/units";

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
      choose: (kind, unit) => set((state) => (kind in UNITS && unit in UNITS[kind as QuantityKind] ? { units: { ...state.units, [kind]: unit } } : state)),
      reset: () => set({ units: DEFAULT_UNITS }),
    }),
    { name: "utrimax:units", skipHydration: true },
  ),
);

/** Formats SI values in the user's units: `format("height", 300)` is "980 ft". */
export function useFormat(): (kind: QuantityKind, si: number) => string {
  const units = useUnits((state) => state.units);
  return (kind, si) => formatSi(kind, units[kind], si);
}
