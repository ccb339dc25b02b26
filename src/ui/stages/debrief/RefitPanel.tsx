"use client";
import { useMemo, useState } from "react";
import { flownGlides, refittedAircraft } from "@/core/debrief/refitted-aircraft";
import { bestGlide } from "@/core/glide/straight-glide";
import { cleanGlide } from "@/core/aircraft/configuration";
import { polarOf } from "@/core/aircraft/polar";
import { success } from "@/core/outcome";
import { formatNumber } from "@/core/quantities/units";
import { type KeptLog, aeroplaneOf } from "@/core/track/kept-log";
import { fitFlownPolar } from "@/core/track/measure/polar-fit";
import { polarFitWorking } from "@/core/track/measure/polar-fit-working";
import { AsideFigures } from "@/ui/kit/page/DecisionAside";
import { useFormat } from "@/ui/kit/units/units-store";
import { Figure } from "@/ui/kit/working/Figure";
import { NEW_ID } from "@/ui/library/aircraft-drafts";
import { useAircraftActions } from "@/ui/situation/useAircraftActions";
import type { DebriefedLog } from "@/workers/track.worker";
import { dayWords, withBound } from "./debrief-words";

/** The polar that the log's glides show, beside the aircraft's; taken over into a copy, never silently. */
export function RefitPanel({ log, found }: { log: KeptLog; found: DebriefedLog }) {
  const { mass_kg } = log;
  const aircraft = aeroplaneOf(log);
  const format = useFormat();
  const { save } = useAircraftActions();
  const [fault, setFault] = useState<string | null>(null);
  const glides = useMemo(() => flownGlides(found.flights), [found.flights]);
  const fit = useMemo(
    () => (aircraft?.wing && glides.length > 1 ? fitFlownPolar(glides, mass_kg, aircraft.wing.area_m2) : null),
    [aircraft, glides, mass_kg],
  );
  if (!aircraft?.wing || !fit?.ok) return null;
  const { bestRatio, bestRatioSigma, bestEas_mps, bestEasSigma_mps, doubts } = fit.value;
  const working = polarFitWorking(fit.value, mass_kg, aircraft.wing.area_m2, glides.length);
  const source = { ask: async () => success(working) };
  const polar = polarOf(aircraft, mass_kg, cleanGlide(aircraft));
  const book = polar.ok ? bestGlide(polar.value.polar) : null;
  const ratio = `${formatNumber(bestRatio, 1)}:1 ±${formatNumber(2 * bestRatioSigma, 1)}`;
  const speed = withBound(format, "speed", bestEas_mps, 2 * bestEasSigma_mps);
  const take = async () => {
    const from = `CD0 and k from ${glides.length} glides, ${dayWords(found.summary.begins_s)}: ${ratio} at ${speed}.`;
    const copy = refittedAircraft(aircraft, fit.value, from);
    if (copy.ok) await save(NEW_ID, false, copy.value, 0);
    else setFault(copy.issue.message);
  };
  return (
    <section className="border-t border-rule pb-3" aria-label="Polar flown">
      <h2 className="px-4 pt-2 text-[14px] font-bold">Polar of {glides.length} glides</h2>
      <AsideFigures>
        <dt>Best glide, flown</dt>
        <dd>
          <Figure title="Best glide ratio, flown" figure="ratio" source={source}>
            {ratio}
          </Figure>
        </dd>
        <dt>at</dt>
        <dd>
          <Figure title="Its speed" figure="speed" source={source}>
            {speed}
          </Figure>
        </dd>
        {book && (
          <>
            <dt>{aircraft.name} has</dt>
            <dd className="num">
              {formatNumber(1 / Math.tan(book.angle_rad), 1)}:1 at {format("speed", book.eas_mps)}
            </dd>
          </>
        )}
      </AsideFigures>
      {doubts.map((doubt) => (
        <p key={doubt} className="px-4 pb-1 text-[13px] text-ochre">
          {doubt}
        </p>
      ))}
      <p className="px-4 pb-2 text-[13px] text-ink2">
        Moving air leaves a ratio ± 8 % open: glides on opposite headings, in calm air, more than once.
      </p>
      {fault && <p className="px-4 pb-2 text-[14px] text-brick">{fault}</p>}
      <button type="button" className="btn mx-4" onClick={() => void take()}>
        A copy of {aircraft.name} with it
      </button>
    </section>
  );
}
