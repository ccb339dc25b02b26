import { describe, expect, it } from "vitest";
import { DEFAULT_UNITS } from "@/core/quantities/units";
import type { Gap } from "@/core/route/gap";
import { formatIn } from "@/ui/kit/units/units-store";
import { besideRoute, routeCall } from "./route-call";

const format = formatIn(DEFAULT_UNITS);
const gap: Gap = {
  from_m: 20_000,
  to_m: 30_000,
  fromTime_s: 400,
  time_s: 200,
  short_m: 300,
  worstAt_m: 25_000,
  groundDecides: false,
  closing: null,
};
const spot = { distance_m: 0, time_s: 0, planned_m: 2000, off_m: 100, altitude_m: 2000 };
const call = (patch: Partial<typeof spot>) => {
  const { about, text } = routeCall({ gaps: [gap] }, { ...spot, ...patch }, "no place", format);
  return [about, text.replace(/[\u00a0\u202f]/g, " ")];
};

describe("what is called along the route", () => {
  it.each([
    [{}, "before 0", "Next gap in 6 min."],
    [{ distance_m: 12_000, time_s: 240 }, "ahead 0", "Gap in 2 min: 4 min with no place, 990 ft short at worst."],
    [{ distance_m: 19_700, time_s: 395 }, "ahead 0", "Gap now: 4 min with no place, 990 ft short at worst."],
    [{ distance_m: 18_000, time_s: 365 }, "ahead 0", "Gap in 30 s: 4 min with no place, 990 ft short at worst."],
    [{ distance_m: 25_000, time_s: 500 }, "in 0", "In a gap, no place: 100 s more, 990 ft short at worst."],
    [{ distance_m: 31_000, time_s: 620 }, "clear", "No more gaps on this route."],
    [{ altitude_m: 1900 }, "before 0 low", "Next gap in 6 min. 330 ft below the plan."],
    [{ off_m: 5000 }, "off", "Off the route by 2.7 NM: what is told holds along it."],
  ])("%j", (patch, about, text) => {
    expect(call(patch)).toEqual([about, text]);
  });

  it("the aircraft is beside the nearest point of the flight", () => {
    const points = [0, 1000, 2000].map((x_m) => ({ x_m, y_m: 0, distance_m: x_m, time_s: x_m / 50, altitude_m: 900 }));
    expect(besideRoute(points, { x_m: 1200, y_m: 500, altitude_m: 800 })).toMatchObject({
      distance_m: 1000,
      planned_m: 900,
      altitude_m: 800,
      off_m: Math.hypot(200, 500),
    });
    expect(besideRoute([], { x_m: 0, y_m: 0, altitude_m: 0 })).toBeNull();
  });
});
