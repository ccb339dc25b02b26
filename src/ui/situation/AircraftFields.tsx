"use client";
import { isAeroplane } from "@/core/aircraft/aircraft-kind";
import { PropellerState } from "@/core/aircraft/propeller-state";
import { firstConfiguration } from "@/core/aircraft/configuration";
import { CheckField } from "@/ui/kit/forms/CheckField";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { NumberField } from "@/ui/kit/forms/NumberField";
import { checkBy } from "@/ui/kit/forms/fault";
import { Configuration } from "@/core/aircraft/configuration";
import { useLibraryAircraft } from "@/ui/library/library-aircraft";
import { useAircraft } from "./useAircraft";
import { useSituation } from "./situation-store";

const PROPELLER_WORDS: Record<PropellerState, string> = {
  windmilling: "windmilling",
  stopped: "stopped",
  coarse: "coarse pitch",
  feathered: "feathered",
  none: "does not matter",
};
const slipCheck = checkBy(Configuration.shape.slip);

/** Which aircraft, and what of it is out, open or turning. */
export function AircraftFields() {
  const aircraft = useLibraryAircraft();
  const { id, document } = useAircraft();
  const configuration = useSituation((state) => state.current.configuration);
  const change = useSituation((state) => state.change);
  const polar = isAeroplane(document) ? document.polar : null;
  const set = (patch: Partial<Configuration>) =>
    change((current) => ({ configuration: { ...current.configuration, ...patch } }));
  const choose = (aircraftId: string) => {
    const next = aircraft.find((candidate) => candidate.id === aircraftId)?.document;
    // Another aircraft starts as its dead engine leaves it, at its usual mass: nothing of the old one's fits.
    if (next) {
      change(({ landing, departure }) => ({
        aircraftId,
        mass_kg: next.mass.usual_kg,
        load: null,
        configuration: firstConfiguration(next),
        landing: { ...landing, flap: null },
        departure: { ...departure, flap: null, landingFlap: null, climb_mps: null },
      }));
    }
  };
  const propellers = PropellerState.options.filter(
    (state) => state !== "none" && (polar?.deadPropeller?.[state] ?? null) !== null,
  );

  return (
    <>
      <ChoiceField
        label="Aircraft"
        value={id}
        autoFocus
        onChange={choose}
        choices={aircraft.map((entry) => ({ value: entry.id, label: entry.document.name }))}
        hint={document.description}
      />
      {polar ? (
        <>
          {propellers.length > 0 && (
            <ChoiceField
              label="Propeller of the dead engine"
              value={configuration.propeller}
              onChange={(propeller) => set({ propeller })}
              choices={propellers.map((value) => ({ value, label: PROPELLER_WORDS[value] }))}
            />
          )}
          <ChoiceField
            label="Flap"
            value={String(configuration.flap)}
            onChange={(flap) => set({ flap: Number(flap) })}
            choices={polar.flaps.map((flap, i) => ({ value: String(i), label: flap.name }))}
          />
          <CheckField
            label={polar.gear.retractable ? "Gear down" : "Gear down (fixed)"}
            checked={configuration.gearDown}
            disabled={!polar.gear.retractable}
            onChange={(gearDown) => set({ gearDown })}
          />
          {polar.items.map((item) => (
            <CheckField
              key={item.id}
              label={item.name}
              checked={configuration.items.includes(item.id)}
              onChange={(open) =>
                set({
                  items: open
                    ? [...configuration.items, item.id]
                    : configuration.items.filter((entry) => entry !== item.id),
                })
              }
            />
          ))}
          <NumberField
            label="Sideslip, share of a full slip"
            value={configuration.slip * 100}
            unit="%"
            digits={0}
            step={10}
            check={(shown) => slipCheck(shown / 100) && "Slip is 0 to 100 %."}
            onChange={(shown) => set({ slip: shown / 100 })}
          />
        </>
      ) : (
        isAeroplane(document) && <p className="text-ink2">Before its book is fitted it has nothing to set.</p>
      )}
    </>
  );
}
