import { describe, expect, it } from "vitest";
import { demoAircraft } from "../../../../demo/read-demo";
import { cleanestConfiguration, dragShelf } from "@/core/glide/drag-shelf";
import { isOut, toggled } from "./shelf-configuration";

const larch = demoAircraft("larch-t2");
const clean = cleanestConfiguration(larch);
const shelf = dragShelf(larch, larch.mass.usual_kg, 45, clean);
const items = shelf.ok ? shelf.value.items : [];

describe("shelf configuration", () => {
  it("puts every item out and takes it in again", () => {
    expect(items.length).toBeGreaterThan(5);
    for (const item of items) {
      const out = toggled(item, clean, clean);
      expect(isOut(item, clean)).toBe(false);
      expect(isOut(item, out)).toBe(true);
      expect(toggled(item, out, clean)).toEqual(clean);
    }
  });

  it("lets flap settings and propeller states exclude each other, and all else combine", () => {
    const all = items.reduce((configuration, item) => toggled(item, configuration, clean), clean);
    expect(items.filter((item) => item.group === "flap" && isOut(item, all))).toHaveLength(1);
    expect(items.filter((item) => item.group === "propeller" && isOut(item, all))).toHaveLength(1);
    expect(
      items.filter((item) => item.group !== "flap" && item.group !== "propeller").every((item) => isOut(item, all)),
    ).toBe(true);
  });
});
