"use client";
import { usualLoad } from "@/core/aircraft/loading";
import type { LoadingPlan } from "@/core/aircraft/loading-plan";
import { LoadFields } from "./LoadFields";
import { loadChange } from "./load";
import { useSituation } from "./situation-store";
import { useAircraft } from "./useAircraft";

/** Seats and fuel under the mass: what is on board, or the way to it. */
export function LoadSection({ plan }: { plan: LoadingPlan }) {
  const { document } = useAircraft();
  const load = useSituation((state) => state.current.load);
  const change = useSituation((state) => state.change);
  return (
    <section className="flex flex-col gap-3 border-t border-rule pt-3" aria-label="Seats and fuel">
      {load ? (
        <LoadFields plan={plan} load={load} columns="grid-cols-2" />
      ) : (
        <button
          type="button"
          className="btn btn-quiet self-start"
          onClick={() => change(loadChange(document, usualLoad(plan)))}
        >
          From seats and fuel
        </button>
      )}
    </section>
  );
}
