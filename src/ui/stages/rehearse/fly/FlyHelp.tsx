"use client";
import { useState } from "react";
import type { AircraftDocument } from "@/core/aircraft/aircraft-document";
import type { FailureKind } from "@/core/simulation/trouble";
import { CheckField } from "@/ui/kit/forms/CheckField";
import { useFormat } from "@/ui/kit/units/units-store";
import { BankLimit } from "./BankLimit";
import { assist, failNow } from "./flight-lane";
import { OF_NONE, failsOn, failureWords, failuresOf, helpWords, speedToHold_mps } from "./fly-set-up";
import { useFly } from "./fly-store";

/** What helps, and what somebody beside lets fail: while it flies. */
export function FlyHelp({ aircraft, mass_kg }: { aircraft: AircraftDocument; mass_kg: number }) {
  const format = useFormat();
  const assistance = useFly((state) => state.assistance);
  const [kind, setKind] = useState<FailureKind>("starvation");
  const [side, setSide] = useState<0 | 1>(0);
  const words = helpWords(aircraft);
  const held = speedToHold_mps(aircraft, mass_kg);
  const two = aircraft.engines.count === 2 && !OF_NONE.includes(kind);
  return (
    <section className="grid gap-1 border-t border-rule px-4 py-2 text-[14px]" aria-label="Help and failures">
      <CheckField
        label={words.attitude}
        checked={assistance.attitude}
        onChange={(attitude) => void assist({ attitude })}
      />
      <CheckField label={words.ball} checked={assistance.ball} onChange={(ball) => void assist({ ball })} />
      <CheckField
        label={`The nose holds ${format("speed", held)}`}
        checked={assistance.speed_mps !== null}
        onChange={(on) => void assist({ speed_mps: on ? held : null })}
      />
      <BankLimit bank_rad={assistance.bank_rad} onChange={(bank_rad) => void assist({ bank_rad })} />
      <p className="flex items-center gap-1.5">
        <label className="min-w-0 flex-1">
          <span className="sr-only">What fails</span>
          <select
            className="field w-full py-0.5"
            value={kind}
            onChange={(event) => setKind(event.currentTarget.value as FailureKind)}
          >
            {failuresOf(aircraft).map((value) => (
              <option key={value} value={value}>
                {failureWords(value, aircraft)}
              </option>
            ))}
          </select>
        </label>
        {two && (
          <label>
            <span className="sr-only">Which engine</span>
            <select
              className="field py-0.5"
              value={side}
              onChange={(event) => setSide(event.currentTarget.value === "1" ? 1 : 0)}
            >
              <option value={0}>left</option>
              <option value={1}>right</option>
            </select>
          </label>
        )}
        <button type="button" className="btn py-0.5" onClick={() => void failNow(kind, failsOn(aircraft, kind, side))}>
          Fail
        </button>
      </p>
    </section>
  );
}
