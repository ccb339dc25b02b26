// The set-up's own parts: what a newcomer's first command rests on.
import { createServer } from "node:net";
import { afterEach, describe, expect, it, vi } from "vitest";
import { freePort } from "./ports.mjs";
import { run } from "./processes.mjs";
import { ensureDebianPackages, ensureNodeVersion } from "./setup.mjs";
import { step } from "./step.mjs";

afterEach(() => {
  vi.restoreAllMocks();
});

describe("ports", () => {
  it("takes the preferred one when it is free, the next when it is taken", async () => {
    const taken = createServer();
    const port = await freePort(41_870);
    await new Promise<void>((resolve) => taken.listen(port, resolve));
    const next = await freePort(port);
    expect(next).not.toBe(port);
    expect(next).toBeGreaterThan(0);
    await new Promise((resolve) => taken.close(resolve));
    expect(await freePort(port)).toBe(port);
  });
});

describe("commands", () => {
  it("give back what they printed, and fail with their own words", async () => {
    expect(await run("node", ["-e", "console.log('here')"], { quiet: true })).toBe("here\n");
    await expect(run("node", ["-e", "console.error('broken'); process.exit(3)"], { quiet: true })).rejects.toThrow(
      /ended with 3[\s\S]*broken/,
    );
    await expect(run("no-such-program", [], { quiet: true })).rejects.toThrow();
  });

  it("are announced with their time, failed ones too", async () => {
    const said: string[] = [];
    vi.spyOn(process.stdout, "write").mockImplementation((text) => Boolean(said.push(String(text))));
    expect(await step("first", async () => 7)).toBe(7);
    await expect(step("second", async () => Promise.reject(new Error("no")))).rejects.toThrow("no");
    vi.restoreAllMocks();
    expect(said.join("")).toMatch(/· first …\n {2}first: \d+\.\d s\n· second …\n {2}second: failed after \d+\.\d s\n/);
  });
});

describe("set-up", () => {
  it("is content with what is there: nothing is installed twice", async () => {
    ensureNodeVersion();
    // The tests' own database runs, so the package is there.
    await expect(ensureDebianPackages(["mariadb"])).resolves.toBeUndefined();
  });
});
