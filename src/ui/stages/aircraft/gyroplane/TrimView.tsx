"use client";
import { Plus } from "lucide-react";
import type { TrimCheck } from "@/core/aircraft/gyroplane";
import { degrees, radians } from "@/core/quantities/angle";
import { formatNumber } from "@/core/quantities/units";
import { nextBend } from "@/core/rotor/trim-tab";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { NumberField } from "@/ui/kit/forms/NumberField";
import { TextField } from "@/ui/kit/forms/TextField";
import { Figure } from "@/ui/kit/working/Figure";
import { useSituation } from "@/ui/situation/situation-store";
import { FieldRow } from "../FieldRow";
import { faultAt } from "../notes";
import { useEditedGyroplane } from "../useEdited";
import { bendWords } from "./trim-words";

const within = (value: number) => (Math.abs(value) <= 45 ? null : "−45° to 45°.");
const WHEEL = [
  { value: "", label: "not looked at" },
  { value: "yes", label: "straight, no jerk" },
  { value: "no", label: "off, or with a jerk" },
] as const;

/** The record of trim checks: string, tab and nose wheel, with dates, and the next bend. */
export function TrimView() {
  const edited = useEditedGyroplane();
  const { document, change } = edited;
  const today = useSituation((state) => state.current.day);
  const { trimChecks } = document;
  const set = (next: readonly TrimCheck[]) => change((now) => ({ ...now, trimChecks: [...next] }));
  const patch = (i: number, values: Partial<TrimCheck>) =>
    set(trimChecks.map((check, at) => (at === i ? { ...check, ...values } : check)));
  const last = trimChecks.at(-1);
  const next = nextBend(trimChecks);
  return (
    <div className="min-h-0 overflow-auto px-5 py-3" tabIndex={0} role="region" aria-label="Trim check">
      <h2 className="text-[20px] font-bold">{next.ok ? bendWords(next.value) : next.issue.message}</h2>
      <p className="mt-1 max-w-prose text-[14px] text-ink2">
        At cruise, feet off, the string is to be central. To the left it asks for more right rudder, and the tab is bent
        further left; to the right the reverse. The nose wheel stands straight with the rudder as it is then set.
      </p>
      {next.ok && next.value.slope !== null && (
        <p className="mt-1 text-[14px]">
          The line through the flights:{" "}
          <Figure
            title="Next bend of the tab"
            figure="tab"
            source={{
              calculation: {
                name: "trim-tab",
                input: { checks: trimChecks.map(({ tab_rad, string_rad }) => ({ tab_rad, string: string_rad })) },
              },
            }}
          >
            {formatNumber(next.value.slope, 2)}° of string for each degree of bend
          </Figure>
          .
        </p>
      )}
      <div className="mt-3 flex flex-col gap-2">
        {trimChecks.map((check, i) => (
          <div key={i}>
            <FieldRow name={`trim check ${check.day}`} onRemove={() => set(trimChecks.filter((_, at) => at !== i))}>
              <TextField
                label="Flown on"
                value={check.day}
                onChange={(day) => patch(i, { day })}
                fault={faultAt(edited, `trimChecks.${i}.day`)}
              />
              <NumberField
                label="Tab, left positive"
                value={degrees(check.tab_rad)}
                unit="°"
                digits={1}
                step={0.5}
                check={within}
                onChange={(shown) => patch(i, { tab_rad: radians(shown) })}
              />
              <NumberField
                label="String, left positive"
                value={degrees(check.string_rad)}
                unit="°"
                digits={1}
                step={0.5}
                check={within}
                onChange={(shown) => patch(i, { string_rad: radians(shown) })}
                hint="0 is central"
              />
            </FieldRow>
            <div className="w-64">
              <ChoiceField
                label="Nose wheel at touchdown"
                value={check.noseWheelStraight === null ? "" : check.noseWheelStraight ? "yes" : "no"}
                onChange={(value) => patch(i, { noseWheelStraight: value === "" ? null : value === "yes" })}
                choices={WHEEL}
              />
            </div>
          </div>
        ))}
      </div>
      <button
        type="button"
        className="btn btn-quiet mt-3"
        disabled={trimChecks.length >= 60}
        onClick={() =>
          set([
            ...trimChecks,
            {
              day: today,
              tab_rad: next.ok ? next.value.tab_rad : (last?.tab_rad ?? 0),
              string_rad: 0,
              noseWheelStraight: null,
            },
          ])
        }
      >
        <Plus size={15} aria-hidden="true" /> Trim check
      </button>
      <p className="mt-3 max-w-prose text-[13px] text-ink2">
        The maker’s manual and licensed maintenance decide whether a tab may be bent, by how much, and by whom.
      </p>
    </div>
  );
}
