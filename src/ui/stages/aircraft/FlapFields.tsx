"use client";
import { Plus, Trash2 } from "lucide-react";
import type { Aeroplane } from "@/core/aircraft/aeroplane";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { NumberField } from "@/ui/kit/forms/NumberField";
import { TextField } from "@/ui/kit/forms/TextField";
import { Coefficient } from "./Coefficient";
import { Group } from "./Group";
import { faultAt, noteAt } from "./notes";
import { QuantityNote } from "./QuantityNote";
import type { Edited } from "./useEdited";

type Polar = NonNullable<Aeroplane["polar"]>;

/** Most flap settings and drag items that a document has. */
const MOST_FLAPS = 8;
const MOST_ITEMS = 12;

/** Flap settings and things that can be open, each with its drag and limit. */
export function FlapFields({ edited }: { edited: Edited }) {
  const { document, change } = edited;
  const { polar, limits } = document;
  if (!polar) return null;
  const setPolar = (next: (polar: Polar) => Partial<Polar>) =>
    change((now) => (now.polar ? { ...now, polar: { ...now.polar, ...next(now.polar) } } : now));
  const setFlap = (i: number, patch: Partial<Polar["flaps"][number]>) =>
    setPolar((now) => ({ flaps: now.flaps.map((flap, index) => (index === i ? { ...flap, ...patch } : flap)) }));
  const setLimit = (i: number, value: number | null) =>
    change((now) => ({
      ...now,
      limits: {
        ...now.limits,
        vfe_mps: Array.from({ length: Math.max(now.limits.vfe_mps.length, i + 1) }, (_, index) =>
          index === i ? value : (now.limits.vfe_mps[index] ?? null),
        ),
      },
    }));
  const names = polar.flaps.map((flap, i) => ({ value: String(i), label: flap.name }));
  return (
    <>
      <Group title="Flap, from up to landing">
        {polar.flaps.map((flap, i) => (
          <div key={i} className="col-span-full grid grid-cols-[1fr_1fr_1fr_1fr_auto] items-start gap-x-4">
            <TextField
              label={`Flap ${i + 1}`}
              value={flap.name}
              onChange={(name) => setFlap(i, { name })}
              fault={faultAt(edited, `polar.flaps.${i}.name`)}
            />
            <NumberField
              label="CLmax"
              value={flap.clMax}
              unit=""
              digits={2}
              step={0.05}
              check={(value) => (value > 0 ? null : "More than 0.")}
              onChange={(clMax) => setFlap(i, { clMax })}
              hint={noteAt(edited, `polar.flaps.${i}.clMax`)}
            />
            <Coefficient
              edited={edited}
              label="ΔCD"
              path={`polar.flaps.${i}.deltaCd`}
              value={flap.deltaCd}
              onChange={(deltaCd) => setFlap(i, { deltaCd })}
            />
            {i > 0 ? (
              <QuantityNote
                edited={edited}
                label="V_FE"
                path={`limits.vfe_mps.${i}`}
                kind="speed"
                value={limits.vfe_mps[i] ?? null}
                hint="with it out"
                onChange={(value) => setLimit(i, value)}
                onClear={() => setLimit(i, null)}
              />
            ) : (
              <span />
            )}
            <button
              type="button"
              className="mt-6 rounded p-1.5 hover:bg-mark disabled:opacity-40"
              disabled={polar.flaps.length < 2 || i === 0}
              aria-label={`Remove flap ${flap.name}`}
              onClick={() => removeFlap(change, i)}
            >
              <Trash2 size={15} aria-hidden="true" />
            </button>
          </div>
        ))}
        <ChoiceField
          label="Take-off with"
          value={String(polar.takeOffFlap)}
          onChange={(flap) => setPolar(() => ({ takeOffFlap: Number(flap) }))}
          choices={names}
        />
        <ChoiceField
          label="Landing with"
          value={String(polar.landingFlap)}
          onChange={(flap) => setPolar(() => ({ landingFlap: Number(flap) }))}
          choices={names}
        />
        <button
          type="button"
          className="btn btn-quiet mt-5 self-start"
          disabled={polar.flaps.length >= MOST_FLAPS}
          onClick={() =>
            setPolar((now) => ({
              flaps: [...now.flaps, { ...now.flaps[now.flaps.length - 1], name: `flap ${now.flaps.length}` }],
            }))
          }
        >
          <Plus size={15} aria-hidden="true" /> Flap setting
        </button>
      </Group>
      <Group title="Things that can be open">
        {polar.items.map((item, i) => (
          <div key={item.id} className="col-span-2 grid grid-cols-[1fr_1fr_auto] items-start gap-x-4">
            <TextField
              label="Name"
              value={item.name}
              onChange={(name) =>
                setPolar((now) => ({
                  items: now.items.map((entry, index) => (index === i ? { ...entry, name } : entry)),
                }))
              }
              fault={faultAt(edited, `polar.items.${i}.name`)}
            />
            <Coefficient
              edited={edited}
              label="ΔCD"
              path={`polar.items.${i}.deltaCd`}
              value={item.deltaCd}
              onChange={(deltaCd) =>
                setPolar((now) => ({
                  items: now.items.map((entry, index) => (index === i ? { ...entry, deltaCd } : entry)),
                }))
              }
            />
            <button
              type="button"
              className="mt-6 rounded p-1.5 hover:bg-mark"
              aria-label={`Remove ${item.name}`}
              onClick={() => setPolar((now) => ({ items: now.items.filter((_, index) => index !== i) }))}
            >
              <Trash2 size={15} aria-hidden="true" />
            </button>
          </div>
        ))}
        <button
          type="button"
          className="btn btn-quiet self-start"
          disabled={polar.items.length >= MOST_ITEMS}
          onClick={() =>
            setPolar((now) => ({
              items: [
                ...now.items,
                { id: freeId(now.items.map((item) => item.id)), name: "Door open", deltaCd: 0.005 },
              ],
            }))
          }
        >
          <Plus size={15} aria-hidden="true" /> Drag item
        </button>
      </Group>
    </>
  );
}

/** A flap taken out, its limit with it, and what pointed at it or beyond moved along. */
function removeFlap(change: Edited["change"], i: number): void {
  const moved = (flap: number) => (flap >= i ? Math.max(flap - 1, 0) : flap);
  change((now) =>
    now.polar
      ? {
          ...now,
          polar: {
            ...now.polar,
            flaps: now.polar.flaps.filter((_, index) => index !== i),
            takeOffFlap: moved(now.polar.takeOffFlap),
            landingFlap: moved(now.polar.landingFlap),
          },
          limits: { ...now.limits, vfe_mps: now.limits.vfe_mps.filter((_, index) => index !== i) },
        }
      : now,
  );
}

function freeId(taken: readonly string[]): string {
  let i = 1;
  while (taken.includes(`item-${i}`)) i += 1;
  return `item-${i}`;
}
