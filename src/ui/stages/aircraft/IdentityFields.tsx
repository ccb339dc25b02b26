"use client";
import { useQueryState } from "nuqs";
import { isAeroplane } from "@/core/aircraft/aircraft-kind";
import type { AircraftDocument } from "@/core/aircraft/aircraft-document";
import { newAircraft } from "@/core/aircraft/new-aircraft";
import { ofCategory } from "@/core/fitting/of-category";
import { asGyroplane, asHelicopter } from "@/core/fitting/rotorcraft-of-category";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { TextField } from "@/ui/kit/forms/TextField";
import { Group } from "./Group";
import { faultAt } from "./notes";
import { QuantityNote } from "./QuantityNote";
import { useEditedAircraft } from "./useEdited";

const CATEGORIES: readonly { value: AircraftDocument["category"]; label: string }[] = [
  { value: "single", label: "one engine" },
  { value: "twin", label: "piston twin" },
  { value: "jet", label: "jet" },
  { value: "helicopter", label: "helicopter" },
  { value: "gyroplane", label: "gyroplane" },
];

/** An aircraft as one of another kind; what both have stays. */
function ofKind(aircraft: AircraftDocument, category: AircraftDocument["category"]): AircraftDocument {
  if (category === "helicopter") return asHelicopter(aircraft);
  if (category === "gyroplane") return asGyroplane(aircraft);
  if (isAeroplane(aircraft)) return ofCategory(aircraft, category);
  const { name, description, speedUnit, mass } = aircraft;
  const blank = newAircraft(name);
  return ofCategory({ ...blank, description, speedUnit, mass: { ...blank.mass, ...mass } }, category);
}

/** What it is called, and of which kind it is. */
export function IdentityFields() {
  const edited = useEditedAircraft();
  const { document, change } = edited;
  const [, setView] = useQueryState("view");
  return (
    <Group title="Identity">
      <TextField
        label="Name"
        value={document.name}
        onChange={(name) => change((now) => ({ ...now, name }))}
        fault={faultAt(edited, "name")}
      />
      <ChoiceField
        label="Kind"
        value={document.category}
        onChange={(category) => {
          change((now) => ofKind(now, category));
          // Another kind has other views: one stays with the book.
          void setView("handbook");
        }}
        choices={CATEGORIES}
      />
      <ChoiceField
        label="Its airspeed indicator shows"
        value={document.speedUnit}
        onChange={(speedUnit) => change((now) => ({ ...now, speedUnit }))}
        choices={[
          { value: "kt", label: "kt" },
          { value: "mph", label: "mph" },
          { value: "kmh", label: "km/h" },
        ]}
      />
      <TextField
        label="Notes"
        value={document.description}
        onChange={(description) => change((now) => ({ ...now, description }))}
        fault={faultAt(edited, "description")}
      />
    </Group>
  );
}

/** The masses that it can have. */
export function MassFields() {
  const edited = useEditedAircraft();
  const { mass } = edited.document;
  const setMass = (patch: Partial<AircraftDocument["mass"]>) =>
    edited.change((now) => ({ ...now, mass: { ...now.mass, ...patch } }) as AircraftDocument);
  return (
    <>
      <QuantityNote
        edited={edited}
        label="Maximum mass"
        path="mass.maximum_kg"
        kind="mass"
        value={mass.maximum_kg}
        onChange={(maximum_kg) => setMass({ maximum_kg })}
        hint="for take-off"
      />
      <QuantityNote
        edited={edited}
        label="Minimum mass"
        path="mass.minimum_kg"
        kind="mass"
        value={mass.minimum_kg}
        onChange={(minimum_kg) => setMass({ minimum_kg })}
        hint="empty with a light pilot"
      />
      <QuantityNote
        edited={edited}
        label="Usual mass"
        path="mass.usual_kg"
        kind="mass"
        value={mass.usual_kg}
        onChange={(usual_kg) => setMass({ usual_kg })}
        hint="situations begin with it"
      />
    </>
  );
}
