import { describe, expect, it } from "vitest";
import { demoAircraft } from "../../../demo/read-demo";
import { cleanestConfiguration, dragShelf } from "./drag-shelf";

describe("drag shelf", () => {
  const larch = demoAircraft("larch-t2");
  const clean = cleanestConfiguration(larch);
  const shelf = dragShelf(larch, larch.mass.usual_kg, 45, clean);
  if (!shelf.ok) throw new Error(shelf.issue.message);

  it("starts from feathered, clean and shut", () => {
    expect(clean).toEqual({ propeller: "feathered", flap: 0, gearDown: false, slip: 0, items: [] });
    expect(shelf.value.configured).toEqual(shelf.value.cleanest);
  });

  it("every item costs glide, slows best glide and adds sink; more drag costs more", () => {
    const { cleanest, items } = shelf.value;
    for (const item of items) {
      expect(item.deltaCd).toBeGreaterThan(0);
      expect(item.glide.ratio).toBeLessThan(cleanest.ratio);
      expect(item.glide.bestEas_mps).toBeLessThan(cleanest.bestEas_mps);
      if (item.glide.sinkAtSpeed_mps !== null)
        expect(item.glide.sinkAtSpeed_mps).toBeGreaterThan(cleanest.sinkAtSpeed_mps ?? NaN);
    }
    const byDrag = [...items].sort((a, b) => a.deltaCd - b.deltaCd);
    byDrag.slice(1).forEach((item, i) => expect(item.glide.ratio).toBeLessThanOrEqual(byDrag[i].glide.ratio));
    expect(items.map((item) => item.id)).toContain("gear");
    expect(items.find((item) => item.id === "propeller-windmilling")?.glide.ratio).toBeLessThan(
      items.find((item) => item.id === "propeller-stopped")?.glide.ratio ?? 0,
    );
  });

  it("follows closed forms: ratio goes with 1/√CD0", () => {
    const alder = demoAircraft("alder-s1");
    const found = dragShelf(alder, 1000, 35, { ...cleanestConfiguration(alder), slip: 1 });
    if (!found.ok) throw new Error(found.issue.message);
    expect(found.value.configured.ratio / found.value.cleanest.ratio).toBeCloseTo(Math.sqrt(0.043 / 0.088), 9);
  });

  it("below the stall it says so, and before a fit there is no shelf", () => {
    const slow = dragShelf(larch, larch.mass.usual_kg, 20, clean);
    expect(slow.ok && slow.value.cleanest.sinkAtSpeed_mps).toBeNull();
    const none = dragShelf({ ...larch, polar: null }, larch.mass.usual_kg, 40, clean);
    expect(none.ok ? "" : none.issue.code).toBe("no_polar");
  });
});
