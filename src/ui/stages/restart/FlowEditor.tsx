"use client";
import { ArrowDown, ArrowUp, ListChecks, Plus, Trash2, X } from "lucide-react";
import { Dialog } from "radix-ui";
import { useState } from "react";
import { CauseItem, type Symptom } from "@/core/aircraft/cause-item";
import { causeFlow } from "@/core/restart/cause-flow";
import { useAircraftActions } from "@/ui/situation/useAircraftActions";
import { NumberField } from "@/ui/kit/forms/NumberField";
import { TextField } from "@/ui/kit/forms/TextField";
import { checkBy, checkText } from "@/ui/kit/forms/fault";
import { useAircraft } from "@/ui/situation/useAircraft";

const timeCheck = checkBy(CauseItem.shape.time_s);
const nameCheck = checkText(CauseItem.shape.name);
const actionCheck = checkText(CauseItem.shape.action);
const SYMPTOMS: readonly { value: Symptom; label: string }[] = [
  { value: "sudden", label: "at once" },
  { value: "surging", label: "surging" },
  { value: "fading", label: "fading" },
  { value: "rough", label: "rough" },
  { value: "after-change", label: "after a change" },
];

/** An id that no other item has. */
function freshId(items: readonly CauseItem[]): string {
  for (let i = items.length + 1; ; i += 1) if (!items.some((item) => item.id === `item-${i}`)) return `item-${i}`;
}

/** The aircraft's own cause check: items, order, seconds, and which symptom points to which. */
export function FlowEditor() {
  const { id, shared, document, version } = useAircraft();
  const { save } = useAircraftActions();
  const [items, setItems] = useState<readonly CauseItem[] | null>(null);
  const list = items ?? [];
  const change = (i: number, patch: Partial<CauseItem>) =>
    setItems(list.map((item, index) => (index === i ? { ...item, ...patch } : item)));
  const move = (i: number, by: number) => {
    const next = [...list];
    next.splice(i + by, 0, ...next.splice(i, 1));
    setItems(next);
  };
  const sound = list.length > 0 && list.every((item) => CauseItem.safeParse(item).success);
  return (
    <Dialog.Root
      open={items !== null}
      onOpenChange={(open) => setItems(open ? causeFlow(document).map((item) => ({ ...item })) : null)}
    >
      <Dialog.Trigger className="btn btn-quiet whitespace-nowrap">
        <ListChecks size={15} aria-hidden="true" /> Edit the check
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-[#0b0e13]/25" />
        <Dialog.Content
          className="panel fixed top-[4vh] left-1/2 z-50 flex max-h-[92vh] w-[900px] max-w-[96vw] -translate-x-1/2 flex-col"
          aria-describedby={undefined}
        >
          <div className="flex items-center gap-3 border-b border-rule px-5 py-3">
            <Dialog.Title className="mr-auto text-lg font-bold">Cause check of {document.name}</Dialog.Title>
            <button
              type="button"
              className="btn btn-quiet"
              onClick={() => setItems(causeFlow({ ...document, causeFlow: null }).map((item) => ({ ...item })))}
            >
              The usual one
            </button>
            <Dialog.Close className="rounded p-1 hover:bg-mark" aria-label="Close">
              <X size={18} aria-hidden="true" />
            </Dialog.Close>
          </div>
          <ol className="min-h-0 overflow-auto px-5 py-2">
            {list.map((item, i) => (
              <li
                key={item.id}
                className="grid grid-cols-[170px_minmax(0,1fr)_auto_auto] items-end gap-3 border-b border-rule py-2"
              >
                <TextField
                  label={`Item ${i + 1}`}
                  value={item.name}
                  fault={nameCheck(item.name)}
                  onChange={(name) => change(i, { name })}
                />
                <TextField
                  label="Do"
                  value={item.action}
                  fault={actionCheck(item.action)}
                  onChange={(action) => change(i, { action })}
                />
                <NumberField
                  label="Takes"
                  value={item.time_s}
                  unit="s"
                  digits={0}
                  step={1}
                  check={timeCheck}
                  onChange={(time_s) => change(i, { time_s })}
                />
                <span className="flex gap-1 pb-1.5">
                  <button
                    type="button"
                    className="rounded p-1 hover:bg-mark disabled:opacity-30"
                    disabled={i === 0}
                    aria-label={`${item.name} earlier`}
                    onClick={() => move(i, -1)}
                  >
                    <ArrowUp size={16} aria-hidden="true" />
                  </button>
                  <button
                    type="button"
                    className="rounded p-1 hover:bg-mark disabled:opacity-30"
                    disabled={i === list.length - 1}
                    aria-label={`${item.name} later`}
                    onClick={() => move(i, 1)}
                  >
                    <ArrowDown size={16} aria-hidden="true" />
                  </button>
                  <button
                    type="button"
                    className="rounded p-1 hover:bg-mark disabled:opacity-30"
                    disabled={list.length === 1}
                    aria-label={`Remove ${item.name}`}
                    onClick={() => setItems(list.filter((_, index) => index !== i))}
                  >
                    <Trash2 size={16} aria-hidden="true" />
                  </button>
                </span>
                <fieldset className="col-span-4 flex flex-wrap gap-x-4 gap-y-1 text-[13px]">
                  <legend className="float-left mr-3 text-ink2">first when it stopped</legend>
                  {SYMPTOMS.map(({ value, label }) => (
                    <label key={value} className="flex items-center gap-1.5">
                      <input
                        type="checkbox"
                        className="size-3.5 accent-harbour"
                        checked={item.symptoms.includes(value)}
                        onChange={(event) =>
                          change(i, {
                            symptoms: event.currentTarget.checked
                              ? [...item.symptoms, value]
                              : item.symptoms.filter((other) => other !== value),
                          })
                        }
                      />
                      {label}
                    </label>
                  ))}
                </fieldset>
              </li>
            ))}
          </ol>
          <div className="flex items-center gap-3 border-t border-rule px-5 py-3">
            <button
              type="button"
              className="btn btn-quiet"
              disabled={list.length >= 30}
              onClick={() =>
                setItems([...list, { id: freshId(list), name: "New item", action: "", time_s: 3, symptoms: [] }])
              }
            >
              <Plus size={15} aria-hidden="true" /> Item
            </button>
            <p className="text-[13px] text-ink2">
              {shared ? "Saved as an aircraft of your own: the library’s stays as it is." : "Saved with the aircraft."}
            </p>
            <button
              type="button"
              className="btn btn-primary ml-auto"
              disabled={!sound}
              onClick={() =>
                void save(id, shared, { ...document, causeFlow: [...list] }, version).then(
                  (saved) => saved && setItems(null),
                )
              }
            >
              Save the check
            </button>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
