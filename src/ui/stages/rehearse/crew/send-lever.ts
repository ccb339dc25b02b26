import { useCrew } from "./crew-store";

/** A lever that is drawn is sent so often, ms; its last place always. */
const SEND_MS = 150;

const waiting = new Map<number, number>();
let timer: ReturnType<typeof setTimeout> | null = null;

/** Puts a lever of a flight elsewhere: where it is last is sent, not every place on the way. */
export function sendLever(control: number, value: number): void {
  waiting.set(control, value);
  timer ??= setTimeout(() => {
    timer = null;
    for (const [lever, place] of waiting) void useCrew.getState().act({ kind: "set", control: lever, value: place });
    waiting.clear();
  }, SEND_MS);
}
