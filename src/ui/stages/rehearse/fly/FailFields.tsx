import type { AircraftDocument } from "@/core/aircraft/aircraft-document";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { QuantityField } from "@/ui/kit/forms/QuantityField";
import { type FailsAt, type FlyChoice, HOVER, failsAt, failsOn, rollSpeed_mps } from "./fly-set-up";
import { useFly } from "./fly-store";

interface Props {
  aircraft: AircraftDocument;
  chosen: FlyChoice;
  takesOff: boolean;
  /** Above the ground, where it begins in the air, m. */
  begins_m: number;
}

/** When something fails, and of which engine. */
export function FailFields({ aircraft, chosen, takesOff, begins_m }: Props) {
  const { choose } = useFly.getState();
  const when = failsAt(chosen, takesOff);
  const atHeight = when === "down" || (takesOff && (when === "set" || when === "surprise"));
  return (
    <>
      <ChoiceField
        label="When"
        value={when}
        onChange={(value) => choose({ when: value })}
        choices={whenChoices(aircraft, takesOff, chosen.from === HOVER)}
      />
      {when === "roll" && (
        <QuantityField
          label="Speed on the roll, as it is read"
          kind="speed"
          value={rollSpeed_mps(aircraft, chosen)}
          check={(value) => (value >= 5 && value <= 100 ? null : "From 10 to 190 kt.")}
          onChange={(roll_mps) => choose({ roll_mps })}
        />
      )}
      {atHeight && (
        <QuantityField
          label={takesOff ? "Height above the runway" : "Height above the ground"}
          kind="height"
          value={chosen.height_m}
          check={(value) => (value >= 15 && value <= 1500 ? null : "From 50 to 5 000 ft.")}
          onChange={(height_m) => choose({ height_m })}
          hint={when === "down" && begins_m <= chosen.height_m ? "It begins lower: it fails at once." : undefined}
        />
      )}
      {chosen.failure !== "none" && failsOn(aircraft, chosen.failure, 1) === 1 && (
        <ChoiceField
          label="Engine"
          value={chosen.engine}
          onChange={(engine) => choose({ engine })}
          choices={[
            { value: "either", label: "one of the two" },
            { value: "left", label: "left" },
            { value: "right", label: "right" },
          ]}
        />
      )}
    </>
  );
}

/** When something may fail, by how it begins. */
function whenChoices(
  aircraft: AircraftDocument,
  takesOff: boolean,
  hovers: boolean,
): readonly { readonly value: FailsAt; readonly label: string }[] {
  const surprise = { value: "surprise", label: "as a surprise" } as const;
  if (!takesOff)
    return [
      { value: "set", label: "in three seconds" },
      ...(hovers ? [] : [{ value: "down", label: "at a height on the way down" } as const]),
      surprise,
    ];
  const rolls = aircraft.category !== "helicopter";
  return [
    ...(rolls ? [{ value: "roll", label: "on the roll, at a speed" } as const] : []),
    { value: "off", label: "as it has left the ground" },
    { value: "set", label: "at a height" },
    surprise,
  ];
}
