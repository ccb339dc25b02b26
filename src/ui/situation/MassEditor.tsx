"use client";
import dynamic from "next/dynamic";
import { clamp } from "@/core/numeric/clamp";
import { SituationDocument } from "@/core/situation/situation-document";
import { NumberField } from "@/ui/kit/forms/NumberField";
import { QuantityField } from "@/ui/kit/forms/QuantityField";
import { checkBy } from "@/ui/kit/forms/fault";
import { useAircraft } from "./useAircraft";
import { useFormat } from "@/ui/kit/units/units-store";
import { ChipEditor } from "./ChipEditor";
import { useSituation } from "./situation-store";
import { useChanged } from "./useChanged";
import { useLoadFault } from "./useLoadFault";

/** Seats and fuel come when the editor is opened. */
const LoadSection = dynamic(() => import("./LoadSection").then((module) => module.LoadSection), {
  loading: () => null,
});

const cgCheck = checkBy(SituationDocument.shape.centreOfGravity);

/** Mass and centre of gravity. */
export function MassEditor() {
  const { document } = useAircraft();
  const mass_kg = useSituation((state) => state.current.mass_kg);
  const centreOfGravity = useSituation((state) => state.current.centreOfGravity);
  const load = useSituation((state) => state.current.load);
  const change = useSituation((state) => state.change);
  const format = useFormat();
  const { minimum_kg, maximum_kg } = document.mass;
  const range = `${format("mass", minimum_kg)} to ${format("mass", maximum_kg)}`;
  // A gram of rounding on a typed limit in pounds is not a mass above it.
  const check = (value: number) => {
    if (value > maximum_kg + 0.5) return `Above the maximum mass of ${document.name}: ${range}.`;
    return value < minimum_kg - 0.5 ? `Below the minimum mass of ${document.name}: ${range}.` : null;
  };
  const { loading } = document;
  const fault = useLoadFault();
  const changed = useChanged("mass_kg", "centreOfGravity", "load");
  return (
    <ChipEditor
      label="Mass"
      value={fault ? "outside limits" : format("mass", mass_kg)}
      changed={changed}
      width={loading && load ? 440 : 280}
    >
      <QuantityField
        label="Mass"
        kind="mass"
        value={mass_kg}
        step={10}
        autoFocus
        check={check}
        onChange={(value) => change({ mass_kg: clamp(value, minimum_kg, maximum_kg), load: null })}
        hint={load ? `from seats and fuel; ${range}` : range}
      />
      <NumberField
        label="Centre of gravity, share from forward to aft limit"
        value={centreOfGravity * 100}
        unit="%"
        digits={0}
        step={10}
        check={(shown) => cgCheck(shown / 100) && "0 % is the forward limit, 100 % the aft limit."}
        onChange={(shown) => change({ centreOfGravity: shown / 100, load: null })}
        hint="Glides do not depend on it in this model; control on one engine does."
      />
      {loading && <LoadSection plan={loading} />}
    </ChipEditor>
  );
}
