"use client";
import type { Load, LoadingPlan } from "@/core/aircraft/loading-plan";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { QuantityField } from "@/ui/kit/forms/QuantityField";
import { useFormat } from "@/ui/kit/units/units-store";
import { MOMENT_WORDS, loadChange, loadState } from "./load";
import { useSituation } from "./situation-store";
import { useAircraft } from "./useAircraft";

const MOMENTS = ["now", "failure", "landing"] as const;

/** Seats, baggage and fuel of the situation's aircraft. */
export function LoadFields({ plan, load, columns }: { plan: LoadingPlan; load: Load; columns: string }) {
  const { document } = useAircraft();
  const change = useSituation((state) => state.change);
  const format = useFormat();
  const set = (patch: Partial<Load>) => change(loadChange(document, { ...load, ...patch }));
  const state = loadState(document, load);
  const fuel_m3 = load.tanks.reduce((sum, tank) => sum + tank.volume_m3, 0);
  const upTo = (most_m3: number) => (value: number) =>
    value >= 0 && value <= most_m3 + 5e-4 ? null : `0 to ${format("volume", most_m3)}.`;
  return (
    <>
      <div className={`grid items-start gap-x-4 gap-y-2 ${columns}`}>
        {plan.stations.map((station) => (
          <QuantityField
            key={station.id}
            label={station.name}
            kind="mass"
            step={5}
            value={load.stations.find((entry) => entry.id === station.id)?.mass_kg ?? 0}
            check={(value) =>
              value >= 0 && value <= station.maximum_kg + 0.5 ? null : `0 to ${format("mass", station.maximum_kg)}.`
            }
            onChange={(mass_kg) =>
              set({
                stations: [...load.stations.filter((entry) => entry.id !== station.id), { id: station.id, mass_kg }],
              })
            }
            hint={`up to ${format("mass", station.maximum_kg)}`}
          />
        ))}
        {plan.tanks.map((tank) => (
          <QuantityField
            key={tank.id}
            label={tank.name}
            kind="volume"
            step={5}
            value={load.tanks.find((entry) => entry.id === tank.id)?.volume_m3 ?? 0}
            check={upTo(tank.capacity_m3)}
            onChange={(volume_m3) =>
              set({ tanks: [...load.tanks.filter((entry) => entry.id !== tank.id), { id: tank.id, volume_m3 }] })
            }
            hint={`holds ${format("volume", tank.capacity_m3)}`}
          />
        ))}
        <QuantityField
          label="Burnt until the failure"
          kind="volume"
          step={5}
          value={load.burntAtFailure_m3}
          check={upTo(fuel_m3)}
          onChange={(burntAtFailure_m3) =>
            set({ burntAtFailure_m3, burntAtLanding_m3: Math.max(load.burntAtLanding_m3, burntAtFailure_m3) })
          }
        />
        <QuantityField
          label="Burnt until the landing"
          kind="volume"
          step={5}
          value={load.burntAtLanding_m3}
          check={upTo(fuel_m3)}
          onChange={(burntAtLanding_m3) => set({ burntAtLanding_m3 })}
        />
        <ChoiceField
          label="Work with the mass"
          value={load.moment}
          onChange={(moment) => set({ moment })}
          choices={MOMENTS.map((value) => ({ value, label: MOMENT_WORDS[value] }))}
        />
      </div>
      {state?.fault && (
        <p role="alert" className="border-l-4 border-brick pl-2 text-brick">
          {state.fault} Mass and centre of gravity stay as they were.
        </p>
      )}
    </>
  );
}
