"use client";
import type { Condition, Procedure } from "@/core/procedure/procedure";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { QuantityField } from "@/ui/kit/forms/QuantityField";

const ALWAYS = "always";
type What = Condition["what"] | typeof ALWAYS;

const WHATS: readonly { value: What; label: string }[] = [
  { value: ALWAYS, label: "always" },
  { value: "height", label: "by height above the ground" },
  { value: "speed", label: "by speed" },
  { value: "warning", label: "by a warning" },
  { value: "propeller", label: "by the dead engine’s propeller" },
];

/** As a propeller stands when a drill begins. */
const PROPELLERS = ["windmilling", "stopped", "feathered"];
/** What a condition of a kind begins with: 1,000 ft, 100 kt. */
const [FIRST_M, FIRST_MPS] = [304.8, 51.4444];

interface Props {
  label: string;
  procedure: Procedure;
  value: Condition | null;
  onChange: (value: Condition | null) => void;
}

function first(what: Condition["what"], { warnings }: Procedure): Condition {
  switch (what) {
    case "height":
      return { what, is: "above", value: FIRST_M, name: null };
    case "speed":
      return { what, is: "above", value: FIRST_MPS, name: null };
    case "warning":
      return { what, is: "on", value: null, name: warnings.at(0) ?? "fire" };
    case "propeller":
      return { what, is: "on", value: null, name: PROPELLERS[0] };
  }
}

/** When a step applies, or an answer is so. */
export function ConditionForm({ label, procedure, value, onChange }: Props) {
  const named = value?.what === "warning" || value?.what === "propeller";
  const names =
    value?.what === "propeller"
      ? PROPELLERS
      : [...new Set([...procedure.warnings, "fire", "oil pressure", ...(value?.name ? [value.name] : [])])];
  return (
    <div className="grid grid-cols-2 items-end gap-2">
      <div className={value ? "" : "col-span-2"}>
        <ChoiceField
          label={label}
          value={value?.what ?? ALWAYS}
          choices={WHATS}
          onChange={(what) => onChange(what === ALWAYS ? null : first(what, procedure))}
        />
      </div>
      {value && (
        <ChoiceField
          label="is"
          value={value.is}
          choices={
            named
              ? [
                  { value: "on", label: value.what === "warning" ? "burning" : "so" },
                  { value: "off", label: value.what === "warning" ? "out" : "not so" },
                ]
              : [
                  { value: "above", label: "above" },
                  { value: "below", label: "below" },
                ]
          }
          onChange={(is) => onChange({ ...value, is })}
        />
      )}
      {value && named && (
        <ChoiceField
          label="which"
          value={value.name ?? names[0]}
          choices={names.map((name) => ({ value: name, label: name }))}
          onChange={(name) => onChange({ ...value, name })}
        />
      )}
      {(value?.what === "height" || value?.what === "speed") && (
        <QuantityField
          label="of"
          kind={value.what}
          value={value.value ?? 0}
          check={(of) => (of >= 0 && of <= 20_000 ? null : "From 0 to 20 000.")}
          onChange={(of) => onChange({ ...value, value: of })}
        />
      )}
    </div>
  );
}
