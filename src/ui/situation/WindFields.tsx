"use client";
import { Plus, Trash2 } from "lucide-react";
import { WindLayer, type WindColumn } from "@/core/air/wind";
import { AngleField } from "@/ui/kit/forms/AngleField";
import { CheckField } from "@/ui/kit/forms/CheckField";
import { QuantityField } from "@/ui/kit/forms/QuantityField";
import { checkBy } from "@/ui/kit/forms/fault";
import { MetarField } from "./MetarField";
import { useSituation } from "./situation-store";

const fromCheck = checkBy(WindLayer.shape.from_rad);
const speedCheck = checkBy(WindLayer.shape.speed_mps);
const altitudeCheck = checkBy(WindLayer.shape.altitude_m);

/** Wind at the ground and aloft, typed or from a report. */
export function WindFields() {
  const wind = useSituation((state) => state.current.wind);
  const change = useSituation((state) => state.change);
  const set = (patch: Partial<WindColumn>) =>
    change((current) => ({ wind: { ...current.wind, ...patch }, ...(patch.layers ? { aloftAt: null } : {}) }));
  const setLayer = (i: number, patch: Partial<WindLayer>) =>
    set({ layers: wind.layers.map((layer, index) => (index === i ? { ...layer, ...patch } : layer)) });
  const highest = Math.max(0, ...wind.layers.map((layer) => layer.altitude_m));
  return (
    <>
      <MetarField />
      <fieldset className="flex flex-col gap-2 border-t border-rule pt-3">
        <legend className="sr-only">Wind at the surface</legend>
        <CheckField
          label="Surface wind, 10 m above ground"
          checked={wind.surface !== null}
          onChange={(known) => set({ surface: known ? { from_rad: 0, speed_mps: 0 } : null })}
        />
        {wind.surface && (
          <div className="grid grid-cols-3 gap-3">
            <AngleField
              label="From, true"
              value={wind.surface.from_rad}
              step={10}
              check={fromCheck}
              onChange={(from_rad) => wind.surface && set({ surface: { ...wind.surface, from_rad } })}
            />
            <QuantityField
              label="Speed"
              kind="speed"
              value={wind.surface.speed_mps}
              check={speedCheck}
              onChange={(speed_mps) => wind.surface && set({ surface: { ...wind.surface, speed_mps } })}
            />
          </div>
        )}
      </fieldset>
      <fieldset className="flex flex-col gap-2 border-t border-rule pt-3">
        <legend className="sr-only">Wind aloft</legend>
        <p className="text-sm text-ink2">
          Aloft. Between layers the wind is joined as vectors; below the lowest it follows the 1/7 law.
        </p>
        {wind.layers.map((layer, i) => (
          <div key={i} className="grid grid-cols-[1fr_1fr_1fr_auto] items-end gap-3">
            <QuantityField
              label="Altitude"
              kind="height"
              value={layer.altitude_m}
              step={500}
              check={altitudeCheck}
              onChange={(altitude_m) => setLayer(i, { altitude_m })}
            />
            <AngleField
              label="From, true"
              value={layer.from_rad}
              step={10}
              check={fromCheck}
              onChange={(from_rad) => setLayer(i, { from_rad })}
            />
            <QuantityField
              label="Speed"
              kind="speed"
              value={layer.speed_mps}
              check={speedCheck}
              onChange={(speed_mps) => setLayer(i, { speed_mps })}
            />
            <button
              type="button"
              className="mb-1.5 rounded p-1 hover:bg-mark"
              aria-label={`Remove layer ${i + 1}`}
              onClick={() => set({ layers: wind.layers.filter((_, index) => index !== i) })}
            >
              <Trash2 size={16} aria-hidden="true" />
            </button>
          </div>
        ))}
        <button
          type="button"
          className="btn btn-quiet self-start"
          disabled={wind.layers.length >= 20}
          onClick={() =>
            set({
              layers: [
                ...wind.layers,
                {
                  altitude_m: highest + 914.4,
                  from_rad: wind.surface?.from_rad ?? 0,
                  speed_mps: wind.surface?.speed_mps ?? 0,
                },
              ],
            })
          }
        >
          <Plus size={15} aria-hidden="true" /> Add a layer
        </button>
      </fieldset>
    </>
  );
}
