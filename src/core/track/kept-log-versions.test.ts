import { readFileSync, readdirSync } from "node:fs";
import path from "node:path";
import { describe, expect, it } from "vitest";
import { readLog } from "./formats/read-log";
import { KEPT_LOG_VERSION } from "./kept-log";
import { KeptLogOfAnyVersion } from "./kept-log-versions";

const FOLDER = path.resolve(import.meta.dirname, "versions");

describe("kept logs of every version", () => {
  it.each(readdirSync(FOLDER))("%s is read, its aircraft too", (file) => {
    const read = KeptLogOfAnyVersion.parse(JSON.parse(readFileSync(path.join(FOLDER, file), "utf8")));
    expect(read.version).toBe(KEPT_LOG_VERSION);
    expect(read.aircraft?.name).toBe(file.includes("gyro") ? "Osier G1" : "Alder S1");
    expect(readLog(read.text, read.layout)).toMatchObject({ ok: true });
  });

  it("the newest version has a fixture", () => {
    expect(readdirSync(FOLDER).some((file) => file.startsWith(`${KEPT_LOG_VERSION}-`))).toBe(true);
  });
});

describe("files of a flight", () => {
  const kept = JSON.parse(readFileSync(path.join(FOLDER, "2-stopped.json"), "utf8"));

  it("together are no longer than what can be kept", () => {
    const also = (length: number) => [{ ...kept.also[0], text: "x".repeat(length) }];
    expect(
      KeptLogOfAnyVersion.safeParse({ ...kept, text: "x".repeat(40_000_000), also: also(8_000_000) }).success,
    ).toBe(true);
    expect(
      KeptLogOfAnyVersion.safeParse({ ...kept, text: "x".repeat(40_000_000), also: also(8_000_001) }).success,
    ).toBe(false);
  });
});
