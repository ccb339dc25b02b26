"use client";
import { isAeroplane } from "@/core/aircraft/aircraft-kind";
import { RoutePlan } from "@/core/situation/route-plan";
import { useRoute } from "@/ui/answers/route-store";
import { CheckField } from "@/ui/kit/forms/CheckField";
import { QuantityField } from "@/ui/kit/forms/QuantityField";
import { checkBy } from "@/ui/kit/forms/fault";
import { useFormat } from "@/ui/kit/units/units-store";
import { ClearanceField, GlideSpeedField, ReserveField } from "@/ui/situation/ApproachFields";
import { useAircraft } from "@/ui/situation/useAircraft";
import { OneEngineFields } from "./OneEngineFields";
import { useSituation } from "@/ui/situation/situation-store";

const { shape } = RoutePlan;
const altitudeCheck = checkBy(shape.altitude_m);
const tasCheck = checkBy(shape.tas_mps);
const climbCheck = checkBy(shape.climb_mps);
const descentCheck = checkBy(shape.descent_mps);
const overheadCheck = checkBy(shape.overhead_m);
const leastCheck = checkBy(shape.places.shape.least_m);
const flowCheck = checkBy(shape.flow_m3ph);

/** Altitude and speeds, which places count, and what is wanted over them. */
export function RoutePlanFields() {
  const route = useSituation((state) => state.current.route);
  const change = useSituation((state) => state.change);
  const profile = useRoute((state) => state.route?.answer?.profile ?? null);
  const format = useFormat();
  const { document } = useAircraft();
  const winged = isAeroplane(document);
  const set = (patch: Partial<RoutePlan>) => change((current) => ({ route: { ...current.route, ...patch } }));
  const setPlaces = (patch: Partial<RoutePlan["places"]>) => set({ places: { ...route.places, ...patch } });
  return (
    <>
      <div className="grid grid-cols-2 gap-3">
        <QuantityField
          label="Altitude of the route"
          kind="height"
          value={route.altitude_m}
          step={500}
          autoFocus
          check={altitudeCheck}
          onChange={(altitude_m) => set({ altitude_m })}
        />
        <QuantityField
          label="True airspeed"
          kind="speed"
          value={route.tas_mps}
          step={5}
          check={tasCheck}
          onChange={(tas_mps) => set({ tas_mps })}
          onClear={() => set({ tas_mps: null })}
          hint={route.tas_mps === null && profile ? `its own: ${format("speed", profile.tas_mps)}` : undefined}
        />
        <QuantityField
          label="Rate of climb"
          kind="verticalSpeed"
          value={route.climb_mps}
          step={50}
          check={climbCheck}
          onChange={(climb_mps) => set({ climb_mps })}
          onClear={() => set({ climb_mps: null })}
          hint={route.climb_mps === null ? "its own, less with height" : undefined}
        />
        <QuantityField
          label="Rate of descent"
          kind="verticalSpeed"
          value={route.descent_mps}
          step={100}
          check={descentCheck}
          onChange={(descent_mps) => set({ descent_mps })}
          onClear={() => set({ descent_mps: null })}
          hint={
            route.descent_mps === null
              ? `usual: ${profile ? format("verticalSpeed", profile.descent_mps) : "by its kind"}`
              : undefined
          }
        />
        <QuantityField
          label="Fuel an hour"
          kind="volume"
          value={route.flow_m3ph}
          step={1}
          check={flowCheck}
          onChange={(flow_m3ph) => set({ flow_m3ph })}
          onClear={() => set({ flow_m3ph: null })}
          hint={route.flow_m3ph === null ? "not counted" : undefined}
        />
        <QuantityField
          label="Height wanted overhead"
          kind="height"
          value={route.overhead_m}
          step={100}
          check={overheadCheck}
          onChange={(overhead_m) => set({ overhead_m })}
        />
        <ReserveField label="Reserve besides" />
        <ClearanceField />
      </div>
      <fieldset className="flex flex-col gap-1">
        <legend className="text-sm text-ink2">Places that count</legend>
        <CheckField label="Runways" checked={route.places.runways} onChange={(runways) => setPlaces({ runways })} />
        <CheckField
          label="Surveyed fields"
          checked={route.places.fields}
          onChange={(fields) => setPlaces({ fields })}
        />
        <CheckField label="Beaches" checked={route.places.beaches} onChange={(beaches) => setPlaces({ beaches })} />
      </fieldset>
      {winged ? (
        <QuantityField
          label="Shortest that counts"
          kind="length"
          value={route.places.least_m}
          step={50}
          check={leastCheck}
          onChange={(least_m) => setPlaces({ least_m })}
        />
      ) : (
        <p className="text-sm text-ink2">
          A place counts where there is half as much room again as obstacle, flare and slide take.
        </p>
      )}
      <GlideSpeedField />
      {winged && document.asymmetric && <OneEngineFields />}
    </>
  );
}
