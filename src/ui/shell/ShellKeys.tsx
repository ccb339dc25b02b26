"use client";
import { useHotkeys } from "react-hotkeys-hook";
import { useKeysHeld } from "@/ui/kit/keys-held";
import type { Command } from "@/ui/stages/stage-face";
import { useCommands } from "./useCommands";

/** Whether keys belong to the field that has the focus: text, numbers, lists; not boxes to tick. */
function typesInto(target: EventTarget | null): boolean {
  if (target instanceof HTMLInputElement) return !["checkbox", "radio", "button", "range"].includes(target.type);
  return target instanceof HTMLTextAreaElement || target instanceof HTMLSelectElement;
}

/** Makes the commands' keys work. */
export function ShellKeys() {
  return useCommands()
    .filter((command) => command.keys)
    .map((command) => <CommandKey key={command.title} command={command} />);
}

function CommandKey({ command }: { command: Command }) {
  const held = useKeysHeld((state) => state.held);
  const saves = command.keys.includes("ctrl+s");
  // The character counts, not the place on the keyboard. Saving works from inside a field too; undoing there is the
  // field's own.
  useHotkeys(command.keys, command.run, {
    useKey: true,
    enabled: held === null,
    preventDefault: true,
    enableOnFormTags: true,
    ignoreEventWhen: (event) => !saves && typesInto(event.target),
  });
  return null;
}
