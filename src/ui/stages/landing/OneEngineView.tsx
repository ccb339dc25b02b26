"use client";
import { LATE_M, LEFT_M, USUAL_M } from "@/core/landing/approach-heights";
import { useMemo } from "react";
import { type OneEngineApproach, type OneEngineApproachQuestion } from "@/core/landing/one-engine-approach";
import { formatNumber } from "@/core/quantities/units";
import type { LandingPlan } from "@/core/situation/landing-plan";
import type { Ask } from "@/ui/kit/lanes/asking";
import { outcomeOf, useAnswer } from "@/ui/kit/lanes/useAnswer";
import { useEngineOut } from "@/ui/answers/engine-out-store";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { useAeroplane } from "@/ui/situation/useAircraftOfKind";
import { useSituation } from "@/ui/situation/situation-store";
import { useFormat } from "@/ui/kit/units/units-store";
import { Figure } from "@/ui/kit/working/Figure";
import { OneEngineFields } from "@/ui/situation/OneEngineFields";
import { goAroundDecision } from "./landing-words";
import { useLandingPlan } from "./useLandingPlan";
import { useShownPlace } from "./useKeys";
import { DataTable } from "@/ui/kit/tables/DataTable";

const GEAR_SCHOOLS: readonly { value: LandingPlan["gear"]; label: string }[] = [
  { value: "late", label: "late, when landing is assured" },
  { value: "usual", label: "at the usual place" },
];
/** Steps that cost less than this cost nothing, m. */
const NOTHING_M = 1.6;

/** What the situation asks about an approach on one engine. */
export function useOneEngineQuestion(): OneEngineApproachQuestion {
  const { document } = useAeroplane();
  const { mass_kg, centreOfGravity, air, departure, oneEngine } = useSituation((state) => state.current);
  const failed = useEngineOut((state) => state.trial.failed);
  const place = useShownPlace();
  const elevation_m = place?.elevation_m ?? 0;
  const { gearUp_s } = departure.twoEngines;
  return useMemo(
    () => ({
      aircraft: document,
      mass_kg,
      centreOfGravity,
      altitude_m: elevation_m,
      air,
      items: [],
      failed,
      gearUp_s,
      oneEngine,
      deadPropeller:
        document.engines.kind === "jet"
          ? ("none" as const)
          : typeof document.polar?.deadPropeller?.feathered === "number"
            ? ("feathered" as const)
            : ("windmilling" as const),
    }),
    [document, mass_kg, centreOfGravity, elevation_m, air, failed, gearUp_s, oneEngine],
  );
}

const askApproach: Ask<OneEngineApproachQuestion, OneEngineApproach> = (core, question) =>
  core.oneEngineApproach(question);

/**
 * One engine on the approach: power and rudder by part, gear schools, and from which height there is no going around
 * any more.
 */
export function OneEngineView() {
  const question = useOneEngineQuestion();
  const answer = outcomeOf(useAnswer(question, askApproach, "pointed"));
  const [plan, set] = useLandingPlan();
  const format = useFormat();
  if (!answer) return <p className="bg-sheet p-4 text-ink2">Computing …</p>;
  if (!answer.ok)
    return (
      <p role="alert" className="bg-sheet p-4 text-brick">
        {answer.issue.message}
      </p>
    );
  const {
    parts,
    steps,
    floor_m,
    away_mps,
    awayGradient,
    awaySpeed_mps,
    vref_mps,
    vyse_mps,
    vmca_mps,
    gearCost_mps,
    earlyGear_m,
  } = answer.value;
  const said = goAroundDecision(answer.value, question.oneEngine, format);
  const source = { calculation: { name: "one-engine-approach", input: question } };
  const jet = question.aircraft.engines.kind === "jet";
  const level = parts.find((part) => part.name === "level, gear down");
  return (
    <div
      className="min-h-0 overflow-auto bg-sheet px-4 py-3"
      tabIndex={0}
      role="region"
      aria-label="One engine on the approach"
    >
      <p className={said.tone}>
        <strong className="text-[22px] leading-7">{said.lead}</strong> {said.rest}
      </p>
      <div className="mt-2 max-w-[560px]">
        <OneEngineFields />
      </div>
      {parts.some((part) => part.limit) && (
        <p className="mt-2 text-[14px] text-ochre">
          {parts
            .filter((part) => part.limit)
            .map(
              (part) =>
                `${part.name}: ${part.overLimit ? `not even the slowest safe speed keeps ${part.limit?.name}` : `held to ${part.limit?.name} ${format("speed", part.limit?.speed_mps ?? 0)}`}`,
            )
            .join("; ")}
          .
        </p>
      )}
      <div className="mt-3 grid grid-cols-[minmax(0,1fr)_280px] gap-6 max-[1150px]:grid-cols-1">
        <section aria-label="Power and trim by part">
          <DataTable
            caption={
              <span className="text-[14px] font-semibold text-ink">
                Power and rudder{jet ? "" : `, dead propeller ${question.deadPropeller}`}
              </span>
            }
            rows={parts}
            rowKey={(part) => part.name}
            columns={[
              { name: "part", cell: (part) => part.name },
              { name: "flap", kind: "words", cell: (part) => part.flapName },
              { name: "speed", cell: (part) => format("speed", part.eas_mps) },
              {
                name: "power",
                cell: ({ name, setting }) => (
                  <Figure
                    title={`Power, ${name}`}
                    figure={name}
                    source={source}
                    className={setting === null ? "text-brick" : ""}
                  >
                    {setting === null ? "not enough" : `${Math.round(setting * 100)} %`}
                  </Figure>
                ),
              },
              { name: "rudder", cell: ({ rudder }) => (rudder === null ? "–" : `${Math.round(rudder * 100)} %`) },
              {
                name: "climb at full power",
                cell: (part) => format("verticalSpeed", part.full_mps),
                tone: (part) => (part.full_mps < 0 ? "text-brick" : ""),
              },
            ]}
          />
          <p className="mt-1 max-w-prose text-[13px] text-ink2">
            Slope parts are for 3° down. Trim the rudder for the approach power; as power comes off for the landing the
            trim pushes the other way. Power off means rudder off.
          </p>
        </section>
        <section aria-label="Going around">
          <DataTable
            caption={
              <span className="text-[14px] font-semibold text-ink">Going around from {format("speed", vref_mps)}</span>
            }
            headClassName="sr-only"
            rows={[...steps, "lowest" as const].map((step) => ({ step }))}
            rowKey={({ step }) => (step === "lowest" ? step : step.name)}
            rowProps={({ step }) => ({ className: step === "lowest" ? "!border-ink2 font-semibold" : "" })}
            columns={[
              {
                name: "what",
                className: "[font-weight:inherit]",
                cell: ({ step }) => (step === "lowest" ? `lowest, with ${format("height", LEFT_M)}` : step.name),
              },
              { name: "in", cell: ({ step }) => step !== "lowest" && `${formatNumber(step.time_s)} s` },
              {
                name: "height",
                cell: ({ step }) =>
                  step === "lowest" ? (
                    <Figure title="Go-around no lower than" figure="floor" source={source}>
                      {floor_m === null ? "never" : format("height", floor_m)}
                    </Figure>
                  ) : Math.abs(step.height_m) < NOTHING_M ? (
                    format("height", 0)
                  ) : step.height_m > 0 ? (
                    `−${format("height", step.height_m)}`
                  ) : (
                    `+${format("height", -step.height_m)}`
                  ),
              },
            ]}
          />
          <p className="mt-1 text-[13px] text-ink2">
            It then climbs {format("verticalSpeed", away_mps)} at {format("speed", awaySpeed_mps)},{" "}
            {formatNumber(awayGradient * 100, 1)} %
            {jet
              ? `, ${awayGradient >= 0.021 ? "over" : "under"} the 2.1 % of 14 CFR 25.121(d)`
              : `; V_YSE ${format("speed", vyse_mps)}`}
            .{" "}
            {vmca_mps === null
              ? "The stall comes before control is lost."
              : `V_MCA at 5° bank ${format("speed", vmca_mps)}.`}
          </p>
        </section>
      </div>
      <section className="mt-4 grid grid-cols-[250px_minmax(0,1fr)] items-end gap-6" aria-label="Gear">
        <ChoiceField
          label="Gear on this approach"
          value={plan.gear}
          choices={GEAR_SCHOOLS}
          onChange={(gear) => set({ gear })}
        />
        <p className="text-[14px]">
          {question.aircraft.polar?.gear.retractable ? (
            <>
              {plan.gear === "late"
                ? `Late: level flight stays easy, but a forgotten gear is worse than any of this: say it at ${format("height", LATE_M)}.`
                : "At the usual place: nothing is forgotten, and the approach is the one you know."}{" "}
              Down it costs{" "}
              <Figure title="What the gear costs" figure="gear" source={source}>
                {format("verticalSpeed", gearCost_mps)}
              </Figure>
              {` of climb; from ${format("height", USUAL_M)} instead of ${format("height", LATE_M)} that is ${format("height", earlyGear_m)} of height at full power. ${level && level.setting === null ? "With it down level flight is not held: put it down only when you mean to descend." : level && level.full_mps < 0.5 ? "With it down there is hardly any climb left in level flight." : ""}`}
            </>
          ) : (
            "The gear is fixed: there is nothing to time."
          )}
        </p>
      </section>
      <p className="mt-2 text-[14px]">
        Flap: {parts[2].flapName} until the runway is certain. {parts[3].flapName} takes another{" "}
        {format("verticalSpeed", Math.max(parts[2].full_mps - parts[3].full_mps, 0))} at full power, and has to come up
        again on the way round: only below the height from which there is none.
      </p>
      <section className="mt-4 max-w-prose text-[14px]" aria-label="Both engines forward">
        <h2 className="font-bold">Both levers forward on the go-around?</h2>
        <p>
          {jet
            ? "Yes: the dead engine’s lever does nothing, and nobody has to pick the right one in a hurry. A relit engine that spools up late swings the nose: expect it."
            : "Yes when the dead one is feathered and secured: its lever does nothing, and the right one is surely forward. Not while it only windmills or runs rough: if it catches, it swings the nose at low speed; below V_MCA take power off, lower the nose."}
        </p>
      </section>
    </div>
  );
}
