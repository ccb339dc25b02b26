"use client";
import type { BelowVmca } from "@/core/asymmetric/below-vmca";
import type { AsymmetricQuestion } from "@/core/asymmetric/asymmetric-question";
import { useState } from "react";
import { DEMONSTRATION_FLOOR_M, type Demonstration, type DemonstrationPlan } from "@/core/asymmetric/demonstration";
import { degrees } from "@/core/quantities/angle";
import { MPS_PER_KT } from "@/core/quantities/constants";
import { formatNumber } from "@/core/quantities/units";
import { SliderField } from "@/ui/kit/forms/SliderField";
import { useFormat } from "@/ui/kit/units/units-store";
import { flownBank_rad, useEngineOut } from "@/ui/answers/engine-out-store";
import type { Ask } from "@/ui/kit/lanes/asking";
import { outcomeOf, useAnswer } from "@/ui/kit/lanes/useAnswer";
import { useEngineOutQuestion } from "@/ui/answers/useEngineOutAnswer";
import { DataTable } from "@/ui/kit/tables/DataTable";

const MARK_NAMES = {
  entry: "Entry",
  loss: "Heading goes: recover",
  "stall-warning": "Stall warning: recover",
  recovered: "Recovered",
} as const;

/** Below minimum control speed and the way out; and how minimum control speed is shown safely. */
export function PracticeView() {
  return (
    <div
      className="grid min-h-0 grid-cols-2 gap-6 overflow-auto px-4 py-3 max-[1150px]:grid-cols-1"
      tabIndex={0}
      role="region"
      aria-label="Below minimum control speed, and its demonstration"
    >
      <Below />
      <Planner />
    </div>
  );
}

interface BelowQuestion {
  readonly question: AsymmetricQuestion;
  readonly eas_mps: number;
  readonly bank_rad: number;
}

const askBelow: Ask<BelowQuestion, BelowVmca> = (core, { question, eas_mps, bank_rad }) =>
  core.belowVmca(question, eas_mps, bank_rad);

interface DemonstrationQuestion {
  readonly question: AsymmetricQuestion;
  readonly plan: DemonstrationPlan;
}

const askDemonstration: Ask<DemonstrationQuestion, Demonstration> = (core, { question, plan }) =>
  core.demonstration(question, plan);

function Below() {
  const now = useEngineOut((state) => state.now);
  const bank_rad = useEngineOut((state) => flownBank_rad(state.trial, state.now));
  const question = useEngineOutQuestion();
  const format = useFormat();
  const [under_mps, setUnder] = useState(4 * MPS_PER_KT);
  const limit = now?.vmca.eas_mps ?? null;
  const eas_mps = limit === null ? null : Math.max(limit - under_mps, 12);
  const below = outcomeOf(useAnswer(eas_mps === null ? null : { question, eas_mps, bank_rad }, askBelow, "pointed"));
  return (
    <section aria-label="Below minimum control speed">
      <h2 className="font-bold">Below minimum control speed</h2>
      {limit === null || eas_mps === null ? (
        <p className="mt-1">No control limit is met before the stall as it is set: there is no such speed here.</p>
      ) : (
        <>
          <SliderField
            label="Slower than V_MCA by"
            value={under_mps}
            min={0}
            max={12 * MPS_PER_KT}
            step={0.25}
            shown={`${format("speed", under_mps)}, at ${format("speed", eas_mps)}`}
            onChange={setUnder}
          />
          {!below ? (
            <p className="text-ink2">Computing …</p>
          ) : !below.ok ? (
            <p>{below.issue.message}</p>
          ) : (
            <>
              <ol className="mt-2 list-decimal space-y-1.5 pl-5">
                <li>
                  Full rudder no longer holds it: it turns toward the dead engine at{" "}
                  {formatNumber(degrees(below.value.yaw_radps), 1)}°/s, {Math.round(below.value.aileron * 100)} % of the
                  aileron holding the bank.{below.value.aileron > 1 && " The ailerons are past their stop: it rolls."}
                </li>
                <li>
                  <strong>Power back on the live engine.</strong>{" "}
                  {below.value.controlledSetting === null
                    ? "At this speed no power setting gives control before the stall: speed first."
                    : below.value.controlledSetting >= question.setting
                      ? "Here the power as set is held."
                      : `At ${Math.round(below.value.controlledSetting * 100)} % it is held at this speed.`}
                </li>
                <li>
                  <strong>Nose down.</strong> {format("height", below.value.height_m)} of height buy the speed back to 5
                  kt above V_MCA at the power as set, without drag.
                </li>
                <li>Then power again, bank into the live engine, and climb at V_YSE if it climbs.</li>
              </ol>
              {below.value.stalled && (
                <p className="mt-2 text-brick">
                  This is at or below the stall: the wing stalls with one engine at power, and it spins.
                </p>
              )}
              <p className="mt-2 text-[13px] text-ink2">
                A steady turn, computed. What kills is the roll with a stalled wing that follows: yaw, roll and stall
                together are not modelled. Never look for it low.
              </p>
            </>
          )}
        </>
      )}
    </section>
  );
}

function Planner() {
  const trial = useEngineOut((state) => state.trial);
  const question = useEngineOutQuestion();
  const format = useFormat();
  const jet = question.deadPropeller === "none";
  const [ground_m, setGround] = useState(0);
  const [rate_kt, setRate] = useState(1);
  const asked: DemonstrationQuestion = {
    question: {
      ...question,
      deadPropeller: question.deadPropeller === "none" ? "none" : "windmilling",
      gearDown: false,
      items: [],
    },
    plan: {
      ground_m,
      floor_m: DEMONSTRATION_FLOOR_M,
      deceleration_mps2: rate_kt * MPS_PER_KT,
      bank_rad: trial.bank.kind === "bank" ? trial.bank.bank_rad : (5 * Math.PI) / 180,
    },
  };
  const plan = outcomeOf(useAnswer(asked, askDemonstration, "pointed"));
  return (
    <section aria-label="Demonstration of minimum control speed">
      <h2 className="font-bold">Showing minimum control speed, with an instructor</h2>
      <div className="grid grid-cols-2 gap-x-4">
        <SliderField
          label="Ground below"
          value={ground_m}
          min={0}
          max={2000}
          step={30.48}
          shown={format("height", ground_m)}
          onChange={setGround}
        />
        <SliderField
          label="Slowing by"
          value={rate_kt}
          min={0.5}
          max={2}
          step={0.5}
          shown={`${formatNumber(rate_kt, 1)} kt/s`}
          onChange={setRate}
        />
      </div>
      {!plan ? (
        <p className="text-ink2">Computing …</p>
      ) : !plan.ok ? (
        <p className="text-brick">{plan.issue.message}</p>
      ) : (
        <>
          {plan.value.stallFirst && (
            <p role="alert" className="my-2 text-brick">
              <strong>The stall comes first here.</strong> At this height, mass and bank the warning sounds before
              control is lost. Do not slow down to find it: show it lower, or with the rudder limited by the instructor,
              or not at all.
            </p>
          )}
          {plan.value.tooLow && (
            <p role="alert" className="my-2 text-brick">
              <strong>Too low.</strong> Begin no lower than {format("height", plan.value.lowestEntry_m)}.
            </p>
          )}
          <DataTable
            className="mt-1 w-full text-[14px]"
            rows={plan.value.marks}
            rowKey={(mark) => mark.name}
            columns={[
              { name: "moment", cell: (mark) => MARK_NAMES[mark.name] },
              { name: "after", cell: (mark) => `${Math.round(mark.time_s)} s` },
              { name: "speed", cell: (mark) => format("speed", mark.eas_mps) },
            ]}
          />
          <dl className="mt-2 grid grid-cols-[minmax(0,1fr)_auto] gap-x-3 gap-y-0.5 text-[14px] [&>dd]:text-right [&>dt]:text-ink2">
            <dt>Lowest entry, leaves {format("height", DEMONSTRATION_FLOOR_M)}</dt>
            <dd className="num">{format("height", plan.value.lowestEntry_m)}</dd>
            <dt>Recovery costs about</dt>
            <dd className="num">{format("height", plan.value.recoveryHeight_m)}</dd>
            <dt>Stall, stall warning</dt>
            <dd className="num">
              {format("speed", plan.value.stall_mps)}, {format("speed", plan.value.stallWarning_mps)}
            </dd>
          </dl>
          <ol className="mt-2 list-decimal space-y-0.5 pl-5 text-[14px]">
            <li>
              Clearing turns; gear up, flap for take-off,{jet ? "" : " cowl flaps as for take-off,"} trimmed, fuel on
              for both.
            </li>
            <li>
              Idle on the {trial.failed} engine{jet ? "" : ", its propeller windmilling"}; full power on the other; bank
              into it.
            </li>
            <li>
              Slow steadily within ±20° of heading, ±5 kt, at most 5° of bank; rudder to its stop and no farther. At the
              first sign — heading going, warning, buffet — stop.
            </li>
            <li>Power back on the live engine, nose down, heading back; then power again at the recovery speed.</li>
          </ol>
          <p className="mt-2 text-[13px] text-ink2">
            Only as the flight manual and a qualified instructor allow. Tolerances are those of usual flight tests.
          </p>
        </>
      )}
    </section>
  );
}
