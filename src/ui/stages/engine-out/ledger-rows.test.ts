import { describe, expect, it } from "vitest";
import { demoTwinQuestion } from "../../../../demo/demo-twin";
import { climbLedger } from "@/core/asymmetric/climb-ledger";
import { ledgerRows } from "./ledger-rows";

const NAMES = { propeller: "Windmilling", gear: "Gear", flap: "Flap", items: "Cowl", bank: "Level" };
const rows = (change: Parameters<typeof demoTwinQuestion>[0], bank = true) => {
  const ledger = climbLedger({
    ...demoTwinQuestion(change),
    eas_mps: 41.7,
    bank: bank ? { kind: "bank", bank_rad: 0 } : { kind: "zero-sideslip" },
  });
  if (!ledger.ok) throw new Error(ledger.issue.message);
  return ledgerRows(ledger.value, false, NAMES, (cost) => `${cost.toFixed(1)} × 30 s`);
};

describe("rows of the climb ledger", () => {
  it("join from two engines to what is left", () => {
    const all = rows({ gearDown: true, flap: 1, items: ["cowl"] });
    expect(all.map((row) => row.name)).toEqual([
      "Two engines, clean",
      "The engine",
      "Windmilling",
      "Gear",
      "Flap",
      "Cowl",
      "Level",
      "Together",
      "It descends",
    ]);
    all.slice(1, -1).forEach((row, i) => expect(row.from_mps).toBeCloseTo(all[i].to_mps, 12));
    expect(all[all.length - 2].to_mps).toBeCloseTo(all[all.length - 1].to_mps, 9);
  });

  it("end in a climb when everything is mended, with nothing between", () => {
    expect(rows({ deadPropeller: "feathered" }, false).map((row) => row.name)).toEqual([
      "Two engines, clean",
      "The engine",
      "Left",
    ]);
  });
});
