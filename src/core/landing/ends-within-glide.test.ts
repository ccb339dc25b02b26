import { describe, expect, it } from "vitest";
import { demoPlaces } from "../../../demo/read-demo";
import { destination } from "../earth/geodesic";
import { endsWithinGlide } from "./ends-within-glide";
import { landingEnds } from "./landing-end";

const [END] = landingEnds(demoPlaces());
const HERE = END.threshold;
/** One end a kilometre, nearest last. */
const many = (count: number) =>
  Array.from({ length: count }, (_, i) => ({
    ...END,
    id: String(count - i),
    elevation_m: 0,
    threshold: destination(HERE, i, (count - i) * 1000),
  }));
const ids = (count: number, altitude_m: number) => endsWithinGlide(many(count), HERE, altitude_m).map(({ id }) => id);
const upTo = (count: number) => Array.from({ length: count }, (_, i) => String(i + 1));

describe("of many landing ends", () => {
  it("all of forty are looked at, however low", () => {
    expect(ids(40, 100)).toHaveLength(40);
  });

  it("the forty nearest are, and more as far as thirty heights and ten kilometres", () => {
    expect(ids(200, 0)).toEqual(upTo(40));
    expect(ids(200, 1500)).toEqual(upTo(54));
    expect(ids(200, -50)).toEqual(upTo(40));
  });

  it("never more than eighty", () => {
    expect(ids(200, 12_000)).toEqual(upTo(80));
  });
});
