"use client";
import type { Aeroplane } from "@/core/aircraft/aeroplane";
import { NumberField } from "@/ui/kit/forms/NumberField";
import { QuantityField } from "@/ui/kit/forms/QuantityField";
import { Group } from "./Group";
import type { Edited } from "./useEdited";

type Jet = Extract<Aeroplane["engines"], { kind: "jet" }>;

const anyPositive = (value: number) => (value > 0 ? null : "More than 0.");

/** A jet's engines. */
export function JetFields({ edited, engines }: { edited: Edited; engines: Jet }) {
  const set = (patch: Partial<Jet>) =>
    edited.change((now) => (now.engines.kind === "jet" ? { ...now, engines: { ...now.engines, ...patch } } : now));
  return (
    <Group title="Engines">
      <QuantityField
        label="Thrust of each engine"
        kind="force"
        value={engines.thrust_N}
        check={anyPositive}
        hint="take-off, static, sea level"
        onChange={(thrust_N) => set({ thrust_N })}
      />
      <NumberField
        label="Maximum continuous"
        value={engines.maxContinuous * 100}
        unit="%"
        digits={0}
        step={1}
        check={(value) => (value >= 50 && value <= 100 ? null : "50 to 100 % of take-off thrust.")}
        hint="of take-off thrust: what it climbs on one engine with"
        onChange={(share) => set({ maxContinuous: share / 100 })}
      />
      <NumberField
        label="Throttle ratio"
        value={engines.throttleRatio}
        unit=""
        digits={2}
        step={0.01}
        check={(value) => (value >= 0.8 && value <= 1.4 ? null : "0.8 to 1.4.")}
        hint="how hot the air may be before thrust falls: 1.05 holds it to about 15 °C over standard"
        onChange={(throttleRatio) => set({ throttleRatio })}
      />
      <NumberField
        label="Drag area of a dead engine"
        value={engines.deadDragArea_m2}
        unit="m²"
        digits={2}
        step={0.01}
        check={(value) => (value >= 0 ? null : "Not below 0.")}
        hint="windmilling: about a tenth of the intake’s area"
        onChange={(deadDragArea_m2) => set({ deadDragArea_m2 })}
      />
    </Group>
  );
}
