import { isAerodrome } from "@/core/places/place";
import { describe, expect, it } from "vitest";
import { demoPlaces, demoSituation } from "../../../demo/read-demo";
import { formatLatitude, formatLongitude } from "@/core/earth/coordinates";
import { nearestAerodrome } from "./place";

describe("place in words", () => {
  it("is the nearest aerodrome with distance and direction", () => {
    const near = nearestAerodrome(demoSituation().position, demoPlaces().filter(isAerodrome));
    expect(near).toMatchObject({ name: "Skerrow", point: "NW" });
    expect((near?.distance_m ?? 0) / 1852).toBeCloseTo(2.1, 1);
    expect(nearestAerodrome(demoSituation().position, [])).toBeNull();
  });

  it.each([
    [formatLatitude(-47.115), "47°06.9′S"],
    [formatLatitude(0.99999), "01°00.0′N"],
    [formatLongitude(-130.978), "130°58.7′W"],
    [formatLongitude(7.5), "007°30.0′E"],
  ])("%s", (text, expected) => {
    expect(text).toBe(expected);
  });
});
