"use client";
import type { ReactNode } from "react";
import type { Condition, Procedure, Step } from "@/core/procedure/procedure";
import { WRITTEN } from "@/core/procedure/library/procedures";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { CheckField } from "@/ui/kit/forms/CheckField";
import { NumberField } from "@/ui/kit/forms/NumberField";
import { QuantityField } from "@/ui/kit/forms/QuantityField";
import { TextField } from "@/ui/kit/forms/TextField";
import { ConditionForm } from "./ConditionForm";
import { ACTOR_WORDS } from "../drill/drill-words";

interface Props {
  procedure: Procedure;
  step: Step;
  onChange: (step: Step) => void;
}

const between = (least: number, most: number) => (value: number) =>
  value >= least && value <= most ? null : `From ${least} to ${most}.`;
const options = (values: readonly string[]) => values.map((value) => ({ value, label: value }));
const NONE = "–";

/** Everything of a step that can be changed. */
export function StepForm({ procedure, step, onChange }: Props) {
  return (
    <div className="grid gap-2">
      <TextField
        label="Challenge"
        value={step.challenge}
        fault={step.challenge.trim() === "" ? "A challenge is needed." : null}
        onChange={(challenge) => onChange({ ...step, challenge: challenge.slice(0, 240) } as Step)}
      />
      <OfKind procedure={procedure} step={step} onChange={onChange} />
      {procedure.crew === "two" && (
        <ChoiceField
          label="Who"
          value={step.actor}
          choices={(["flying", "monitoring"] as const).map((value) => ({ value, label: ACTOR_WORDS[value] }))}
          onChange={(actor) => onChange({ ...step, actor })}
        />
      )}
      <ConditionForm
        label="Applies"
        procedure={procedure}
        value={step.when}
        onChange={(when) => onChange({ ...step, when })}
      />
      <CheckField label="From memory" checked={step.memory} onChange={(memory) => onChange({ ...step, memory })} />
      <TextField
        label="Why"
        value={step.why ?? ""}
        fault={null}
        onChange={(why) => onChange({ ...step, why: why.trim() === "" ? null : why.slice(0, 300) })}
      />
    </div>
  );
}

function Target({ value, onChange }: { value: number; onChange: (target_s: number) => void }) {
  return (
    <NumberField
      label="Target"
      value={value}
      unit="s"
      digits={0}
      step={1}
      check={between(1, 600)}
      onChange={onChange}
    />
  );
}

function OfKind({ procedure, step, onChange }: Props): ReactNode {
  const steps = procedure.steps.map(({ id, challenge }) => ({ value: id, label: challenge }));
  switch (step.kind) {
    case "set":
      return <SetFields procedure={procedure} step={step} onChange={onChange} />;
    case "say":
      return (
        <>
          <TextField
            label="Response"
            value={step.response}
            fault={null}
            onChange={(response) => onChange({ ...step, response: response.slice(0, 120) })}
          />
          <Target value={step.target_s} onChange={(target_s) => onChange({ ...step, target_s })} />
        </>
      );
    case "wait":
      return (
        <>
          <NumberField
            label="Wait"
            value={step.wait_s}
            unit="s"
            digits={0}
            step={1}
            check={between(1, 600)}
            onChange={(wait_s) => onChange({ ...step, wait_s })}
          />
          <ChoiceField
            label="Counted from"
            value={step.since ?? NONE}
            choices={[{ value: NONE, label: "when it is due" }, ...steps]}
            onChange={(since) => onChange({ ...step, since: since === NONE ? null : since })}
          />
        </>
      );
    case "ask":
      return (
        <>
          {step.answers.map(({ answer, to, when }, i) => {
            const put = (part: { answer?: string; to?: string; when?: Condition | null }) =>
              onChange({
                ...step,
                answers: step.answers.map((other, at) => (at === i ? { ...other, ...part } : other)),
              });
            return (
              <fieldset key={i} className="grid grid-cols-[1fr_1fr_auto] items-end gap-2">
                <TextField
                  label={`Answer ${i + 1}`}
                  value={answer}
                  fault={null}
                  onChange={(text) => put({ answer: text.slice(0, 40) })}
                />
                <ChoiceField label="leads to" value={to} choices={steps} onChange={(id) => put({ to: id })} />
                <button
                  type="button"
                  className="btn btn-quiet"
                  disabled={step.answers.length <= 2}
                  aria-label={`Remove answer ${i + 1}`}
                  onClick={() => onChange({ ...step, answers: step.answers.filter((_, at) => at !== i) })}
                >
                  ×
                </button>
                <div className="col-span-3">
                  <ConditionForm
                    label={`Answer ${i + 1} is so`}
                    procedure={procedure}
                    value={when}
                    onChange={(so) => put({ when: so })}
                  />
                </div>
              </fieldset>
            );
          })}
          <button
            type="button"
            className="btn btn-quiet justify-self-start"
            disabled={step.answers.length >= 6}
            onClick={() =>
              onChange({ ...step, answers: [...step.answers, { answer: "or", to: procedure.steps[0].id, when: null }] })
            }
          >
            Another answer
          </button>
          <Target value={step.target_s} onChange={(target_s) => onChange({ ...step, target_s })} />
        </>
      );
    case "passing":
      return (
        <QuantityField
          label={step.what === "height" ? "Height above the ground" : "Speed"}
          kind={step.what}
          value={step.value}
          check={between(0, 20_000)}
          onChange={(value) => onChange({ ...step, value })}
        />
      );
    case "again":
      return (
        <>
          <ChoiceField label="Back to" value={step.to} choices={steps} onChange={(to) => onChange({ ...step, to })} />
          <NumberField
            label="At most"
            value={step.most}
            unit="times"
            digits={0}
            step={1}
            check={between(1, 9)}
            onChange={(most) => onChange({ ...step, most: Math.round(most) })}
          />
        </>
      );
    case "call":
      return (
        <ChoiceField
          label="Procedure"
          value={step.procedure}
          choices={WRITTEN.filter(({ steps: all }) => all.every(({ kind }) => kind !== "ask" && kind !== "call")).map(
            ({ id, name }) => ({ value: id, label: name }),
          )}
          onChange={(called) => onChange({ ...step, procedure: called })}
        />
      );
    default:
      return null;
  }
}

function SetFields({ procedure, step, onChange }: Props & { step: Extract<Step, { kind: "set" }> }) {
  const control = procedure.controls.find(({ id }) => id === step.control);
  return (
    <>
      <ChoiceField
        label="Control"
        value={step.control}
        choices={procedure.controls.map(({ id, name }) => ({ value: id, label: name }))}
        onChange={(id) => {
          const next = procedure.controls.find((other) => other.id === id);
          onChange({
            ...step,
            control: id,
            engine: next?.perEngine ? (step.engine ?? "dead") : null,
            position: next?.positions.includes(step.position)
              ? step.position
              : (next?.positions.at(-1) ?? step.position),
          });
        }}
      />
      <ChoiceField
        label="Position"
        value={step.position}
        choices={options(control?.positions ?? [step.position])}
        onChange={(position) => onChange({ ...step, position })}
      />
      {control?.perEngine && (
        <ChoiceField
          label="Engine"
          value={step.engine ?? "dead"}
          choices={[
            { value: "dead", label: "the dead one" },
            { value: "live", label: "the live one" },
            { value: "each", label: "each" },
          ]}
          onChange={(engine) => onChange({ ...step, engine })}
        />
      )}
      <ChoiceField
        label="Confirmed"
        value={step.confirm ?? NONE}
        choices={[
          { value: NONE, label: "no" },
          { value: "self", label: "by oneself, aloud" },
          ...(procedure.crew === "two" ? [{ value: "other" as const, label: "by the other" }] : []),
        ]}
        onChange={(confirm) => onChange({ ...step, confirm: confirm === NONE ? null : confirm })}
      />
      <Target value={step.target_s} onChange={(target_s) => onChange({ ...step, target_s })} />
    </>
  );
}
