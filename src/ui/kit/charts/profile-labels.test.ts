import { describe, expect, it } from "vitest";
import type { Gap } from "@/core/route/gap";
import { gapLabels, namesWithRoom } from "./profile-labels";

const x = (distance_m: number) => distance_m;
const gap = (worstAt_m: number, short_m: number | null): Gap => ({
  from_m: worstAt_m - 10,
  to_m: worstAt_m + 10,
  time_s: 60,
  fromTime_s: 0,
  short_m,
  worstAt_m,
  groundDecides: false,
  closing: null,
});

describe("labels of a profile", () => {
  it("names stay inside the drawing, and one that would write over the one before is left out", () => {
    const names = [0, 30, 400].map((distance_m) => ({ name: "Skerrow", distance_m }));
    expect(namesWithRoom(names, x, 46, 420)).toEqual([
      { name: "Skerrow", distance_m: 0, left: 46 },
      { name: "Skerrow", distance_m: 400, left: 371 },
    ]);
  });

  it("of gaps side by side the worst is told, one that no altitude closes before all", () => {
    const told = (...gaps: Gap[]) => gapLabels(gaps, x, () => "1 000 ft short").map(({ middle }) => middle);
    expect(told(gap(100, 300), gap(140, 900), gap(400, 100))).toEqual([140, 400]);
    expect(told(gap(100, null), gap(140, 900))).toEqual([100]);
  });
});
