/** Changes closer together than this are one step to undo: a drag, a word typed. */
const STEP_MS = 700;

/** Groups the changes of one store; a group ends when the next change comes late enough, or when it is ended. */
export function undoGroups(): { grouped<A extends unknown[]>(call: (...args: A) => void): (...args: A) => void; end(): void } {
  let last_ms = -Infinity;
  return {
    /** Calls through at the start of a group only. */
    grouped: (call) => (...args) => {
      const now = performance.now();
      if (now - last_ms > STEP_MS) call(...args);
      last_ms = now;
    },
    end: () => {
      last_ms = -Infinity;
    },
  };
}
