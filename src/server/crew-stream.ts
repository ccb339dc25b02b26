// A crew's log as a stream of server-sent events: from where the browser has it, and then as it grows; of a flight what
// is shown of it too, as it changes.
import { hearCrew } from "./crew-bus";
import { shownSince } from "./crew-shown";
import { type Member, crewClock, crewEventsAfter } from "./crews";

/** So often the log is looked at though nothing was heard: what another process has told may have got lost. */
const LOOK_MS = 5000;
/** A stream ends then, and the browser opens another. */
const LONGEST_MS = 30 * 60 * 1000;

/**
 * The stream. It ends by itself after half an hour or when the database is away; the browser then comes again with the
 * place that it has.
 *
 * @param after - the last line that the browser has; 0 for none
 * @param signal - aborted when the browser has gone
 * @param onEnd - called once when it is over
 */
export function crewStream(
  { crewId, of, role }: Member,
  after: number,
  signal: AbortSignal,
  onEnd: () => void,
): ReadableStream<Uint8Array> {
  const text = new TextEncoder();
  // Who flies shows it: he is shown nothing.
  const looksOn = of === "flight" && role !== "flying";
  let sent = after;
  let shown: Readonly<Record<string, number>> = {};
  let end = (): void => undefined;
  return new ReadableStream<Uint8Array>({
    start(controller) {
      let [over, busy, again, clock] = [false, false, false, true];
      const say = (lines: string) => {
        if (!over) controller.enqueue(text.encode(`${lines}\n\n`));
      };
      const look = async () => {
        // What grows while it is looked at is looked at once more.
        again = true;
        if (busy) return;
        busy = true;
        try {
          while (again && !over) {
            again = false;
            for (const event of await crewEventsAfter(crewId, sent)) {
              sent = event.seq;
              clock ||= event.did.kind === "go" || event.did.kind === "stop";
              say(`id: ${event.seq}\nevent: did\ndata: ${JSON.stringify(event)}`);
            }
            if (looksOn)
              for (const { part, revision, body } of await shownSince(crewId, shown)) {
                shown = { ...shown, [part]: revision };
                say(`event: shown\ndata: {"part":"${part}","body":${body}}`);
              }
            // Told at first, when it begins to go or to stand, and every some seconds: between, the browser counts.
            if (clock) say(`event: clock\ndata: ${JSON.stringify(await crewClock(crewId))}`);
            clock = false;
          }
        } catch {
          end();
        } finally {
          busy = false;
        }
      };
      const deaf = hearCrew(crewId, () => void look());
      const looking = setInterval(() => {
        clock = true;
        void look();
      }, LOOK_MS);
      const longest = setTimeout(() => end(), LONGEST_MS);
      end = () => {
        if (over) return;
        over = true;
        deaf();
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
      say("retry: 1000");
      void look();
    },
    cancel: () => end(),
  });
}
