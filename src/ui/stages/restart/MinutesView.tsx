"use client";
import dynamic from "next/dynamic";
import { useMemo } from "react";
import { localPlane } from "@/core/earth/local-plane";
import { formatClock } from "@/core/quantities/clock";
import type { MinutesChoice, MinutesLeft, MinutesQuestion } from "@/core/restart/minutes-left";
import { RestartPlan } from "@/core/situation/restart-plan";
import type { Ask } from "@/ui/kit/lanes/asking";
import { outcomeOf, useAnswer } from "@/ui/kit/lanes/useAnswer";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { NumberField } from "@/ui/kit/forms/NumberField";
import { checkBy } from "@/ui/kit/forms/fault";
import { usePlaneOrigin } from "@/ui/situation/usePlaneOrigin";
import { pickEnd, pointAt, useReach } from "@/ui/answers/reach-store";
import type { Overlay } from "@/ui/kit/map/overlay-extent";
import { useAeroplane } from "@/ui/situation/useAircraftOfKind";
import { useHeadingInWords } from "@/ui/situation/useHeadingInWords";
import { useSituation } from "@/ui/situation/situation-store";
import { useFormat } from "@/ui/kit/units/units-store";
import { Figure } from "@/ui/kit/working/Figure";
import { DataTable } from "@/ui/kit/tables/DataTable";

const SituationMap = dynamic(() => import("@/ui/situation/map/SituationMap").then((module) => module.SituationMap), {
  ssr: false,
  loading: () => <p className="p-4 text-ink2">Drawing the map …</p>,
});

type Minutes = RestartPlan["minutes"];
const leftCheck = checkBy(RestartPlan.shape.minutes.shape.left_s);
const LOSING: readonly { value: Minutes["losing"]; label: string }[] = [
  { value: "coolant", label: "coolant" },
  { value: "oil", label: "oil" },
  { value: "fuel", label: "fuel" },
];
const SCHOOLS: readonly { value: Minutes["school"]; label: string }[] = [
  { value: "use", label: "use every minute for height" },
  { value: "save", label: "shut down early to save it" },
];
const NAMES: Record<MinutesChoice, string> = {
  climb: "Climb with it",
  level: "Fly level, fast",
  "shut-down": "Shut it down now",
};
const COLOURS: Record<MinutesChoice, string> = { climb: "pine", level: "harbour", "shut-down": "brick" };
const WHY: Record<Minutes["losing"], string> = {
  coolant: "Without coolant it overheats and seizes; at low power it lasts longer than the book’s minutes.",
  oil: "Without oil pressure it seizes, and may break; vibration means now.",
  fuel: "Fuel that is nearly gone is best spent where it buys most; the propeller windmills afterwards.",
};

const askMinutes: Ask<MinutesQuestion, MinutesLeft> = (core, question) => core.minutesLeft(question);

/** An engine with some minutes left: climb, level or shut down now, as areas on the map and by time. */
export function MinutesView() {
  const minutes = useSituation((state) => state.current.restart.minutes);
  const change = useSituation((state) => state.change);
  const { position } = useSituation((state) => state.current);
  const question = useMinutesQuestion();
  // What its document says a leak leaves.
  const coolant_s = question.aircraft.coolant?.minutesAfterLeak_s;
  const answer = outcomeOf(useAnswer(question, askMinutes, "pointed"));
  const origin = usePlaneOrigin();
  const format = useFormat();
  const headingInWords = useHeadingInWords();
  const set = (patch: Partial<Minutes>) =>
    change((current) => ({ restart: { ...current.restart, minutes: { ...current.restart.minutes, ...patch } } }));
  const overlay = useMemo((): Overlay | null => {
    if (!answer?.ok) return null;
    const plane = localPlane(origin);
    const here = plane.toPlane(position);
    return {
      key: "minutes",
      lines: [],
      marks: [],
      areas: answer.value.plans.map((plan) => ({
        centre: { x_m: here.x_m + plan.drift.east_m, y_m: here.y_m + plan.drift.north_m },
        radius_m: plan.radius_m,
        label: NAMES[plan.choice].toLowerCase(),
        colour: COLOURS[plan.choice],
        dashed: plan.choice === "shut-down",
      })),
    };
  }, [answer, origin, position]);
  const source = { calculation: { name: "minutes-left", input: question } };
  const plans = answer?.ok ? answer.value.plans : [];
  const [best] = plans;
  const now = plans.find((plan) => plan.choice === "shut-down");
  return (
    <div className="grid min-h-0 grid-rows-[auto_minmax(180px,1fr)_auto]">
      <div className="grid grid-cols-[170px_170px_minmax(0,1fr)] items-end gap-4 border-b border-rule px-4 py-2">
        <NumberField
          label="It runs for another"
          value={minutes.left_s / 60}
          unit="min"
          digits={1}
          step={1}
          check={(shown) => leftCheck(shown * 60)}
          onChange={(shown) => set({ left_s: shown * 60 })}
        />
        <ChoiceField
          label="It is losing"
          value={minutes.losing}
          choices={LOSING}
          onChange={(losing) => set({ losing, ...(losing === "coolant" && coolant_s ? { left_s: coolant_s } : {}) })}
        />
        <ChoiceField label="School" value={minutes.school} choices={SCHOOLS} onChange={(school) => set({ school })} />
      </div>
      <SituationMap overlay={overlay} onPick={pickEnd} onPoint={pointAt} />
      <section
        className="overflow-auto border-t border-rule px-4 py-2"
        aria-label="Minutes left"
        tabIndex={0}
        role="region"
      >
        {!answer && <p className="text-ink2">Computing …</p>}
        {answer && !answer.ok && (
          <p role="alert" className="text-brick">
            {answer.issue.message}
          </p>
        )}
        {best && now && (
          <>
            <p>
              <strong className="text-[20px] leading-6">
                {minutes.school === "save" ? "Shut it down now." : `${NAMES[best.choice]}.`}
              </strong>{" "}
              {minutes.school === "save"
                ? `It stays whole for a landing that needs it, and costs ${format("distance", best.upwind_m - now.upwind_m)} of reach into the wind and ${formatClock(best.time_s - now.time_s)} of time. ${WHY[minutes.losing]}`
                : `It reaches ${format("distance", best.upwind_m)} into the wind; shut down now ${format("distance", now.upwind_m)}. ${WHY[minutes.losing]}`}
            </p>
            <DataTable
              className="mt-1 w-full text-[14px]"
              rows={plans}
              rowKey={(plan) => plan.choice}
              columns={[
                {
                  name: "with the minutes",
                  cell: ({ choice }) => (
                    <>
                      <span
                        aria-hidden="true"
                        className="mr-2 inline-block h-0 w-5 border-t-[3px] align-middle"
                        style={{
                          borderColor: `var(--${COLOURS[choice]})`,
                          borderStyle: choice === "shut-down" ? "dashed" : "solid",
                        }}
                      />
                      {NAMES[choice]}
                    </>
                  ),
                },
                { name: "speed", cell: (plan) => format("speed", plan.eas_mps) },
                {
                  name: "stops at",
                  cell: ({ choice, top_m }) => (
                    <Figure title={`${NAMES[choice]}: where it stops`} figure={choice} source={source}>
                      {format("height", top_m)}
                    </Figure>
                  ),
                },
                {
                  name: "into the wind",
                  cell: ({ choice, upwind_m }) => (
                    <Figure title={`${NAMES[choice]}: reach`} figure={choice} source={source}>
                      {format("distance", Math.max(upwind_m, 0))}
                    </Figure>
                  ),
                },
                { name: "down the wind", cell: (plan) => format("distance", plan.downwind_m) },
                { name: "aloft for", cell: (plan) => formatClock(plan.time_s) },
              ]}
            />
            {answer?.ok &&
              answer.value.issues.map((issue) => (
                <p key={issue.choice} className="text-[13px] text-ochre">
                  {NAMES[issue.choice]}: {issue.message}
                </p>
              ))}
            <p className="mt-1 text-[13px] text-ink2">
              Areas end at the height of the ground below you; hills in between are not looked at. The wind carries them
              towards {headingInWords(Math.atan2(now.drift.east_m, now.drift.north_m))}. A failing engine may not give
              its minutes: a place to land in reach at every moment comes first.
            </p>
          </>
        )}
      </section>
    </div>
  );
}

/** What the situation asks about an engine with minutes left. */
function useMinutesQuestion(): MinutesQuestion {
  const { document } = useAeroplane();
  const { mass_kg, configuration, air, wind, altitude_m, restart } = useSituation((state) => state.current);
  const ground_m = useReach((state) => state.answer?.ground_m ?? 0);
  const { left_s } = restart.minutes;
  return useMemo(
    () => ({ aircraft: document, mass_kg, configuration, air, wind, altitude_m, ground_m, left_s }),
    [document, mass_kg, configuration, air, wind, altitude_m, ground_m, left_s],
  );
}
