import { describe, expect, it } from "vitest";
import type { ListedRun } from "@/server/runs";
import { isClean, resultWords, resultsCsv, trendWords } from "./result-words";

const run = (result: Partial<ListedRun["result"]>): ListedRun => ({
  id: "1",
  beganAt: "2026-11-20T10:00:00.000Z",
  role: "single",
  procedureId: "x",
  procedure: 'Fire, "jet"',
  aircraft: "Cedar J2",
  result: { over: true, ground: false, took_s: 62, wrong: 0, slow: 0, back: 0, lost_m: 120.4, ...result },
});

describe("results in words", () => {
  it.each([
    [{}, "in order, in time", true],
    [{ wrong: 2, slow: 1, back: 1 }, "2 wrong, 1 late, 1 back", false],
    [{ slow: 3 }, "3 late", true],
    [{ ground: true, wrong: 1 }, "the ground came first", false],
    [{ over: false }, "in order, in time, not ended", false],
  ])("%o: %s", (result, words, clean) => {
    expect(resultWords(run(result).result)).toBe(words);
    expect(isClean(run(result).result)).toBe(clean);
  });

  it("as a file has a line for each, with quotes doubled", () => {
    expect(resultsCsv([run({ wrong: 1 }), run({ took_s: 62.24, lost_m: -40.4 })]).split("\r\n")).toEqual([
      "began,procedure,aircraft,role,took_s,wrong,late,back,lost_m,ground,ended",
      '2026-11-20T10:00:00.000Z,"Fire, ""jet""",Cedar J2,single,62,1,0,0,120,false,true',
      '2026-11-20T10:00:00.000Z,"Fire, ""jet""",Cedar J2,single,62.2,0,0,0,-40,false,true',
    ]);
  });

  it("as a file holds no formula, whatever a procedure is called", () => {
    const named = resultsCsv([{ ...run({}), procedure: "=1+1" }]).split("\r\n")[1];
    expect(named).toContain(`,"'=1+1",`);
  });

  it("the last is laid beside the one before", () => {
    expect(trendWords([])).toMatchObject({ lead: "No run yet." });
    expect(trendWords([run({})])).toEqual({ lead: "1 of 1 clean.", rest: "The last took 1:02." });
    expect(trendWords([run({}), run({ took_s: 70, wrong: 1 })])).toEqual({
      lead: "1 of 2 clean.",
      rest: "The last took 1:02, 8 s less than the one before.",
    });
    expect(trendWords([run({}), { ...run({}), procedureId: "y" }]).rest).toContain("Choose a drill");
    expect(trendWords([run({ took_s: 62.5 }), run({})]).rest).toContain("as long as the one before");
  });
});
