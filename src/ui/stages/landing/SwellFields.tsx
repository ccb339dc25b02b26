"use client";
import { Plus, Trash2 } from "lucide-react";
import { Ship, Swell } from "@/core/situation/landing-plan";
import { AngleField } from "@/ui/kit/forms/AngleField";
import { NumberField } from "@/ui/kit/forms/NumberField";
import { QuantityField } from "@/ui/kit/forms/QuantityField";
import { checkBy } from "@/ui/kit/forms/fault";
import { useLandingPlan } from "./useLandingPlan";

const heightCheck = checkBy(Swell.shape.height_m);
const periodCheck = checkBy(Swell.shape.period_s);
const fromCheck = checkBy(Swell.shape.from_rad);
const bearingCheck = checkBy(Ship.shape.bearing_rad);
const distanceCheck = checkBy(Ship.shape.distance_m);

/** Up to two swells and four ships. */
export function SwellFields() {
  const [{ swells, ships }, set] = useLandingPlan();
  const change = (i: number, patch: Partial<Swell>) =>
    set({ swells: swells.map((swell, index) => (index === i ? { ...swell, ...patch } : swell)) });
  const move = (i: number, patch: Partial<Ship>) =>
    set({ ships: ships.map((ship, index) => (index === i ? { ...ship, ...patch } : ship)) });
  return (
    <div className="flex flex-wrap items-end gap-x-8 gap-y-2">
      {swells.map((swell, i) => (
        <fieldset key={i} className="flex items-end gap-3">
          <legend className="sr-only">{i === 0 ? "Primary swell" : "Second swell"}</legend>
          <QuantityField
            label={i === 0 ? "Swell, high" : "Second, high"}
            kind="height"
            value={swell.height_m}
            digits={1}
            step={1}
            check={heightCheck}
            onChange={(height_m) => change(i, { height_m })}
          />
          <NumberField
            label="period"
            value={swell.period_s}
            unit="s"
            digits={0}
            step={1}
            check={periodCheck}
            onChange={(period_s) => change(i, { period_s })}
          />
          <AngleField
            label="from, true"
            value={swell.from_rad}
            step={10}
            check={fromCheck}
            onChange={(from_rad) => change(i, { from_rad })}
          />
          <button
            type="button"
            className="mb-1.5 rounded p-1 hover:bg-mark"
            aria-label={`Remove swell ${i + 1}`}
            onClick={() => set({ swells: swells.filter((_, index) => index !== i) })}
          >
            <Trash2 size={16} aria-hidden="true" />
          </button>
        </fieldset>
      ))}
      {ships.map((ship, i) => (
        <fieldset key={i} className="flex items-end gap-3">
          <legend className="sr-only">Ship {i + 1}</legend>
          <AngleField
            label={`Ship ${i + 1}, bearing`}
            value={ship.bearing_rad}
            step={10}
            check={bearingCheck}
            onChange={(bearing_rad) => move(i, { bearing_rad })}
          />
          <QuantityField
            label="away"
            kind="distance"
            value={ship.distance_m}
            digits={1}
            step={1}
            check={distanceCheck}
            onChange={(distance_m) => move(i, { distance_m })}
          />
          <button
            type="button"
            className="mb-1.5 rounded p-1 hover:bg-mark"
            aria-label={`Remove ship ${i + 1}`}
            onClick={() => set({ ships: ships.filter((_, index) => index !== i) })}
          >
            <Trash2 size={16} aria-hidden="true" />
          </button>
        </fieldset>
      ))}
      <div className="flex gap-2">
        <button
          type="button"
          className="btn btn-quiet"
          disabled={swells.length >= 2}
          onClick={() => set({ swells: [...swells, { height_m: 1, period_s: 6, from_rad: 0 }] })}
        >
          <Plus size={15} aria-hidden="true" /> Swell
        </button>
        <button
          type="button"
          className="btn btn-quiet"
          disabled={ships.length >= 4}
          onClick={() =>
            set({ ships: [...ships, { name: `Ship ${ships.length + 1}`, bearing_rad: 0, distance_m: 9260 }] })
          }
        >
          <Plus size={15} aria-hidden="true" /> Ship
        </button>
      </div>
    </div>
  );
}
