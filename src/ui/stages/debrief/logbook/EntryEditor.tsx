"use client";
import { Plus, X } from "lucide-react";
import { type ReactNode, useState } from "react";
import {
  ENTRY_KINDS,
  type EntrySource,
  LogbookEntry,
  PRACTICES,
  ShutdownRecord,
  TabRecord,
} from "@/core/logbook/logbook-entry";
import { ZERO_CELSIUS_K, M_PER_FT, MPS_PER_KT } from "@/core/quantities/constants";
import { download, fileName } from "@/ui/kit/download";
import { AngleField } from "@/ui/kit/forms/AngleField";
import { CheckField } from "@/ui/kit/forms/CheckField";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { NumberField } from "@/ui/kit/forms/NumberField";
import { QuantityField } from "@/ui/kit/forms/QuantityField";
import { TextField } from "@/ui/kit/forms/TextField";
import { checkBy, checkText } from "@/ui/kit/forms/fault";
import { OwnActions } from "@/ui/library/own/OwnActions";
import { flightWords, runWords, useOwnFlown } from "../useOwnFlown";
import { CAUSE_CHOICES, KIND_WORDS, PRACTICE_WORDS } from "./entry-lines";
import { search, useEntries, useLogbook } from "./logbook-store";

const { name, aircraft, learnt, change, at } = LogbookEntry.shape;
const cost = LogbookEntry.shape.cost.shape;
const [tabShape, shutdownShape] = [TabRecord.shape, ShutdownRecord.shape];

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
          <Moment at={draft.at} onChange={(moment) => set({ at: moment })} />
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
        <List
          title="Why: what was seen first, then what it came of"
          items={draft.causes}
          most={12}
          add={() => set({ causes: [...draft.causes, { kind: "technical", words: "…" }] })}
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
        <List
          title="What was done, in its order"
          items={draft.actions}
          most={80}
          add={() => set({ actions: [...draft.actions, { at_s: null, words: "…" }] })}
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
          <Words
            label="What was learnt"
            value={draft.learnt}
            check={checkText(learnt)}
            onChange={(text) => set({ learnt: text })}
          />
          <Words
            label="What will change"
            value={draft.change}
            check={checkText(change)}
            onChange={(text) => set({ change: text })}
          />
          <Split
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
          <Split
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
        <Sources draft={draft} set={set} />
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
        <Shutdown draft={draft} set={set} />
        <Tab draft={draft} set={set} />
      </div>
    </div>
  );
}

type Put = (part: Partial<LogbookEntry>) => void;

/** What it came from: drills, flights by hand, logs; one entry may tell of several. */
function Sources({ draft, set }: { draft: LogbookEntry; set: Put }) {
  const { runs, flights, logs } = useOwnFlown();
  const known = new Set(draft.sources.map(({ id }) => id));
  const all: EntrySource[] = [
    ...runs.map((run) => ({ kind: "run" as const, id: run.id, name: runWords(run) })),
    ...flights.map((flight) => ({ kind: "flight" as const, id: flight.id, name: flightWords(flight).slice(0, 120) })),
    ...logs.map(({ id, name: called }) => ({ kind: "log" as const, id, name: called })),
  ].filter(({ id }) => !known.has(id));
  return (
    <section className="max-w-3xl" aria-label="Came from">
      <h3 className="font-bold">Came from</h3>
      <ul>
        {draft.sources.map(({ id, kind, name: called }) => (
          <li key={id} className="flex items-center gap-2">
            {SOURCE_WORDS[kind]}: {called}
            <button
              type="button"
              className="btn btn-quiet px-2 py-0"
              aria-label={`Take ${called} out`}
              onClick={() => set({ sources: draft.sources.filter((one) => one.id !== id) })}
            >
              <X size={14} aria-hidden="true" />
            </button>
          </li>
        ))}
      </ul>
      {draft.sources.length < 6 && all.length > 0 && (
        <select
          className="field mt-1 w-80"
          aria-label="Add a source"
          value=""
          onChange={(event) => {
            const one = all.find(({ id }) => id === event.currentTarget.value);
            if (one) set({ sources: [...draft.sources, one] });
          }}
        >
          <option value="">add one …</option>
          {all.map(({ id, kind, name: called }) => (
            <option key={id} value={id}>
              {SOURCE_WORDS[kind]}: {called}
            </option>
          ))}
        </select>
      )}
    </section>
  );
}

const SOURCE_WORDS: Record<EntrySource["kind"], string> = { run: "drill", flight: "by hand", log: "log", card: "card" };

function Shutdown({ draft, set }: { draft: LogbookEntry; set: Put }) {
  const { shutdown } = draft;
  const put = (part: Partial<ShutdownRecord>) => shutdown && set({ shutdown: { ...shutdown, ...part } });
  return (
    <fieldset>
      <legend>
        <CheckField
          label="An engine was shut down"
          checked={shutdown !== null}
          onChange={(on) =>
            set({
              shutdown: on
                ? { engine: "the engine", height_m: 5000 * M_PER_FT, off_s: 180, tries: 1, started: true, oil_K: null }
                : null,
            })
          }
        />
      </legend>
      {shutdown && (
        <div className="mt-1 grid max-w-3xl grid-cols-[repeat(auto-fill,minmax(170px,1fr))] items-start gap-x-5 gap-y-2">
          <ChoiceField
            label="Which"
            value={shutdown.engine}
            choices={shutdownShape.engine.options.map((value) => ({ value, label: value }))}
            onChange={(engine) => put({ engine })}
          />
          <QuantityField
            label="Height over the ground"
            kind="height"
            value={shutdown.height_m}
            check={checkBy(shutdownShape.height_m)}
            onChange={(height_m) => put({ height_m })}
            onClear={() => put({ height_m: null })}
          />
          <NumberField
            label="Off for"
            value={shutdown.off_s}
            unit="s"
            digits={0}
            step={10}
            check={checkBy(shutdownShape.off_s)}
            onChange={(off_s) => put({ off_s })}
          />
          <NumberField
            label="Tries to start"
            value={shutdown.tries}
            unit=""
            digits={0}
            step={1}
            check={checkBy(shutdownShape.tries)}
            onChange={(tries) => put({ tries: Math.round(tries) })}
          />
          <QuantityField
            label="Oil before the start"
            kind="temperature"
            value={shutdown.oil_K}
            check={checkBy(shutdownShape.oil_K)}
            onChange={(oil_K) => put({ oil_K })}
            onClear={() => put({ oil_K: null })}
            hint={
              shutdown.oil_K === null
                ? undefined
                : shutdown.oil_K < ZERO_CELSIUS_K + 40
                  ? "Cold: look for a longer warm-up."
                  : undefined
            }
          />
          <CheckField label="It started" checked={shutdown.started} onChange={(started) => put({ started })} />
        </div>
      )}
    </fieldset>
  );
}

function Tab({ draft, set }: { draft: LogbookEntry; set: Put }) {
  const { tab } = draft;
  const put = (part: Partial<TabRecord>) => tab && set({ tab: { ...tab, ...part } });
  return (
    <fieldset>
      <legend>
        <CheckField
          label="The trim tab was set"
          checked={tab !== null}
          onChange={(on) =>
            set({ tab: on ? { speed_mps: 95 * MPS_PER_KT, before_rad: 0, after_rad: 0, ball: 0 } : null })
          }
        />
      </legend>
      {tab && (
        <div className="mt-1 grid max-w-3xl grid-cols-[repeat(auto-fill,minmax(170px,1fr))] items-start gap-x-5 gap-y-2">
          <QuantityField
            label="At"
            kind="speed"
            value={tab.speed_mps}
            check={checkBy(tabShape.speed_mps)}
            onChange={(speed_mps) => put({ speed_mps })}
          />
          <AngleField
            label="Tab before, right +"
            step={1}
            value={tab.before_rad}
            check={checkBy(tabShape.before_rad)}
            onChange={(before_rad) => put({ before_rad })}
          />
          <AngleField
            label="Tab after, right +"
            step={1}
            value={tab.after_rad}
            check={checkBy(tabShape.after_rad)}
            onChange={(after_rad) => put({ after_rad })}
          />
          <NumberField
            label="Ball, feet off, right +"
            value={tab.ball}
            unit="widths"
            digits={1}
            step={0.1}
            check={checkBy(tabShape.ball)}
            onChange={(ball) => put({ ball })}
          />
        </div>
      )}
    </fieldset>
  );
}

/** A day and a time of UTC. */
function Moment({ at: value, onChange }: { at: string; onChange: (at: string) => void }) {
  const [typed, setTyped] = useState<string | null>(null);
  const shown = typed ?? value.slice(0, 16).replace("T", " ");
  const read = (text: string) => `${text.trim().replace(" ", "T")}:00.000Z`;
  const fault = typed !== null && checkText(at)(read(typed)) !== null ? "YYYY-MM-DD hh:mm, UTC, 1950 to 2099." : null;
  return (
    <div onBlur={() => fault === null && setTyped(null)}>
      <TextField
        label="When, UTC"
        value={shown}
        fault={fault}
        onChange={(text) => {
          setTyped(text);
          if (checkText(at)(read(text)) === null) onChange(read(text));
        }}
      />
    </div>
  );
}

/** A few sentences. */
function Words({
  label,
  value,
  check,
  onChange,
}: {
  label: string;
  value: string;
  check: (text: string) => string | null;
  onChange: (text: string) => void;
}) {
  const fault = check(value);
  return (
    <label className="col-span-full block max-w-2xl text-sm text-ink2">
      {label}
      <textarea
        className="field mt-0.5 text-[15px]"
        rows={3}
        maxLength={2000}
        value={value}
        aria-invalid={fault ? true : undefined}
        onChange={(event) => onChange(event.currentTarget.value)}
      />
      {fault && <span role="alert">{fault}</span>}
    </label>
  );
}

/** Several in one line: what is typed stays as it is until the field is left. */
function Split<T>({
  label,
  value,
  read,
  onChange,
}: {
  label: string;
  value: string;
  read: (text: string) => T[];
  onChange: (some: T[]) => void;
}) {
  const [typed, setTyped] = useState<string | null>(null);
  return (
    <div className="col-span-full max-w-xl" onBlur={() => setTyped(null)}>
      <TextField
        label={label}
        value={typed ?? value}
        fault={null}
        onChange={(text) => {
          setTyped(text);
          onChange(read(text));
        }}
      />
    </div>
  );
}

/** A list whose rows are added, moved and taken out. */
function List<T>({
  title,
  items,
  most,
  add,
  onMove,
  onRemove,
  row,
}: {
  title: string;
  items: readonly T[];
  most: number;
  add: () => void;
  onMove: (i: number, by: number) => void;
  onRemove: (i: number) => void;
  row: (item: T, i: number) => ReactNode;
}) {
  return (
    <section className="max-w-3xl" aria-label={title}>
      <h3 className="font-bold">{title}</h3>
      <ol>
        {items.map((item, i) => (
          <li key={i} className="flex items-end gap-2 py-0.5">
            {row(item, i)}
            <button
              type="button"
              className="btn btn-quiet px-2"
              aria-label={`Move ${i + 1} up`}
              disabled={i === 0}
              onClick={() => onMove(i, -1)}
            >
              ↑
            </button>
            <button
              type="button"
              className="btn btn-quiet px-2"
              aria-label={`Take ${i + 1} out`}
              onClick={() => onRemove(i)}
            >
              <X size={14} aria-hidden="true" />
            </button>
          </li>
        ))}
      </ol>
      {items.length < most && (
        <button type="button" className="btn btn-quiet" onClick={add}>
          <Plus size={14} aria-hidden="true" /> One more
        </button>
      )}
    </section>
  );
}
