// Limits against the database: they survive a restart, and a wait grows with the failures.
import { afterAll, describe, expect, it } from "vitest";
import { database } from "./database";
import { forgetFailures, forgetLimits, noteFailure, waitAfterFailures, waitBefore } from "./rate-limit";

let number = 0;
const key = () => `192.0.2.${(number += 1)} ${Math.random()}`;

afterAll(() => database().end());

describe("limits", () => {
  it("let so many through from one address, then say how long to wait; another address is not held up", async () => {
    const address = key();
    for (let i = 0; i < 10; i += 1) expect(await waitBefore("createAccount", address)).toBe(0);
    const wait_s = await waitBefore("createAccount", address);
    expect(wait_s).toBeGreaterThan(500);
    expect(wait_s).toBeLessThanOrEqual(600);
    expect(await waitBefore("createAccount", key())).toBe(0);
    // A new process finds them as they were.
    forgetLimits();
    expect(await waitBefore("createAccount", address)).toBeGreaterThan(0);
  });
});

describe("failures", () => {
  it("cost nothing at first, then each doubles the wait, and a success forgets them", async () => {
    const who = key();
    for (let i = 0; i < 5; i += 1) await noteFailure(who);
    expect(await waitAfterFailures(who)).toBe(0);
    const waits: number[] = [];
    for (let i = 0; i < 3; i += 1) {
      await noteFailure(who);
      waits.push(await waitAfterFailures(who));
    }
    expect(waits).toEqual([2, 4, 8]);
    forgetLimits();
    expect(await waitAfterFailures(who)).toBeGreaterThan(0);
    for (let i = 0; i < 15; i += 1) await noteFailure(who);
    expect(await waitAfterFailures(who)).toBeLessThanOrEqual(900);
    expect(await waitAfterFailures(key())).toBe(0);
    await forgetFailures(who);
    expect(await waitAfterFailures(who)).toBe(0);
  });
});
