import { readFileSync, readdirSync } from "node:fs";
import path from "node:path";
import { describe, expect, it } from "vitest";
import { KEPT_FLIGHT_VERSION, KeptFlight } from "./kept-flight";
import { KeptFlightOfAnyVersion } from "./kept-flight-versions";

const read = (folder: string, name: string): Record<string, unknown> =>
  JSON.parse(readFileSync(path.join(import.meta.dirname, folder, name), "utf8"));
const fixture = (name: string) => read("versions", name);

describe("kept flights of every version", () => {
  const names = readdirSync(path.join(import.meta.dirname, "versions"));

  it("there is one of each version up to the present, which is read without a step", () => {
    expect(names.map((name) => Number(name.split("-")[0]))).toEqual(
      Array.from({ length: KEPT_FLIGHT_VERSION }, (_, i) => i + 1),
    );
    const newest = fixture(names[names.length - 1]);
    expect(KeptFlight.parse(newest)).toEqual(newest);
  });

  it.each(names)("%s is read, and keeps what it said", (name) => {
    const { version: _, ...said } = fixture(name);
    const now = KeptFlightOfAnyVersion.parse(fixture(name));
    expect(now).toMatchObject(said);
    expect(KeptFlightOfAnyVersion.parse(JSON.parse(JSON.stringify(now)))).toEqual(now);
  });

  it("version 1 had no drill; the aircraft that it holds is read in its own older versions too", () => {
    const old = fixture("1-alder-s1.json") as { flown: { setUp: object } };
    expect(KeptFlightOfAnyVersion.parse(old).drill).toBeNull();
    const aircraft = read("../aircraft/versions", "6-larch-t2.json");
    const older = { ...old, flown: { ...old.flown, setUp: { ...old.flown.setUp, aircraft } } };
    expect(KeptFlight.safeParse({ ...older, version: KEPT_FLIGHT_VERSION, drill: null }).success).toBe(false);
    expect(KeptFlightOfAnyVersion.parse(older).flown.setUp.aircraft).toMatchObject({ name: "Larch T2", version: 7 });
  });

  it("what is none, and one of a later program, is refused", () => {
    for (const other of [null, 7, [], {}, { ...fixture("2-alder-s1.json"), format: "else" }])
      expect(KeptFlightOfAnyVersion.safeParse(other).success).toBe(false);
    expect(KeptFlightOfAnyVersion.safeParse({ ...fixture("2-alder-s1.json"), version: 9 }).success).toBe(false);
  });
});
