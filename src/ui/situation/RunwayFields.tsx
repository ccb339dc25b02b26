"use client";
import { departureRunways } from "@/core/departure/departure-question";
import { DeparturePlan } from "@/core/situation/departure-plan";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { QuantityField } from "@/ui/kit/forms/QuantityField";
import { checkBy } from "@/ui/kit/forms/fault";
import { useLandingEnds } from "@/ui/situation/useNearPlaces";
import { useSituation } from "@/ui/situation/situation-store";
import { useAeroplane } from "@/ui/situation/useAircraftOfKind";

const intersectionCheck = checkBy(DeparturePlan.shape.intersection_m);

/** Where the take-off begins, and with which flap: the same for one engine and for two. */
export function RunwayFields({ autoFocus = false }: { autoFocus?: boolean }) {
  const plan = useSituation((state) => state.current.departure);
  const position = useSituation((state) => state.current.position);
  const wind = useSituation((state) => state.current.wind);
  const change = useSituation((state) => state.change);
  const flaps = useAeroplane().document.polar?.flaps ?? [];
  const ends = useLandingEnds();
  const runways = departureRunways({ position, wind }, ends);
  const others = ends.filter((end) => !end.unprepared && !runways.some((runway) => runway.id === end.id));
  const set = (patch: Partial<DeparturePlan>) =>
    change((current) => ({ departure: { ...current.departure, ...patch } }));
  return (
    <>
      <ChoiceField
        label="Runway"
        value={plan.endId ?? ""}
        autoFocus={autoFocus}
        onChange={(id) => set({ endId: id === "" ? null : id })}
        choices={[
          { value: "", label: `into the wind${runways[0] ? `: ${runways[0].name}` : ""}` },
          ...[...runways, ...others].map((end) => ({ value: end.id, label: end.name })),
        ]}
      />
      <QuantityField
        label="Intersection, from its beginning"
        kind="length"
        value={plan.intersection_m}
        step={50}
        check={intersectionCheck}
        onChange={(intersection_m) => set({ intersection_m })}
      />
      <ChoiceField
        label="Flap"
        value={plan.flap === null ? "" : String(plan.flap)}
        onChange={(flap) => set({ flap: flap === "" ? null : Number(flap) })}
        choices={[
          { value: "", label: "its take-off flap" },
          ...flaps.map((flap, i) => ({ value: String(i), label: flap.name })),
        ]}
      />
    </>
  );
}
