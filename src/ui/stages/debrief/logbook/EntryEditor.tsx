"use client";
import { ENTRY_KINDS, LogbookEntry, PRACTICES } from "@/core/logbook/logbook-entry";
import { download, fileName } from "@/ui/kit/download";
import { CheckField } from "@/ui/kit/forms/CheckField";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { ListField } from "@/ui/kit/forms/ListField";
import { NumberField } from "@/ui/kit/forms/NumberField";
import { QuantityField } from "@/ui/kit/forms/QuantityField";
import { TextField } from "@/ui/kit/forms/TextField";
import { checkBy, checkText } from "@/ui/kit/forms/fault";
import { OwnActions } from "@/ui/library/own/OwnActions";
import { MomentField, SplitField, WordsField } from "./EntryFields";
import { ShutdownFields, TabFields } from "./EntryRecords";
import { EntrySources } from "./EntrySources";
import { CAUSE_CHOICES, KIND_WORDS, PRACTICE_WORDS } from "./entry-lines";
import { search, useEntries, useLogbook } from "./logbook-store";

const { name, aircraft, learnt, change } = LogbookEntry.shape;
const cost = LogbookEntry.shape.cost.shape;

/** Change of the place of one in a list. */
function moved<T>(list: readonly T[], from: number, by: number): T[] {
  const to = from + by;
  if (to < 0 || to >= list.length) return [...list];
  const copy = [...list];
  [copy[from], copy[to]] = [copy[to], copy[from]];
  return copy;
}
/** An entry that is written. */
export function EntryEditor({ draft }: { draft: LogbookEntry }) {
  const { past, future, saved } = useEntries();
  const { change: put, undo, redo, save, remove, close } = useEntries.getState();
  const set = (part: Partial<LogbookEntry>) => put({ ...draft, ...part });
  return (
    <div className="grid min-h-0 min-w-0 grid-cols-[minmax(0,1fr)] grid-rows-[auto_minmax(0,1fr)]">
      <div className="flex items-end gap-2 border-b border-rule px-4 py-1.5">
        <h2 className="font-bold">{saved ? "Entry" : "New entry"}</h2>
        <OwnActions
          noun="entry"
          undoable={past.length > 0}
          redoable={future.length > 0}
          unsaved={JSON.stringify(saved?.document) !== JSON.stringify(draft)}
          stored={saved !== null}
          onUndo={undo}
          onRedo={redo}
          onExport={() =>
            download(`entry-${fileName(draft.name)}.json`, "application/json", JSON.stringify(draft, null, 2))
          }
          onRemove={() =>
            void remove().then(() => {
              useLogbook.setState({ read: null });
              void search();
            })
          }
          onSave={() => void save().then(() => search())}
          onClose={() => {
            close();
            useLogbook.setState({ read: saved?.id ?? null });
          }}
        />
      </div>
      <div
        className="grid min-h-0 grid-cols-[minmax(0,1fr)] content-start gap-4 overflow-auto px-5 py-3"
        tabIndex={0}
        role="region"
        aria-label="The entry"
      >
        <div className="grid max-w-3xl grid-cols-[repeat(auto-fill,minmax(190px,1fr))] items-start gap-x-5 gap-y-2">
          <div className="col-span-full max-w-xl">
            <TextField
              label="What failed"
              value={draft.name}
              fault={checkText(name)(draft.name)}
              onChange={(text) => set({ name: text.slice(0, 80) })}
            />
          </div>
          <MomentField at={draft.at} onChange={(moment) => set({ at: moment })} />
          <ChoiceField
            label="Where"
            value={draft.kind}
            choices={ENTRY_KINDS.map((value) => ({ value, label: KIND_WORDS[value] }))}
            onChange={(kind) => set({ kind })}
          />
          <TextField
            label="Aircraft"
            value={draft.aircraft}
            fault={checkText(aircraft)(draft.aircraft)}
            onChange={(text) => set({ aircraft: text.slice(0, 60) })}
          />
        </div>
        <ListField
          title="Why: what was seen first, then what it came of"
          items={draft.causes}
          most={12}
          add={() => set({ causes: [...draft.causes, { kind: "technical", words: "" }] })}
          onMove={(i, by) => set({ causes: moved(draft.causes, i, by) })}
          onRemove={(i) => set({ causes: draft.causes.filter((_, at) => at !== i) })}
          row={(cause, i) => (
            <>
              <ChoiceField
                label="Of what kind"
                value={cause.kind}
                choices={CAUSE_CHOICES}
                onChange={(kind) => set({ causes: draft.causes.map((one, at) => (at === i ? { ...one, kind } : one)) })}
              />
              <div className="min-w-0 flex-1">
                <TextField
                  label={`Cause ${i + 1}`}
                  value={cause.words}
                  fault={cause.words.trim() === "" ? "A few words are needed." : null}
                  onChange={(words) =>
                    set({
                      causes: draft.causes.map((one, at) => (at === i ? { ...one, words: words.slice(0, 200) } : one)),
                    })
                  }
                />
              </div>
            </>
          )}
        />
        <ListField
          title="What was done, in its order"
          items={draft.actions}
          most={80}
          add={() => set({ actions: [...draft.actions, { at_s: null, words: "" }] })}
          onMove={(i, by) => set({ actions: moved(draft.actions, i, by) })}
          onRemove={(i) => set({ actions: draft.actions.filter((_, at) => at !== i) })}
          row={(action, i) => (
            <>
              <NumberField
                label="After"
                value={action.at_s}
                unit="s"
                digits={0}
                step={1}
                check={(value) => (value >= -3600 && value <= 86_400 ? null : "−1 to 24 h.")}
                onChange={(at_s) =>
                  set({ actions: draft.actions.map((one, at) => (at === i ? { ...one, at_s } : one)) })
                }
                onClear={() =>
                  set({ actions: draft.actions.map((one, at) => (at === i ? { ...one, at_s: null } : one)) })
                }
              />
              <div className="min-w-0 flex-1">
                <TextField
                  label={`Step ${i + 1}`}
                  value={action.words}
                  fault={action.words.trim() === "" ? "A few words are needed." : null}
                  onChange={(words) =>
                    set({
                      actions: draft.actions.map((one, at) =>
                        at === i ? { ...one, words: words.slice(0, 200) } : one,
                      ),
                    })
                  }
                />
              </div>
            </>
          )}
        />
        <div className="grid max-w-3xl grid-cols-[repeat(auto-fill,minmax(190px,1fr))] items-start gap-x-5 gap-y-2">
          <QuantityField
            label="Height that it cost"
            kind="height"
            value={draft.cost.height_m}
            check={checkBy(cost.height_m)}
            onChange={(height_m) => set({ cost: { ...draft.cost, height_m } })}
            onClear={() => set({ cost: { ...draft.cost, height_m: null } })}
          />
          <NumberField
            label="Time that it cost"
            value={draft.cost.time_s}
            unit="s"
            digits={0}
            step={5}
            check={checkBy(cost.time_s)}
            onChange={(time_s) => set({ cost: { ...draft.cost, time_s } })}
            onClear={() => set({ cost: { ...draft.cost, time_s: null } })}
          />
          <WordsField
            label="What was learnt"
            value={draft.learnt}
            check={checkText(learnt)}
            onChange={(text) => set({ learnt: text })}
          />
          <WordsField
            label="What will change"
            value={draft.change}
            check={checkText(change)}
            onChange={(text) => set({ change: text })}
          />
          <SplitField
            label="Tags, with commas between"
            value={draft.tags.join(", ")}
            read={(text) =>
              text
                .split(",")
                .map((tag) => tag.trim().slice(0, 24))
                .filter(Boolean)
                .slice(0, 12)
            }
            onChange={(tags) => set({ tags })}
          />
          <SplitField
            label="Who: name = role, with commas between"
            value={draft.people.map((one) => `${one.name} = ${one.role}`).join(", ")}
            read={(text) =>
              text
                .split(",")
                .map((one) => one.split("=").map((part) => part.trim().slice(0, 40)))
                .flatMap(([who, role]) => (who && role ? [{ name: who, role }] : []))
                .slice(0, 8)
            }
            onChange={(people) => set({ people })}
          />
        </div>
        <EntrySources draft={draft} set={set} />
        <fieldset>
          <legend className="font-bold">Counts as practice of</legend>
          <div className="flex flex-wrap gap-x-5 gap-y-1">
            {PRACTICES.map((practice) => (
              <CheckField
                key={practice}
                label={PRACTICE_WORDS[practice]}
                checked={draft.practised.includes(practice)}
                onChange={(on) =>
                  set({ practised: PRACTICES.filter((one) => (one === practice ? on : draft.practised.includes(one))) })
                }
              />
            ))}
          </div>
        </fieldset>
        <ShutdownFields draft={draft} set={set} />
        <TabFields draft={draft} set={set} />
      </div>
    </div>
  );
}
