"use client";
import { Panel } from "@/ui/kit/dialogs/Panel";
import { useCommands } from "./useCommands";

/** Keys that work while the map has the focus. */
const MAP_KEYS = [
  ["← ↑ → ↓", "move the aircraft a tenth of a mile; with Shift a mile"],
  ["[  ]", "turn the heading 5° left, right"],
  ["Page ↑  Page ↓", "100 ft higher, lower"],
  ["+  −", "closer, farther"],
  ["c", "the aircraft to the middle"],
] as const;

/** Which key does what. */
export function KeyList() {
  const commands = useCommands().filter((command) => command.keyLabel);
  return (
    <Panel name="keys" title="Keys">
      <dl className="grid grid-cols-[auto_1fr] items-baseline gap-x-5 gap-y-1.5">
        {commands.map((command) => (
          <Row key={command.title} keys={command.keyLabel} says={command.title} />
        ))}
      </dl>
      <h3 className="mt-4 mb-2 font-bold">On the map</h3>
      <dl className="grid grid-cols-[auto_1fr] items-baseline gap-x-5 gap-y-1.5">
        {MAP_KEYS.map(([keys, says]) => (
          <Row key={keys} keys={keys} says={says} />
        ))}
      </dl>
      <p className="mt-4 text-ink2">
        In a number field the arrows change the value by a step, with Shift by ten steps. Tab goes from figure to
        figure; Enter opens its working.
      </p>
    </Panel>
  );
}

function Row({ keys, says }: { keys: string; says: string }) {
  return (
    <>
      <dt>
        <kbd className="key">{keys}</kbd>
      </dt>
      <dd>{says}</dd>
    </>
  );
}
