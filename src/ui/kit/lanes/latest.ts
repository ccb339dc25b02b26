/** Runs one piece of work at a time; while it runs only the newest of what was asked waits, the rest is dropped. */
export function latestOnly(): (work: () => Promise<void>) => void {
  let waiting: (() => Promise<void>) | undefined;
  let busy = false;
  const drain = async () => {
    busy = true;
    while (waiting) {
      const next = waiting;
      waiting = undefined;
      await next();
    }
    busy = false;
  };
  return (work) => {
    waiting = work;
    if (!busy) void drain();
  };
}
