// The units that docs/deploy.md hands out, read by systemd's own checker where it is installed.
import { existsSync, readFileSync, readdirSync } from "node:fs";
import path from "node:path";
import { describe, expect, it } from "vitest";
import { run } from "./lib/processes.mjs";

const FOLDER = path.resolve(import.meta.dirname, "../docs/deploy");
const CHECKER = "/usr/bin/systemd-analyze";
const units = readdirSync(FOLDER);

describe("units for systemd", () => {
  it.skipIf(!existsSync(CHECKER))("are right in systemd's own eyes", async () => {
    await expect(
      run(CHECKER, ["verify", ...units.map((name) => path.join(FOLDER, name))], { quiet: true }),
    ).resolves.toBe("");
  });

  it("start scripts that exist", () => {
    const scripts = units.flatMap(
      (name) => readFileSync(path.join(FOLDER, name), "utf8").match(/scripts\/[\w.-]+/g) ?? [],
    );
    expect(scripts.length).toBeGreaterThan(2);
    for (const script of scripts) expect(existsSync(path.resolve(FOLDER, "../..", script)), script).toBe(true);
  });
});
