import { describe, expect, it } from "vitest";
import { demoAircraft, demoSituation } from "../../../demo/read-demo";
import { readSituationFile } from "./situation-file";
import { writeSituationFile } from "./write-situation-file";

const document = demoSituation();
const aircraft = demoAircraft("alder-s1");

describe("situation file", () => {
  it("comes back as it went, with and without its aircraft", () => {
    expect(readSituationFile(writeSituationFile(document, null))).toEqual({
      ok: true,
      value: { document, aircraft: null },
    });
    expect(readSituationFile(writeSituationFile(document, aircraft))).toEqual({
      ok: true,
      value: { document, aircraft },
    });
  });

  it.each([
    ["", "not_json"],
    ['{"schema":', "not_json"],
    ["[]", "situation_invalid"],
    [JSON.stringify({ ...document, version: 99 }), "future_version"],
    [JSON.stringify({ ...document, aircraft: { ...aircraft, mass: null } }), "aircraft_invalid"],
    ["x".repeat(1024 * 1024 + 1), "too_large"],
  ])("refuses damaged text: %#", (text, code) => {
    const read = readSituationFile(text);
    expect(read.ok ? "" : read.issue.code).toBe(code);
  });
});
