import { describe, expect, it } from "vitest";
import type { PathPoint } from "@/core/glide/glide-path";
import { ditchingItems } from "@/core/landing/ditching-list";
import type { SiteReason } from "@/core/landing/sites";
import { DEFAULT_UNITS, formatSi } from "@/core/quantities/units";
import { demoAircraft } from "../../../../demo/read-demo";
import { partOf, placeOf } from "./circuit-place";
import { timeline } from "./ditching-timeline";
import { reasonInWords } from "./site-words";
import { formatWaves } from "./wave-height";

const format = (kind: Parameters<typeof formatSi>[0], si: number) => formatSi(kind, DEFAULT_UNITS[kind], si);

describe("a place on the circuit", () => {
  const points: PathPoint[] = [
    { x_m: 0, y_m: 0, altitude_m: 300, time_s: 4, entry: 1 },
    { x_m: -300, y_m: 0, altitude_m: 200, time_s: 24, entry: 1 },
    { x_m: -300, y_m: -300, altitude_m: 100, time_s: 34, entry: 2 },
    { x_m: 0, y_m: -300, altitude_m: 40, time_s: 44, entry: 3 },
    { x_m: 0, y_m: 0, altitude_m: 0, time_s: 54, entry: 4 },
  ];

  it("is found between points by time, with its track and the time to go", () => {
    expect(placeOf({ points }, 0)).toMatchObject({ x_m: 0, altitude_m: 300, before_s: 50 });
    expect(placeOf({ points }, 0.2)).toMatchObject({
      x_m: -150,
      altitude_m: 250,
      before_s: 40,
      track_rad: -Math.PI / 2,
    });
    expect(placeOf({ points }, 1)).toMatchObject({ x_m: 0, y_m: 0, altitude_m: 0, before_s: 0 });
    expect(placeOf({ points: points.slice(0, 1) }, 0.5)).toBeNull();
  });

  it("is named by what is flown there", () => {
    expect([0, 0.5, 0.75, 1].map((share) => partOf({ points }, share))).toEqual([
      "turning downwind",
      "downwind",
      "base",
      "final",
    ]);
  });
});

describe("items by height as times", () => {
  it("what has been passed is done at once, the rest when its height is reached", () => {
    const items = timeline(ditchingItems(demoAircraft("cedar-j2")), 3000, 6);
    expect(items.filter((item) => item.late).every((item) => (item.by_m ?? Infinity) >= 3000 && item.at_s === 0)).toBe(
      true,
    );
    for (const item of items.filter((one) => !one.late))
      expect(item.at_s).toBeCloseTo((3000 - (item.by_m ?? 0)) / 6, 9);
    expect(items.map((item) => item.at_s)).toEqual(items.map((item) => item.at_s).sort((a, b) => a - b));
  });
});

describe("words", () => {
  it.each([
    ["spare", 120, "120 m to spare"],
    ["too-short", 90, "90 m too short"],
    ["tailwind", 5.2, "tail 10 kt"],
    ["downhill", -0.012, "downhill 1.2 %"],
    ["obstacle", 12.2, "obstacle 40 ft"],
    ["low-arrival", 30, "only 100 ft in hand"],
    ["people", 0, "people about"],
  ] as [SiteReason["code"], number, string][])("a reason %s of %f is “%s”", (code, value, says) => {
    expect(reasonInWords({ code, tone: "caution", value }, format).replace(/\u00a0/g, " ")).toBe(says);
  });

  it("waves are told to a foot or to a tenth of a metre, not to ten feet", () => {
    expect(formatWaves(2, DEFAULT_UNITS)).toBe("7\u00a0ft");
    expect(formatWaves(1.5, { ...DEFAULT_UNITS, height: "m" })).toBe("1.5\u00a0m");
  });
});
