"use client";
import { airAtAltitude, deviationAtStation_K } from "@/core/air/altimetry";
import { densityAltitude_m } from "@/core/air/atmosphere";
import { formatSi } from "@/core/quantities/units";
import { SituationDocument } from "@/core/situation/situation-document";
import { NumberField } from "@/ui/kit/forms/NumberField";
import { QuantityField } from "@/ui/kit/forms/QuantityField";
import { checkBy } from "@/ui/kit/forms/fault";
import { useFormat, useUnits } from "@/ui/kit/units/units-store";
import { Figure } from "@/ui/kit/working/Figure";
import { ChipEditor } from "./ChipEditor";
import { useSituation } from "./situation-store";
import { useChanged } from "./useChanged";

const qnhCheck = checkBy(SituationDocument.shape.air.shape.qnh_Pa);
const deviationCheck = checkBy(SituationDocument.shape.air.shape.deviation_K);

/** Pressure and temperature. */
export function AirEditor() {
  const air = useSituation((state) => state.current.air);
  const altitude_m = useSituation((state) => state.current.altitude_m);
  const change = useSituation((state) => state.change);
  const units = useUnits((state) => state.units);
  const format = useFormat();
  const set = (patch: Partial<typeof air>) => change((current) => ({ air: { ...current.air, ...patch } }));
  const seaLevel_K = airAtAltitude(0, air).temperature_K;
  const here = airAtAltitude(altitude_m, air);
  return (
    <ChipEditor
      label="Air"
      value={`${format("temperature", seaLevel_K)} ${formatSi("pressure", units.pressure, air.qnh_Pa)}`}
      changed={useChanged("air", "metar")}
      width={320}
    >
      <div className="grid grid-cols-2 gap-3">
        <QuantityField
          label="QNH"
          kind="pressure"
          value={air.qnh_Pa}
          autoFocus
          check={qnhCheck}
          onChange={(qnh_Pa) => set({ qnh_Pa })}
        />
        <QuantityField
          label="Temperature at sea level"
          kind="temperature"
          value={seaLevel_K}
          check={(value) => deviationCheck(deviationAtStation_K(value, 0, air.qnh_Pa))}
          onChange={(value) => set({ deviation_K: deviationAtStation_K(value, 0, air.qnh_Pa) })}
        />
        <NumberField
          label="Warmer than standard by"
          value={air.deviation_K}
          unit="°C"
          digits={0}
          step={1}
          check={deviationCheck}
          onChange={(deviation_K) => set({ deviation_K })}
        />
      </div>
      <p className="border-t border-rule pt-2">
        At your altitude: {format("temperature", here.temperature_K)}, density altitude{" "}
        <Figure
          title="Density altitude"
          figure="altitudeDensity_m"
          source={{ calculation: { name: "atmosphere", input: { altitude_m, ...air } } }}
        >
          {format("height", densityAltitude_m(here.density))}
        </Figure>
        .
      </p>
    </ChipEditor>
  );
}
