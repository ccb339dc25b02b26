"use client";
import type { Aeroplane } from "@/core/aircraft/aeroplane";
import { CheckField } from "@/ui/kit/forms/CheckField";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { NumberField } from "@/ui/kit/forms/NumberField";
import { QuantityField } from "@/ui/kit/forms/QuantityField";
import { CalibrationFields } from "./CalibrationFields";
import { Coefficient } from "./Coefficient";
import { FitPanel } from "./FitPanel";
import { FlapFields } from "./FlapFields";
import { Group } from "./Group";
import { IdentityFields, MassFields } from "./IdentityFields";
import { noteAt } from "./notes";
import { JetFields } from "./JetFields";
import { LoadingFields } from "./LoadingFields";
import { PROPELLER_KINDS, ofPropellerKind, propellerKind } from "./propeller-kind";
import { QuantityNote } from "./QuantityNote";
import { SingleFields } from "./SingleFields";
import { TwinFields } from "./TwinFields";
import { useEdited } from "./useEdited";

const FUEL_SYSTEMS = [
  { value: "carburettor", label: "carburettor" },
  { value: "injection", label: "injection" },
  { value: "turbine", label: "turbine" },
] as const;

/** Any number goes in while it is typed; what it makes of the whole document is said beside the field. */
const anyPositive = (value: number) => (value > 0 ? null : "More than 0.");

/** The aircraft as a handbook groups it, and the fit to it. */
export function HandbookForm() {
  const edited = useEdited();
  const { document, change } = edited;
  const { handbook, limits, engines } = document;
  const setHandbook = (patch: Partial<Aeroplane["handbook"]>) =>
    change((now) => ({ ...now, handbook: { ...now.handbook, ...patch } }));
  const setLimits = (patch: Partial<Aeroplane["limits"]>) =>
    change((now) => ({ ...now, limits: { ...now.limits, ...patch } }));
  const speed = (
    label: string,
    path: string,
    value: number | null,
    set: (value: number | null) => void,
    hint: string,
  ) => (
    <QuantityNote
      key={path}
      {...{ edited, label, path, value, hint }}
      kind="speed"
      onChange={set}
      onClear={() => set(null)}
    />
  );
  return (
    <div className="min-h-0 overflow-auto px-5 py-3" tabIndex={0} role="region" aria-label="Handbook">
      <FitPanel />
      <IdentityFields />
      <Group title="Masses and wing">
        <MassFields />
        <QuantityField
          label="Wing area"
          kind="area"
          value={document.wing?.area_m2 ?? null}
          step={0.1}
          check={anyPositive}
          onChange={(area_m2) => change((now) => ({ ...now, wing: { span_m: now.wing?.span_m ?? 11, area_m2 } }))}
          hint={noteAt(edited, "wing.area_m2") ?? "with the part in the fuselage"}
        />
        <QuantityField
          label="Wing span"
          kind="dimension"
          value={document.wing?.span_m ?? null}
          digits={2}
          step={0.1}
          check={anyPositive}
          onChange={(span_m) => change((now) => ({ ...now, wing: { area_m2: now.wing?.area_m2 ?? 16, span_m } }))}
          hint={noteAt(edited, "wing.span_m") ?? "tip to tip"}
        />
      </Group>
      <CalibrationFields edited={edited} />
      <Group title="Speeds, at the mass they are printed for">
        <QuantityNote
          edited={edited}
          label="Mass of these speeds"
          path="handbook.mass_kg"
          kind="mass"
          value={handbook.mass_kg}
          onChange={(mass_kg) => setHandbook({ mass_kg })}
          hint="usually the maximum"
        />
        {speed(
          "V_S1",
          "handbook.vs1_mps",
          handbook.vs1_mps,
          (vs1_mps) => setHandbook({ vs1_mps }),
          "stall, flap and gear up, power off",
        )}
        {speed(
          "V_S0",
          "handbook.vs0_mps",
          handbook.vs0_mps,
          (vs0_mps) => setHandbook({ vs0_mps }),
          "stall, landing flap",
        )}
        {speed(
          "Best glide",
          "handbook.vbg_mps",
          handbook.vbg_mps,
          (vbg_mps) => setHandbook({ vbg_mps }),
          "engine stopped, still air",
        )}
        <QuantityField
          label="Best glide ratio"
          kind="glide"
          value={handbook.bestGlideRatio}
          step={0.1}
          check={anyPositive}
          onChange={(bestGlideRatio) => setHandbook({ bestGlideRatio })}
          onClear={() => setHandbook({ bestGlideRatio: null })}
          hint={noteAt(edited, "handbook.bestGlideRatio") ?? "distance over height"}
        />
        {speed("V_X", "handbook.vx_mps", handbook.vx_mps, (vx_mps) => setHandbook({ vx_mps }), "best angle of climb")}
        {speed("V_Y", "handbook.vy_mps", handbook.vy_mps, (vy_mps) => setHandbook({ vy_mps }), "best rate of climb")}
      </Group>
      <Group title="Limits">
        {speed("V_NE", "limits.vne_mps", limits.vne_mps, (vne_mps) => setLimits({ vne_mps }), "never exceed")}
        {speed("V_A", "limits.va_mps", limits.va_mps, (va_mps) => setLimits({ va_mps }), "full controls below it")}
        {speed("V_LO", "limits.vlo_mps", limits.vlo_mps, (vlo_mps) => setLimits({ vlo_mps }), "moving the gear")}
        {speed("V_LE", "limits.vle_mps", limits.vle_mps, (vle_mps) => setLimits({ vle_mps }), "with the gear down")}
        <NumberField
          label="Load limit, flap up"
          value={limits.loadFactor}
          unit="g"
          digits={1}
          step={0.1}
          check={anyPositive}
          onChange={(loadFactor) => setLimits({ loadFactor })}
          hint={noteAt(edited, "limits.loadFactor") ?? "positive"}
        />
        <NumberField
          label="Load limit with flap"
          value={limits.loadFactorFlap}
          unit="g"
          digits={1}
          step={0.1}
          check={anyPositive}
          onChange={(loadFactorFlap) => setLimits({ loadFactorFlap })}
          hint={noteAt(edited, "limits.loadFactorFlap") ?? "positive"}
        />
      </Group>
      {document.polar && <FlapFields edited={edited} />}
      {document.polar && (
        <Group title="Gear, slip, propeller: drag on the wing area">
          <CheckField
            label="Gear can be retracted"
            checked={document.polar.gear.retractable}
            onChange={(retractable) =>
              change((now) =>
                now.polar ? { ...now, polar: { ...now.polar, gear: { ...now.polar.gear, retractable } } } : now,
              )
            }
          />
          <Coefficient
            edited={edited}
            label="Gear down, ΔCD"
            path="polar.gear.deltaCd"
            value={document.polar.gear.deltaCd}
            onChange={(deltaCd) =>
              change((now) =>
                now.polar ? { ...now, polar: { ...now.polar, gear: { ...now.polar.gear, deltaCd } } } : now,
              )
            }
          />
          <Coefficient
            edited={edited}
            label="Full sideslip, ΔCD"
            path="polar.fullSlipDeltaCd"
            value={document.polar.fullSlipDeltaCd}
            onChange={(fullSlipDeltaCd) =>
              change((now) => (now.polar ? { ...now, polar: { ...now.polar, fullSlipDeltaCd } } : now))
            }
          />
          {document.polar.deadPropeller &&
            (["windmilling", "stopped", "coarse", "feathered"] as const).map((state) => (
              <Coefficient
                key={state}
                edited={edited}
                label={`Propeller ${state}, ΔCD`}
                path={`polar.deadPropeller.${state}`}
                value={document.polar?.deadPropeller?.[state] ?? null}
                hint={document.polar?.deadPropeller?.basis === "disc" ? "on the disc area" : "empty: cannot be"}
                onChange={(value) =>
                  change((now) =>
                    now.polar?.deadPropeller
                      ? {
                          ...now,
                          polar: { ...now.polar, deadPropeller: { ...now.polar.deadPropeller, [state]: value } },
                        }
                      : now,
                  )
                }
                onClear={
                  state === "windmilling"
                    ? undefined
                    : () =>
                        change((now) =>
                          now.polar?.deadPropeller
                            ? {
                                ...now,
                                polar: { ...now.polar, deadPropeller: { ...now.polar.deadPropeller, [state]: null } },
                              }
                            : now,
                        )
                }
              />
            ))}
        </Group>
      )}
      {engines.kind === "propeller" && (
        <Group title="Engine and propeller">
          <ChoiceField
            label="Fuel comes by"
            value={engines.fuelSystem}
            onChange={(fuelSystem) =>
              change((now) =>
                now.engines.kind === "propeller" ? { ...now, engines: { ...now.engines, fuelSystem } } : now,
              )
            }
            choices={FUEL_SYSTEMS.filter(({ value }) => value !== "turbine" || engines.count === 1)}
            hint="the usual cause check follows it"
          />
          {document.polar?.deadPropeller && (
            <ChoiceField
              label="Propeller"
              value={propellerKind(document.polar.deadPropeller)}
              onChange={(kind) =>
                change((now) =>
                  now.polar?.deadPropeller
                    ? { ...now, polar: { ...now.polar, deadPropeller: ofPropellerKind(now.polar.deadPropeller, kind) } }
                    : now,
                )
              }
              choices={PROPELLER_KINDS}
              hint="what it can do when the engine is dead"
            />
          )}
          <QuantityField
            label={engines.count > 1 ? "Power of each engine" : "Power"}
            kind="power"
            value={engines.power_W}
            check={anyPositive}
            onChange={(power_W) =>
              change((now) =>
                now.engines.kind === "propeller" ? { ...now, engines: { ...now.engines, power_W } } : now,
              )
            }
            hint="full power at sea level"
          />
          <QuantityField
            label="Propeller diameter"
            kind="dimension"
            value={engines.propeller.diameter_m}
            step={0.01}
            check={anyPositive}
            onChange={(diameter_m) =>
              change((now) =>
                now.engines.kind === "propeller"
                  ? { ...now, engines: { ...now.engines, propeller: { ...now.engines.propeller, diameter_m } } }
                  : now,
              )
            }
            hint="tip to tip"
          />
          <NumberField
            label="Propeller efficiency"
            value={engines.propeller.efficiency}
            unit=""
            digits={2}
            step={0.01}
            check={(value) => (value > 0 && value <= 1 ? null : "0 to 1; 0.75 to 0.8 is usual.")}
            onChange={(efficiency) =>
              change((now) =>
                now.engines.kind === "propeller"
                  ? { ...now, engines: { ...now.engines, propeller: { ...now.engines.propeller, efficiency } } }
                  : now,
              )
            }
            hint="0.75 fixed pitch, 0.8 constant speed"
          />
          <NumberField
            label="V_Y over V_S1"
            value={document.climb?.vyOverVs1 ?? null}
            unit=""
            digits={2}
            step={0.05}
            check={(value) => (value >= 1 && value <= 3 ? null : "1 to 3.")}
            onChange={(vyOverVs1) => change((now) => ({ ...now, climb: { vyOverVs1 } }))}
            onClear={() => change((now) => ({ ...now, climb: null }))}
            hint="scales the climb speed with mass; empty uses V_Y as printed"
          />
        </Group>
      )}
      {document.category === "single" && <SingleFields edited={edited} />}
      <LoadingFields edited={edited} />
      {engines.kind === "jet" && <JetFields edited={edited} engines={engines} />}
      {(document.category === "twin" || document.category === "jet") && <TwinFields edited={edited} />}
    </div>
  );
}
