"use client";
import { Command } from "cmdk";
import { useDialogs } from "@/ui/kit/dialogs/dialogs-store";
import { useCommands } from "./useCommands";

const GROUPS = ["Stages", "Situation", "Path", "Page"] as const;

/** Everything that can be done, found by typing. */
export function CommandPalette() {
  const shown = useDialogs((state) => state.shown === "commands");
  const show = useDialogs((state) => state.show);
  const commands = useCommands();
  return (
    <Command.Dialog
      open={shown}
      onOpenChange={(open) => show(open ? "commands" : null)}
      label="Commands"
      overlayClassName="fixed inset-0 z-40 bg-[#0b0e13]/35"
      contentClassName="panel fixed top-[14vh] left-1/2 z-50 w-[92vw] max-w-xl -translate-x-1/2"
    >
      <Command.Input
        placeholder="What would you like to do?"
        className="w-full border-b border-rule bg-transparent px-4 py-3 outline-none"
      />
      <Command.List className="max-h-[52vh] overflow-auto p-2">
        <Command.Empty className="px-3 py-2 text-ink2">Nothing of that name.</Command.Empty>
        {GROUPS.map((group) => (
          <Command.Group
            key={group}
            heading={group}
            className="[&_[cmdk-group-heading]]:px-3 [&_[cmdk-group-heading]]:pt-2 [&_[cmdk-group-heading]]:text-[13px] [&_[cmdk-group-heading]]:text-ink2"
          >
            {commands
              .filter((command) => command.group === group)
              .map((command) => (
                <Command.Item
                  key={command.title}
                  className="flex justify-between rounded px-3 py-1.5 data-[selected=true]:bg-mark"
                  onSelect={() => {
                    show(null);
                    command.run();
                  }}
                >
                  {command.title}
                  {command.keyLabel && <kbd className="key">{command.keyLabel}</kbd>}
                </Command.Item>
              ))}
          </Command.Group>
        ))}
      </Command.List>
    </Command.Dialog>
  );
}
