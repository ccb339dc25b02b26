"use client";
import { Fragment } from "react";
import type { Exposure } from "@/core/debrief/exposure";
import { formatClock } from "@/core/quantities/clock";
import type { Answer } from "@/ui/kit/lanes/asking";
import { AsideFigures, DecisionAside } from "@/ui/kit/page/DecisionAside";
import { useFormat } from "@/ui/kit/units/units-store";
import { Figure } from "@/ui/kit/working/Figure";
import type { WorkingSource } from "@/ui/kit/working/working-store";
import { useDebrief } from "./debrief-store";
import { momentWords } from "./debrief-words";
import { exposureAt } from "./exposure-cursor";
import { PHASE_WORDS, apartRows, exposureSaid, gapSaid, hereSaid, isNoFault, roundSaid } from "./exposure-words";
import type { ExposureAsked } from "./useExposure";

const CAUTIONS = [
  "Computed from the log, the aircraft’s polar and the situation’s plans: for the debriefing. A place in reach is no promise that it can be landed on.",
  "Low after take-off and before landing is for the stages Departure and Landing.",
];

/** How long a flight had no place in reach, by phase, and what would have changed that. */
export function ExposureAside({ answer }: { readonly answer: Answer<ExposureAsked, Exposure> }) {
  const begins_s = useDebrief((state) => state.open?.found?.summary.begins_s ?? null);
  const windKnown = useDebrief((state) => state.open?.found?.wind !== null);
  const cursor_s = useDebrief((state) => state.cursor_s);
  const format = useFormat();
  const { value: found, issue, question: asked } = answer;
  const nothing = issue && isNoFault(issue) ? issue : null;
  if (!found || !asked)
    return (
      <DecisionAside
        said={
          nothing
            ? { lead: "Nothing to judge.", rest: nothing.message }
            : issue
              ? { lead: "Nothing to say.", rest: issue.message }
              : { lead: "Exposure.", rest: "How long no landing place was in reach." }
        }
        good={!issue || nothing !== null}
        cautions={CAUTIONS}
      />
    );
  const said = exposureSaid(found, format);
  const here = exposureAt(found.points, cursor_s);
  const hereWords = hereSaid(here, found.places, format);
  const source: WorkingSource = {
    ask: async (core) => core.exposureWorking(asked.question, asked.origin, found.points.indexOf(here)),
  };
  return (
    <DecisionAside said={said} good={said.good} cautions={CAUTIONS}>
      <p className={`px-4 pb-3 text-[15px] ${hereWords.good ? "" : "text-brick"}`} aria-live="polite">
        {here.judged ? (
          <Figure title="Needed here" figure="cover" source={source} className="font-bold">
            {hereWords.lead}
          </Figure>
        ) : (
          <strong>{hereWords.lead}</strong>
        )}{" "}
        {hereWords.rest}
      </p>
      <section aria-label="By phase" className="border-t border-rule px-4 py-2">
        <table className="w-full text-[15px]">
          <caption className="pb-1 text-left text-[14px] font-bold">Without a place, by phase</caption>
          <tbody className="num">
            {found.byPhase
              .filter(({ time_s }) => time_s >= 1)
              .map(({ phase, time_s, exposed_s }) => (
                <tr key={phase}>
                  <th scope="row" className="text-left font-sans font-normal text-ink2">
                    {PHASE_WORDS[phase]}
                  </th>
                  <td className="text-right">
                    <Figure title={`${PHASE_WORDS[phase]}: without a place`} figure="exposed" source={source}>
                      {formatClock(exposed_s)}
                    </Figure>
                  </td>
                  <td className="text-right text-ink2">of {formatClock(time_s)}</td>
                </tr>
              ))}
            <tr className="border-t border-rule font-bold">
              <th scope="row" className="text-left font-sans">
                In all
              </th>
              <td className="text-right">{formatClock(found.exposed_s)}</td>
              <td className="text-right font-normal text-ink2">of {formatClock(found.judged_s)}</td>
            </tr>
          </tbody>
        </table>
      </section>
      {found.exposed_s > 0 && (
        <AsideFigures>
          {found.higher.map(({ lift_m, exposed_s }) => (
            <Fragment key={lift_m}>
              <dt>Level flight {format("height", lift_m)} higher</dt>
              <dd>
                <Figure title={`With level flight ${format("height", lift_m)} higher`} figure="higher" source={source}>
                  {formatClock(exposed_s)}
                </Figure>
              </dd>
            </Fragment>
          ))}
        </AsideFigures>
      )}
      {found.gaps.length > 0 && (
        <section aria-label="Gaps" className="border-t border-rule px-4 py-2 text-[14px]">
          <h2 className="pb-1 font-bold">Gaps</h2>
          <ol className="flex flex-col gap-1">
            {found.gaps.map((gap) => (
              <li key={gap.fromTime_s}>
                <button
                  type="button"
                  className="text-left underline-offset-4 hover:underline focus-visible:underline"
                  onClick={() => useDebrief.setState({ cursor_s: gap.fromTime_s })}
                >
                  <span className="num font-semibold">{momentWords(gap.fromTime_s, begins_s)}</span>{" "}
                  <span className="text-brick">{gapSaid(gap, format)}</span>
                </button>
                {gap.round && <span className="block text-pine">{roundSaid(gap, format)}</span>}
              </li>
            ))}
          </ol>
        </section>
      )}
      {apartRows(found).length > 0 && (
        <section aria-label="Not judged" className="border-t border-rule text-[14px]">
          <h2 className="px-4 pt-2 font-bold">Not judged here</h2>
          <dl className="grid grid-cols-[1fr_auto] gap-y-0.5 px-4 py-1">
            {apartRows(found).map(({ name, time_s }) => (
              <Fragment key={name}>
                <dt className="text-ink2">{name}</dt>
                <dd className="num text-right">{formatClock(time_s)}</dd>
              </Fragment>
            ))}
          </dl>
        </section>
      )}
      {asked.question.aircraft.category !== "single" && (
        <p className="border-t border-rule px-4 py-2 text-[13px] text-ink2">
          Counted with all engines stopped. What one of two still reaches is En route’s.
        </p>
      )}
      {!windKnown && (
        <p className="border-t border-rule px-4 py-2 text-[13px] text-ochre">
          No wind is known of this flight: calm air is counted. Give it under “Day”.
        </p>
      )}
    </DecisionAside>
  );
}
