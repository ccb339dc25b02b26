"use client";
import { useState } from "react";
import { fromSi, toSi } from "@/core/quantities/units";
import { useUnits } from "@/ui/kit/units/units-store";
import type { Flying } from "../drill/drill-store";
import { NoteForm } from "./NoteForm";
import { useCrew } from "./crew-store";

/** What an instructor may do: warnings, another height or rate, the other engine gone too, a note at this moment. */
export function InstructorPanel({ flying }: { flying: Flying }) {
  const { act } = useCrew.getState();
  const unit = useUnits((state) => state.units.height);
  const [height, setHeight] = useState("");
  const { procedure } = flying.run;
  const { warnings } = flying.state.drill;
  const height_m = toSi("height", unit, Number(height));
  const rateUnit = useUnits((state) => state.units.verticalSpeed);
  const [rate, setRate] = useState("");
  const climb_mps = toSi("verticalSpeed", rateUnit, Number(rate));
  const rateFits = rate.trim() !== "" && Math.abs(climb_mps) <= 100;
  const { without_mps = null } = flying.run;
  const heightFits = height.trim() !== "" && height_m >= 0 && height_m <= 20_000;
  const names = [...new Set([...procedure.warnings, "fire", "oil pressure", "fuel pressure"])];
  return (
    <section
      className="flex flex-wrap items-end gap-x-8 gap-y-2 bg-paper px-5 py-3 text-[14px]"
      aria-label="Instructor"
    >
      <fieldset>
        <legend className="text-sm text-ink2">Warnings</legend>
        <div className="flex gap-2">
          {names.map((name) => {
            const on = warnings.includes(name);
            return (
              <button
                key={name}
                type="button"
                className="btn"
                aria-pressed={on}
                onClick={() => void act({ kind: "hand", event: { type: "warning", name, on: !on } })}
              >
                {name} {on ? "off" : "on"}
              </button>
            );
          })}
        </div>
      </fieldset>
      <form
        className="flex items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (heightFits) void act({ kind: "height", height_m }).then(() => setHeight(""));
        }}
      >
        <label>
          <span className="mb-0.5 block text-sm text-ink2">Height above ground, {unit}</span>
          <input
            className="field num w-32"
            inputMode="numeric"
            maxLength={6}
            placeholder={String(Math.round(fromSi("height", unit, flying.state.drill.flown.height_m)))}
            value={height}
            onChange={(event) => setHeight(event.currentTarget.value)}
          />
        </label>
        <button type="submit" className="btn" aria-label="Give the height" disabled={!heightFits}>
          Give
        </button>
      </form>
      <form
        className="flex items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (rateFits) void act({ kind: "rate", climb_mps }).then(() => setRate(""));
        }}
      >
        <label>
          <span className="mb-0.5 block text-sm text-ink2">Climbs, or sinks with −, {rateUnit}</span>
          <input
            className="field num w-32"
            inputMode="numeric"
            maxLength={6}
            placeholder={String(Math.round(fromSi("verticalSpeed", rateUnit, flying.state.from.climb_mps)))}
            value={rate}
            onChange={(event) => setRate(event.currentTarget.value)}
          />
        </label>
        <button type="submit" className="btn" aria-label="Give the rate" disabled={!rateFits}>
          Give
        </button>
        {without_mps !== null && (
          <button type="button" className="btn" onClick={() => void act({ kind: "rate", climb_mps: without_mps })}>
            The other engine fails too
          </button>
        )}
      </form>
      <NoteForm />
    </section>
  );
}
