import { beforeEach, describe, expect, it, vi } from "vitest";

const kept = new Map<string, string>();
const localStorage = {
  getItem: (key: string) => kept.get(key) ?? null,
  setItem: (key: string, value: string) => void kept.set(key, value),
  removeItem: (key: string) => void kept.delete(key),
};
vi.stubGlobal("localStorage", localStorage);
const { runsCsv, useFlowRuns } = await import("./flow-runs");

const RUN = {
  at: "2026-11-24T10:00:00.000Z",
  aircraft: "Alder S1, mine",
  ticks: [
    { id: "last", name: "Last touched", at_s: 6.24, planned_s: 6 },
    { id: "pump", name: "Fuel pump", at_s: 9, planned_s: 8 },
  ],
};

describe("runs of the cause check", () => {
  beforeEach(() => useFlowRuns.getState().clear());

  it("are kept, the oldest dropped when there are too many", () => {
    for (let i = 0; i < 55; i += 1) useFlowRuns.getState().keep({ ...RUN, at: String(i) });
    expect(useFlowRuns.getState().runs).toHaveLength(50);
    expect(useFlowRuns.getState().runs[0].at).toBe("5");
  });

  it("leave as CSV with order and seconds, names with commas quoted", () => {
    expect(runsCsv([RUN]).split("\r\n")).toEqual([
      "at,aircraft,order,item,done_s,flow_s",
      '2026-11-24T10:00:00.000Z,"Alder S1, mine",1,Last touched,6.2,6.0',
      '2026-11-24T10:00:00.000Z,"Alder S1, mine",2,Fuel pump,9.0,8.0',
    ]);
  });

  it("leave as CSV in which no name is a formula", () => {
    const csv = runsCsv([{ ...RUN, aircraft: '=HYPERLINK("http://x.example")' }]);
    expect(csv).toContain(`"'=HYPERLINK`);
  });
});
