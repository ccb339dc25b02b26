// Keeps a process running: one that dies, or answers no more, is started again; one that dies too often is given up
// with the reason.
import { isLeaving, kill } from "./processes.mjs";

/** How often it is asked, how long it may be silent, and how long one question may take, ms. */
const [ASKED_EVERY_MS, SILENCE_MS] = [2000, 10_000];
/** So many ends within so long are too many. */
const [TOO_MANY, WITHIN_MS] = [5, 60_000];
/** Longest wait before a new start. */
const LONGEST_WAIT_MS = 5000;
/** Wait before the first new start; every further one within a minute waits twice as long. */
const FIRST_WAIT_MS = 250;

/**
 * Starts a process and keeps it running.
 *
 * @param {{
 *   name: string,
 *   start: () => Promise<import("node:child_process").ChildProcess>,
 *   answers: () => Promise<boolean>,
 *   say: (line: string) => void,
 *   giveUp: (reason: string) => void,
 *   silence_ms?: number,
 *   every_ms?: number,
 *   tooMany?: number,
 * }} options - `answers` may take as long as it likes; `tooMany` ends within a minute are given up
 * @returns {Promise<{ stop: () => void }>} resolved when it has started for the first time
 */
export async function keepRunning({
  name,
  start,
  answers,
  say,
  giveUp,
  silence_ms = SILENCE_MS,
  every_ms = ASKED_EVERY_MS,
  tooMany = TOO_MANY,
}) {
  let stopped = false;
  let child = await start();
  let answered = Date.now();
  /** @type {number[]} */
  let ends = [];

  const watchEnd = () =>
    child.once("exit", (code, signal) => void again(`${name} ended with ${signal ?? code ?? "nothing"}`));

  /** @param {string} what */
  const again = async (what) => {
    if (stopped || isLeaving()) return;
    ends = [...ends.filter((time) => Date.now() - time < WITHIN_MS), Date.now()];
    if (ends.length >= tooMany) {
      stopped = true;
      return giveUp(`${what}, for the ${tooMany}th time within a minute. It is not started again.`);
    }
    const wait_ms = Math.min(FIRST_WAIT_MS * 2 ** (ends.length - 1), LONGEST_WAIT_MS);
    say(`${what}; it is started again in ${(wait_ms / 1000).toFixed(1)} s.`);
    await new Promise((resolve) => setTimeout(resolve, wait_ms));
    if (stopped || isLeaving()) return;
    try {
      child = await start();
    } catch (error) {
      return again(`${name} could not be started (${error instanceof Error ? error.message : String(error)})`);
    }
    if (stopped) return;
    answered = Date.now();
    say(`${name} runs again.`);
    watchEnd();
  };
  watchEnd();

  const timer = setInterval(() => {
    const asked = child;
    void answers().then((good) => {
      if (good && asked === child) answered = Date.now();
    });
    if (Date.now() - answered > silence_ms && child.exitCode === null && child.signalCode === null) {
      say(`${name} has not answered for ${Math.round(silence_ms / 1000)} s and is ended.`);
      answered = Date.now();
      kill(child);
    }
  }, every_ms);
  timer.unref();
  return {
    stop: () => {
      stopped = true;
      clearInterval(timer);
    },
  };
}
