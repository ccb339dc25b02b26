// How the analyses of an account's logs stand, as they go on.
import { jobsOf } from "./log-jobs";

/** It is looked so often, and a stream ends then: the browser opens another, ms. */
const [LOOK_MS, LONGEST_MS] = [700, 10 * 60 * 1000];

/**
 * A stream of `jobs`, each the whole of what is not done yet; it ends when nothing is under way any more.
 *
 * @param signal - aborted when the browser has gone
 * @param onEnd - called once when it is over
 */
export function jobStream(accountId: string, signal: AbortSignal, onEnd: () => void): ReadableStream<Uint8Array> {
  const text = new TextEncoder();
  let end = (): void => undefined;
  return new ReadableStream<Uint8Array>({
    start(controller) {
      let [over, busy, last] = [false, false, ""];
      const say = (lines: string) => {
        if (!over) controller.enqueue(text.encode(`${lines}\n\n`));
      };
      const look = async () => {
        if (busy || over) return;
        busy = true;
        try {
          const jobs = await jobsOf(accountId);
          const now = JSON.stringify(jobs);
          if (now !== last) say(`event: jobs\ndata: ${now}`);
          last = now;
          if (Object.values(jobs).every(({ state }) => state === "failed")) {
            say("event: over\ndata: {}");
            end();
          }
        } catch {
          end();
        } finally {
          busy = false;
        }
      };
      const looking = setInterval(() => void look(), LOOK_MS);
      const longest = setTimeout(() => end(), LONGEST_MS);
      end = () => {
        if (over) return;
        over = true;
        clearInterval(looking);
        clearTimeout(longest);
        onEnd();
        try {
          controller.close();
        } catch {
          // The browser has gone first.
        }
      };
      signal.addEventListener("abort", () => end());
      say("retry: 2000");
      void look();
    },
    cancel: () => end(),
  });
}
