"use client";
import { Copy } from "lucide-react";
import { useState } from "react";
import { toast } from "sonner";
import { CallPlan } from "@/core/situation/landing-plan";
import { CheckField } from "@/ui/kit/forms/CheckField";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { NumberField } from "@/ui/kit/forms/NumberField";
import { TextField } from "@/ui/kit/forms/TextField";
import { checkBy, checkText } from "@/ui/kit/forms/fault";
import { Figure } from "@/ui/kit/working/Figure";
import { useCall } from "./useCall";
import { useLandingPlan } from "./useLandingPlan";

const aboardCheck = checkBy(CallPlan.shape.aboard);
const enduranceCheck = checkBy(CallPlan.shape.endurance_s.unwrap());
const callSignCheck = checkText(CallPlan.shape.callSign);

const NATURES: readonly { value: CallPlan["nature"]; label: string }[] = [
  { value: "engine-failure", label: "engine failure" },
  { value: "one-engine", label: "one engine of two stopped" },
  { value: "rough", label: "running rough, losing power" },
  { value: "fuel", label: "fuel nearly gone" },
  { value: "fire", label: "engine fire" },
];
const DEGREES: readonly { value: CallPlan["degree"]; label: string }[] = [
  { value: "distress", label: "distress: grave and imminent danger" },
  { value: "urgency", label: "urgency: safety, no immediate help" },
];
const TO: readonly { value: CallPlan["to"]; label: string }[] = [
  { value: "all", label: "anybody on the frequency in use" },
  { value: "tower", label: "the tower that is talked to" },
];

/** What is said, in order, to be read aloud. */
export function CallView() {
  const [{ call }, set] = useLandingPlan();
  const [ditch, setDitch] = useState(false);
  const [typed, setTyped] = useState<string | null>(null);
  const asked = useCall(ditch);
  const change = (patch: Partial<CallPlan>) => set({ call: { ...call, ...patch } });
  const fault = typed === null ? null : callSignCheck(typed);
  const text = asked?.answer.ok ? asked.answer.value.lines.map((line) => line.text).join(". ") : "";
  return (
    <div
      className="grid min-h-0 grid-cols-[240px_minmax(0,1fr)] gap-5 overflow-auto bg-sheet px-4 py-3"
      tabIndex={0}
      role="region"
      aria-label="Call"
    >
      <div className="flex flex-col gap-3">
        <TextField
          label="Call sign"
          value={typed ?? call.callSign}
          fault={fault}
          onChange={(value) => {
            setTyped(value);
            if (callSignCheck(value) === null) change({ callSign: value });
          }}
        />
        <NumberField
          label="People on board"
          value={call.aboard}
          unit=""
          digits={0}
          step={1}
          check={aboardCheck}
          onChange={(aboard) => change({ aboard })}
        />
        <NumberField
          label="Endurance"
          value={call.endurance_s === null ? null : call.endurance_s / 60}
          unit="min"
          digits={0}
          step={10}
          check={(minutes) => enduranceCheck(minutes * 60)}
          onChange={(minutes) => change({ endurance_s: minutes * 60 })}
          onClear={() => change({ endurance_s: null })}
        />
        <ChoiceField label="Nature" value={call.nature} choices={NATURES} onChange={(nature) => change({ nature })} />
        <ChoiceField label="Degree" value={call.degree} choices={DEGREES} onChange={(degree) => change({ degree })} />
        <ChoiceField label="To" value={call.to} choices={TO} onChange={(to) => change({ to })} />
        <CheckField label="On to the water" checked={ditch} onChange={setDitch} />
      </div>
      <div>
        {!asked && <p className="text-ink2">Computing …</p>}
        {asked && !asked.answer.ok && (
          <p role="alert" className="text-brick">
            {asked.answer.issue.message}
          </p>
        )}
        {asked?.answer.ok && (
          <>
            <ol className="flex flex-col gap-2" aria-label="The call, line by line">
              {asked.answer.value.lines.map((line) => (
                <li key={line.part} className="border-b border-rule pb-1.5">
                  <span className="block text-[20px] leading-6 font-semibold">{line.text}</span>
                  {line.spoken !== line.text && <span className="num block text-[13px] text-ink2">{line.spoken}</span>}
                </li>
              ))}
            </ol>
            <p className="mt-2 flex items-center gap-3 text-[14px]">
              <Figure
                title="The call"
                figure="position"
                source={{ calculation: { name: "call", input: asked.question } }}
              >
                about {Math.round(asked.answer.value.time_s)} s to say
              </Figure>
              <button
                type="button"
                className="btn btn-quiet px-2 py-0.5 text-[13px]"
                onClick={() =>
                  void navigator.clipboard.writeText(text).then(
                    () => toast("The call is on the clipboard."),
                    () => toast("The browser does not let the page use the clipboard."),
                  )
                }
              >
                <Copy size={14} aria-hidden="true" /> Copy
              </button>
            </p>
          </>
        )}
        <div className="mt-3 max-w-prose text-[13px] text-ink2">
          <p>
            Distress is grave and imminent danger with need of immediate help: an engine failure in a single, a
            ditching. Urgency concerns safety without immediate help: one engine of two stopped and holding height. When
            in doubt it is distress; it can be cancelled.
          </p>
          <p className="mt-1">
            On the frequency in use first: they know you. No answer: 121.5 MHz. Transponder 7700. Bearings are magnetic,
            from the place to you. Fly first: the call comes after the glide is set and a place is chosen.
          </p>
        </div>
      </div>
    </div>
  );
}
