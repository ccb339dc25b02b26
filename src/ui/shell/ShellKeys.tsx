"use client";
import { useHotkeys } from "react-hotkeys-hook";
import { type Command, useCommands } from "./useCommands";

/** Makes the commands' keys work. */
export function ShellKeys() {
  return useCommands()
    .filter((command) => command.keys)
    .map((command) => <CommandKey key={command.title} command={command} />);
}

function CommandKey({ command }: { command: Command }) {
  // The character counts, not the place on the keyboard. Saving works from inside a field too; undoing there is the field's own.
  useHotkeys(command.keys, command.run, { useKey: true, preventDefault: true, enableOnFormTags: command.keys.includes("ctrl+s") });
  return null;
}
