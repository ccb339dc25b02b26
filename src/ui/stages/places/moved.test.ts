import { describe, expect, it } from "vitest";
import { demoPlaces } from "../../../../demo/read-demo";
import { destination, geodesicBetween } from "@/core/earth/geodesic";
import { isAerodrome } from "@/core/places/place";
import { moved } from "./moved";

const DAY = new Date(Date.UTC(2026, 10, 24));
const places = demoPlaces();
const skerrow = places.filter(isAerodrome).find(({ name }) => name === "Skerrow");
const field = places.find(({ name }) => name === "Long Acre");
if (!skerrow || !field || isAerodrome(field)) throw new Error("the demo's places");
const [runway] = skerrow.runways;
const [a] = runway.ends;
/** The runway turned to the north about its first threshold. */
const north = [a.threshold, destination(a.threshold, 0, 900)];

describe("a part that is moved on the map", () => {
  it("numbers that were right stay right, and the aerodrome stays in the middle of its runway", () => {
    const turned = moved(skerrow, `strip:${runway.id}`, north, DAY);
    if (!isAerodrome(turned)) throw new Error("an aerodrome");
    // Variation is some 28° east there: true north is 332° magnetic.
    expect(turned.runways[0].ends.map(({ designator }) => designator)).toEqual(["33", "15"]);
    expect(geodesicBetween(turned.position, a.threshold).distance_m).toBeCloseTo(450, 0);
    expect(moved(skerrow, "strip:another", north, DAY)).toEqual(skerrow);
  });

  it("names that were given stay", () => {
    const [first, second] = runway.ends;
    const named = {
      ...skerrow,
      runways: [{ ...runway, ends: [{ ...first, designator: "11L" }, second] as typeof runway.ends }],
    };
    const turned = moved(named, `strip:${runway.id}`, north, DAY);
    expect(isAerodrome(turned) && turned.runways[0].ends.map(({ designator }) => designator)).toEqual(["11L", "29"]);
  });

  it("a field's strip, its outline, a helipad's place", () => {
    const strip = moved(field, `strip:${field.strip.id}`, north, DAY);
    expect(!isAerodrome(strip) && strip.strip.ends.map(({ designator }) => designator)).toEqual(["north", "south"]);
    expect(moved(field, "outline", [...north, field.strip.ends[0].threshold], DAY)).toMatchObject({
      outline: { length: 3 },
      strip: field.strip,
    });
    expect(moved(skerrow, "position", north, DAY)).toMatchObject({ position: north[0], runways: skerrow.runways });
  });
});
