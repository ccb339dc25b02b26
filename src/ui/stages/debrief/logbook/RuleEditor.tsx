"use client";
import { CurrencyRule, PRACTICE_WAYS } from "@/core/logbook/currency";
import { PRACTICES } from "@/core/logbook/logbook-entry";
import { CheckField } from "@/ui/kit/forms/CheckField";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { NumberField } from "@/ui/kit/forms/NumberField";
import { TextField } from "@/ui/kit/forms/TextField";
import { checkBy, checkText } from "@/ui/kit/forms/fault";
import { wayWords } from "./currency-words";
import { useRules } from "./currency-store";
import { PRACTICE_WORDS } from "./entry-lines";

const { name, note, times } = CurrencyRule.shape;

/** A rule that is changed. Of an example it is a rule of one's own in its place. */
export function RuleEditor({ draft }: { draft: CurrencyRule }) {
  const saved = useRules((state) => state.saved);
  const { change, save, remove, close } = useRules.getState();
  const set = (part: Partial<CurrencyRule>) => change({ ...draft, ...part });
  const { count, unit } = draft.within;
  const most = unit === "days" ? 1000 : 60;
  const keep = async () => {
    await save();
    if (useRules.getState().saved) close();
  };
  return (
    <form
      className="grid gap-2 border-t border-rule px-4 py-3"
      aria-label="Rule of currency"
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
    >
      <TextField
        label="Rule"
        value={draft.name}
        fault={checkText(name)(draft.name)}
        onChange={(text) => set({ name: text.slice(0, 60) })}
      />
      <ChoiceField
        label="Of what"
        value={draft.practice}
        choices={PRACTICES.map((value) => ({ value, label: PRACTICE_WORDS[value] }))}
        onChange={(practice) => set({ practice })}
      />
      <fieldset>
        <legend className="text-sm text-ink2">What counts</legend>
        {PRACTICE_WAYS.map((way) => (
          <CheckField
            key={way}
            label={wayWords(way)}
            checked={draft.ways.includes(way)}
            disabled={draft.ways.length === 1 && draft.ways[0] === way}
            onChange={(on) =>
              set({ ways: PRACTICE_WAYS.filter((one) => (one === way ? on : draft.ways.includes(one))) })
            }
          />
        ))}
      </fieldset>
      <div className="flex items-end gap-3">
        <NumberField
          label="Times"
          value={draft.times}
          unit=""
          digits={0}
          step={1}
          check={checkBy(times)}
          onChange={(value) => set({ times: Math.round(value) })}
        />
      </div>
      <div className="flex items-end gap-3">
        <NumberField
          label="Within"
          value={count}
          unit=""
          digits={0}
          step={1}
          check={(value) =>
            Number.isInteger(value) && value >= 1 && value <= most ? null : `1 to ${most}, a whole number.`
          }
          onChange={(value) => set({ within: { unit, count: Math.round(value) } })}
        />
        <ChoiceField
          label="Of"
          value={unit}
          choices={[
            { value: "days", label: "days" },
            { value: "months", label: "months" },
          ]}
          onChange={(of) => set({ within: { count: of === "months" ? Math.min(count, 60) : count, unit: of } })}
        />
      </div>
      <TextField
        label="Where it comes from"
        value={draft.note}
        fault={checkText(note)(draft.note)}
        onChange={(text) => set({ note: text.slice(0, 200) })}
      />
      <CheckField label="It holds for me" checked={draft.on} onChange={(on) => set({ on })} />
      <p className="flex gap-2">
        <button type="submit" className="btn">
          Save the rule
        </button>
        <button type="button" className="btn btn-quiet" onClick={close}>
          Close
        </button>
        {saved && (
          <button type="button" className="btn btn-quiet" onClick={() => void remove()}>
            {draft.inPlaceOf === null ? "Delete" : "Back to the example"}
          </button>
        )}
      </p>
    </form>
  );
}
