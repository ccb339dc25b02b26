"use client";
import { useState } from "react";
import { LatLon } from "@/core/earth/geodesic";
import { degrees, threeFigures, wrapTurn } from "@/core/quantities/angle";
import { SituationDocument } from "@/core/situation/situation-document";
import { AngleField } from "@/ui/kit/forms/AngleField";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { NumberField } from "@/ui/kit/forms/NumberField";
import { QuantityField } from "@/ui/kit/forms/QuantityField";
import { checkBy } from "@/ui/kit/forms/fault";
import { useWorkspace } from "@/ui/library/workspace";
import { useSituation } from "./situation-store";
import { useVariation } from "./useVariation";

const altitudeCheck = checkBy(SituationDocument.shape.altitude_m);
const headingCheck = checkBy(SituationDocument.shape.heading_rad);
const latitudeCheck = checkBy(LatLon.shape.latitude_deg);
const longitudeCheck = checkBy(LatLon.shape.longitude_deg);
const dayCheck = (text: string) =>
  SituationDocument.shape.day.safeParse(text).success ? null : "A day is written 2026-11-24.";

/** Where, how high, which way; terrain and magnetic variation of the place. */
export function PlaceFields() {
  const { terrains } = useWorkspace().library;
  const { position, altitude_m, heading_rad, day, terrainId } = useSituation((state) => state.current);
  const change = useSituation((state) => state.change);
  const variation = useVariation();
  const lean_rad = variation?.variation_rad ?? 0;
  return (
    <>
      <div className="grid grid-cols-2 gap-3">
        <QuantityField
          label="Altitude above sea level"
          kind="height"
          value={altitude_m}
          step={100}
          autoFocus
          check={altitudeCheck}
          onChange={(value) => change({ altitude_m: value })}
        />
        <AngleField
          label="Heading, magnetic"
          value={wrapTurn(heading_rad - lean_rad)}
          check={headingCheck}
          onChange={(value) => change({ heading_rad: wrapTurn(value + lean_rad) })}
          hint={variation ? `${threeFigures(heading_rad)}° true` : "variation not known yet: true"}
        />
        <NumberField
          label="Latitude, north +"
          value={position.latitude_deg}
          unit="°"
          digits={4}
          step={0.01}
          check={latitudeCheck}
          onChange={(latitude_deg) => change({ position: { ...position, latitude_deg } })}
        />
        <NumberField
          label="Longitude, east +"
          value={position.longitude_deg}
          unit="°"
          digits={4}
          step={0.01}
          check={longitudeCheck}
          onChange={(longitude_deg) => change({ position: { ...position, longitude_deg } })}
        />
      </div>
      <p className="text-sm text-ink2">Or drag the aircraft on the map; its handle turns the heading.</p>
      <ChoiceField
        label="Terrain"
        value={terrainId ?? ""}
        onChange={(id) => change({ terrainId: id === "" ? null : id })}
        choices={[
          { value: "", label: "none (paths are not checked against ground)" },
          ...terrains.map((terrain) => ({ value: terrain.id, label: terrain.name })),
        ]}
      />
      <DayField value={day} onChange={(value) => change({ day: value })} />
      {variation && (
        <p className={variation.warning ? "text-sm text-ochre" : "text-sm text-ink2"}>
          Magnetic variation {Math.abs(degrees(variation.variation_rad)).toFixed(1)}°{" "}
          {variation.variation_rad >= 0 ? "east" : "west"}, {variation.model}, epoch {variation.epoch_year}.
          {variation.warning && ` Caution: ${variation.warning}`}
        </p>
      )}
    </>
  );
}

function DayField({ value, onChange }: { value: string; onChange: (value: string) => void }) {
  const [typed, setTyped] = useState<string | null>(null);
  const fault = typed === null ? null : dayCheck(typed);
  return (
    <label className="block text-sm text-ink2">
      Day, for magnetic variation
      <input
        type="date"
        className="field num mt-0.5"
        value={typed ?? value}
        aria-invalid={fault ? true : undefined}
        onChange={(event) => {
          setTyped(event.currentTarget.value);
          if (!dayCheck(event.currentTarget.value)) onChange(event.currentTarget.value);
        }}
        onBlur={() => setTyped(null)}
      />
      {fault && (
        <span role="alert" className="text-brick">
          {fault}
        </span>
      )}
    </label>
  );
}
