// What is sent to the server once it can be reached: kept in the browser until then, so that nothing of it is lost.
import { keptAs } from "@/ui/kit/kept";
import { send } from "@/ui/kit/request";

/** Something that is sent under an id of its own, so that sending it twice does no harm. */
interface Sent {
  readonly id: string;
}

/** Most that waits in the browser; the oldest goes first. */
const MOST = 200;

/**
 * A queue by its name in the browser's store.
 *
 * @param url - where it is posted to
 * @param body - of some that are sent together
 * @param together - how many at once
 */
export function keptQueue<T extends Sent>(
  name: string,
  url: string,
  body: (some: readonly T[]) => unknown,
  together: number,
) {
  const read = (): T[] => {
    try {
      const list: unknown = JSON.parse(localStorage.getItem(keptAs(name)) ?? "[]");
      return Array.isArray(list) ? (list as T[]) : [];
    } catch {
      return [];
    }
  };
  const write = (list: readonly T[]) => localStorage.setItem(keptAs(name), JSON.stringify(list.slice(-MOST)));
  let sending = false;
  return {
    waiting: read,
    /** Puts something in, and sends all that waits. Returns what the server does not take, in words; null otherwise. */
    async put(one: T): Promise<string | null> {
      write([...read(), one]);
      return this.flush();
    },
    /** Sends what waits; stays as it is while the server is away. */
    async flush(): Promise<string | null> {
      if (sending) return null;
      sending = true;
      try {
        for (let some = read().slice(0, together); some.length > 0; some = read().slice(0, together)) {
          const answer = await send("POST", url, body(some));
          if (!answer.ok && answer.away) return null;
          // What is refused would be refused again: it is told and not kept.
          write(read().filter(({ id }) => !some.some((sent) => sent.id === id)));
          if (!answer.ok) return answer.issues.map(({ message }) => message).join(" ");
        }
        return null;
      } finally {
        sending = false;
      }
    },
  };
}
