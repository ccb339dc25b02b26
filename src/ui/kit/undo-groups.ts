/** Changes closer together than this are one step to undo: a drag, a word typed. */
const STEP_MS = 700;

/** Groups the changes of one store; a group ends when the next change comes late enough, or when it is ended. */
export function undoGroups(): {
  grouped<A extends unknown[]>(call: (...args: A) => void): (...args: A) => void;
  hold(): void;
  end(): void;
} {
  let last_ms = -Infinity;
  /** A group that lasts however long it pauses; it has begun with its first change. */
  let held: "no" | "waiting" | "begun" = "no";
  return {
    /** Calls through at the start of a group only. */
    grouped:
      (call) =>
      (...args) => {
        const now = performance.now();
        if (held === "waiting" || (held === "no" && now - last_ms > STEP_MS)) call(...args);
        if (held === "waiting") held = "begun";
        last_ms = now;
      },
    /** Everything from now on is one group, until it is ended. */
    hold: () => {
      held = "waiting";
    },
    end: () => {
      held = "no";
      last_ms = -Infinity;
    },
  };
}
