// The watch over processes, with small ones that die, hang and fail to start.
import type { ChildProcess } from "node:child_process";
import { afterEach, describe, expect, it } from "vitest";
import { kill, launch } from "./processes.mjs";
import { keepRunning } from "./watch.mjs";

const started: ChildProcess[] = [];
let stopWatching = () => {};
afterEach(() => {
  stopWatching();
  for (const child of started.splice(0)) kill(child);
});

/** Watches sleeping processes; `start` may be told to fail. */
async function watched(options: Partial<Parameters<typeof keepRunning>[0]> = {}) {
  const said: string[] = [];
  let given: string | null = null;
  const { stop } = await keepRunning({
    name: "It",
    start: async () => {
      const child = launch(process.execPath, ["-e", "setInterval(() => {}, 1000)"], { stdio: "ignore" });
      started.push(child);
      return child;
    },
    answers: async () => true,
    say: (line: string) => said.push(line),
    giveUp: (reason: string) => {
      given = reason;
    },
    every_ms: 50,
    silence_ms: 300,
    ...options,
  });
  stopWatching = stop;
  return { said, gaveUp: () => given };
}

const running = (count: number) => expect.poll(() => started.length, { timeout: 8000 }).toBe(count);

describe("a watched process", () => {
  it("that dies is started again, and it is said", async () => {
    const { said } = await watched();
    kill(started[0]);
    await running(2);
    await expect.poll(() => said.at(-1)).toBe("It runs again.");
    expect(said[0]).toContain("It ended with SIGKILL");
  });

  it("that answers no more is ended and started again", async () => {
    const { said } = await watched({ answers: async () => started.length > 1 });
    await running(2);
    expect(said[0]).toContain("has not answered");
  });

  it("that is slow but answers in time is left alone", async () => {
    await watched({ answers: () => new Promise((resolve) => setTimeout(() => resolve(true), 150)) });
    await new Promise((resolve) => setTimeout(resolve, 900));
    expect(started).toHaveLength(1);
  });

  it("that dies too often is given up with the reason, and is not started again", async () => {
    const { gaveUp } = await watched({ tooMany: 2 });
    kill(started[0]);
    await running(2);
    kill(started[1]);
    await expect.poll(gaveUp).toContain("2th time within a minute");
    await new Promise((resolve) => setTimeout(resolve, 600));
    expect(started).toHaveLength(2);
  });
});
