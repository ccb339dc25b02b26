import { readFileSync, readdirSync } from "node:fs";
import path from "node:path";
import { describe, expect, it } from "vitest";
import { DEFAULT_DEPARTURE } from "./departure-plan";
import { DEFAULT_LANDING } from "./landing-plan";
import { DEFAULT_ONE_ENGINE } from "./one-engine-plan";
import { DEFAULT_RESTART } from "./restart-plan";
import { SituationDocument } from "./situation-document";
import { readSituation } from "./situation-versions";
import { DEFAULT_TAKE_OFF } from "./take-off-plan";

const FOLDER = path.join(import.meta.dirname, "versions");
const fixture = (name: string): Record<string, unknown> =>
  JSON.parse(readFileSync(path.join(FOLDER, `${name}.json`), "utf8"));
const opened = (value: unknown): SituationDocument => {
  const found = readSituation(value);
  if (!found.ok) throw new Error(found.issue.message);
  return found.value;
};

describe("situations of every version", () => {
  const names = readdirSync(FOLDER).map((file) => file.replace(".json", ""));

  it("there is one at least of each version up to the present", () => {
    const versions = new Set(names.map((name) => Number(name.split("-")[0])));
    expect([...versions].sort()).toEqual(
      Array.from({ length: SituationDocument.shape.version.value }, (_, i) => i + 1),
    );
  });

  it.each(names)("%s is read, and keeps what it said", (name) => {
    const { version, departure, ...said } = fixture(name);
    const now = opened(fixture(name));
    expect(version).toBe(Number(name.split("-")[0]));
    expect(now).toMatchObject(said);
    if (departure) expect(now.departure).toMatchObject(departure);
    expect(opened(JSON.parse(JSON.stringify(now)))).toEqual(now);
  });

  // A section that is added must make a version: the newest fixture would not be read otherwise.
  it("the present version is read without a step", () => {
    const newest = names.filter((name) => name.startsWith(String(SituationDocument.shape.version.value)));
    for (const name of newest) expect(SituationDocument.parse(fixture(name))).toEqual(fixture(name));
  });

  it("version 1 opens with the usual departure", () => {
    expect(opened(fixture("1-demo")).departure).toEqual(DEFAULT_DEPARTURE);
  });

  it("version 2 opens with what is usual for one engine", () => {
    expect(opened(fixture("2-demo")).oneEngine).toEqual(DEFAULT_ONE_ENGINE);
  });

  it("what version 3 could leave out opens as usual: whole plans, and single figures of them", () => {
    expect(opened(fixture("3-demo"))).toMatchObject({ restart: DEFAULT_RESTART, landing: DEFAULT_LANDING });
    const { ownFactor: _factor, ...landing } = { ...DEFAULT_LANDING, wet: true };
    const { minutes: _minutes, ...restart } = { ...DEFAULT_RESTART, commit_m: 450 };
    const { twoEngines: _two, ...departure } = { ...DEFAULT_DEPARTURE, intersection_m: 300 };
    const now = opened({ ...fixture("3-written"), landing, restart, departure });
    expect(now.landing).toEqual({ ...DEFAULT_LANDING, wet: true });
    expect(now.restart).toEqual({ ...DEFAULT_RESTART, commit_m: 450 });
    expect(now.departure).toEqual({ ...DEFAULT_DEPARTURE, intersection_m: 300, twoEngines: DEFAULT_TAKE_OFF });
  });

  it.each(["departure", "restart", "landing", "oneEngine"])("a damaged %s is refused, not replaced", (part) => {
    for (const damaged of [["wet"], null, 3, "usual"])
      expect(readSituation({ ...fixture("3-written"), [part]: damaged })).toMatchObject({
        ok: false,
        issue: { code: "situation_invalid", path: part },
      });
  });
});
