import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { ENGINE_ACTIONS, type EngineTask, orderFaults } from "./engine-order";

const without = (task: EngineTask, ...left: string[]) =>
  ENGINE_ACTIONS[task].filter((action) => !left.includes(action));

describe("the order of feathering and of starting again (common practice)", () => {
  it("the usual orders have no fault", () => {
    expect(orderFaults("feather", ENGINE_ACTIONS.feather)).toEqual([]);
    expect(orderFaults("unfeather", ENGINE_ACTIONS.unfeather)).toEqual([]);
  });

  it("the ignition stays on until the propeller has stopped", () => {
    const early = [
      ...without("feather", "ignition-off", "propeller-stopped"),
      "ignition-off",
      "propeller-stopped",
    ] as (typeof ENGINE_ACTIONS)["feather"][number][];
    expect(orderFaults("feather", early)).toMatchObject([{ action: "ignition-off", missing: "propeller-stopped" }]);
  });

  it("the propeller control leaves feather before the starter turns", () => {
    expect(orderFaults("unfeather", ["fuel-on", "ignition-on", "throttle-set", "starter"])).toMatchObject([
      { action: "starter", missing: "propeller-forward" },
    ]);
    expect(orderFaults("unfeather", ["starter"]).map((fault) => fault.missing)).toEqual([
      "fuel-on",
      "ignition-on",
      "throttle-set",
      "propeller-forward",
    ]);
  });

  it("feathering before the throttle has verified, or after the mixture, is told with its reason", () => {
    expect(orderFaults("feather", ["propeller-feather"])[0].why).toContain("wrong engine");
    expect(orderFaults("feather", ["throttle-closed", "mixture-off"])[0]).toMatchObject({
      action: "mixture-off",
      missing: "propeller-feather",
    });
  });

  it("doing the missing thing first always takes a fault away", () => {
    fc.assert(
      fc.property(
        fc.constantFrom<EngineTask>("feather", "unfeather"),
        fc.infiniteStream(fc.nat(100)),
        (task, numbers) => {
          const left = [...ENGINE_ACTIONS[task]];
          const done: (typeof left)[number][] = [];
          while (left.length > 0) done.push(...left.splice((numbers.next().value ?? 0) % left.length, 1));
          const [fault] = orderFaults(task, done);
          if (!fault) return;
          const mended = done.filter((action) => action !== fault.missing);
          mended.splice(mended.indexOf(fault.action), 0, fault.missing);
          expect(
            orderFaults(task, mended).some((other) => other.action === fault.action && other.missing === fault.missing),
          ).toBe(false);
        },
      ),
      { numRuns: 60 },
    );
  });
});
