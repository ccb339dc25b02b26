"use client";
import { useDeferredValue, useMemo } from "react";
import type { Aeroplane } from "@/core/aircraft/aeroplane";
import type { Residual } from "@/core/aircraft/fit-handbook";
import { type TwinFit, fitTwin } from "@/core/fitting/twin-fit";
import { TWIN_CLASSES, type TwinClass, usualClass, usualControls } from "@/core/fitting/usual-controls";
import { formatNumber, formatSi, fromSi, unitOf } from "@/core/quantities/units";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { NumberField } from "@/ui/kit/forms/NumberField";
import { QuantityField } from "@/ui/kit/forms/QuantityField";
import { DataTable } from "@/ui/kit/tables/DataTable";
import { type Format, useFormat, useUnits } from "@/ui/kit/units/units-store";
import { FitDoubts, FitFrame, offBy } from "./FitFrame";
import { Group } from "./Group";
import { QuantityNote } from "./QuantityNote";
import { noteAt } from "./notes";
import type { Edited } from "./useEdited";

const CLASS_WORDS: Record<TwinClass, string> = {
  "light-twin": "light twin",
  "cabin-twin": "cabin twin",
  jet: "jet",
};
const anyNumber = (value: number) => (Number.isFinite(value) ? null : "A number is needed.");
const anyPositive = (value: number) => (value > 0 ? null : "More than 0.");
/** Stands in until the book's stall is typed, m/s. */
const SOME_STALL_MPS = 32;

/** What a book says of one engine of two, and the fit to it. */
export function TwinFields({ edited }: { edited: Edited }) {
  const { document, change } = edited;
  const { handbook, wing, asymmetric, engines, polar } = document;
  const setHandbook = (patch: Partial<Aeroplane["handbook"]>) =>
    change((now) => ({ ...now, handbook: { ...now.handbook, ...patch } }));
  if (!wing || !polar)
    return (
      <Group title="One engine of two">
        <p className="col-span-full text-ink2">
          First the wing, the stall and the glide above, and “Use this fit”: control on one engine builds on them.
        </p>
      </Group>
    );
  const stall_mps = handbook.vs1_mps ?? SOME_STALL_MPS;
  const controls = asymmetric ?? usualControls(usualClass(document), wing, null, stall_mps);
  const setControls = (patch: Partial<NonNullable<Aeroplane["asymmetric"]>>) =>
    change((now) => ({ ...now, asymmetric: { ...(now.asymmetric ?? controls), ...patch } }));
  const climb = handbook.oneEngineClimb;
  const setClimb = (patch: Partial<NonNullable<typeof climb>>) =>
    setHandbook({
      oneEngineClimb: { climb_mps: 1, mass_kg: handbook.mass_kg, altitude_m: 0, ...climb, ...patch },
    });
  const speeds = [
    ["V_SSE", "vsse_mps", "least speed for practised failures"],
    ["V_YSE", "vyse_mps", "best rate on one engine"],
    ["V_XSE", "vxse_mps", "best angle on one engine"],
  ] as const;
  return (
    <>
      <Group title="One engine of two">
        <QuantityNote
          edited={edited}
          label="V_MCA"
          path="asymmetric.publishedVmca_mps"
          kind="speed"
          value={asymmetric?.publishedVmca_mps ?? null}
          hint="minimum control speed in the air, as published: the model’s rudder is anchored on it"
          onChange={(publishedVmca_mps) => setControls({ publishedVmca_mps })}
        />
        {speeds.map(([label, key, hint]) => (
          <QuantityNote
            key={key}
            edited={edited}
            label={label}
            path={`handbook.${key}`}
            kind="speed"
            value={handbook[key]}
            hint={hint}
            onChange={(value) => setHandbook({ [key]: value })}
            onClear={() => setHandbook({ [key]: null })}
          />
        ))}
        <QuantityField
          label="Climb on one engine"
          kind="verticalSpeed"
          value={climb?.climb_mps ?? null}
          step={10}
          check={anyNumber}
          hint={
            engines.kind === "jet"
              ? "gear and flap up, maximum continuous, standard air: the thrust is fitted to it"
              : "gear and flap up, feathered, standard air: the power is fitted to it"
          }
          onChange={(climb_mps) => setClimb({ climb_mps })}
          onClear={() => setHandbook({ oneEngineClimb: null })}
        />
        {climb && (
          <>
            <QuantityField
              label="at a mass of"
              kind="mass"
              value={climb.mass_kg}
              check={anyPositive}
              onChange={(mass_kg) => setClimb({ mass_kg })}
            />
            <QuantityField
              label="at pressure altitude"
              kind="height"
              value={climb.altitude_m}
              check={anyNumber}
              onChange={(altitude_m) => setClimb({ altitude_m })}
            />
          </>
        )}
        <QuantityField
          label="Mass that V_MCA is published for"
          kind="mass"
          value={document.mass.calibration_kg}
          check={anyPositive}
          hint="empty: the minimum mass; lighter is worse"
          onChange={(calibration_kg) => change((now) => ({ ...now, mass: { ...now.mass, calibration_kg } }))}
          onClear={() => change((now) => ({ ...now, mass: { ...now.mass, calibration_kg: null } }))}
        />
      </Group>
      {asymmetric && (
        <Group title="Control geometry: from the class, until the book or a tape measure says better">
          <ChoiceField
            label="Class"
            value={
              TWIN_CLASSES.find((of) =>
                same(usualControls(of, wing, asymmetric.publishedVmca_mps, stall_mps), asymmetric),
              ) ?? "own"
            }
            choices={[
              ...TWIN_CLASSES.map((value) => ({ value, label: CLASS_WORDS[value] })),
              { value: "own" as const, label: "figures of its own" },
            ]}
            hint="sets all figures of control but V_MCA"
            onChange={(of) =>
              of !== "own" &&
              change((now) => ({
                ...now,
                asymmetric: usualControls(of, wing, asymmetric.publishedVmca_mps, stall_mps),
              }))
            }
          />
          {LENGTHS.map(([key, label, hint]) => (
            <NumberField
              key={key}
              label={label}
              value={asymmetric[key]}
              unit="m"
              digits={2}
              step={0.05}
              check={anyPositive}
              hint={noteAt(edited, `asymmetric.${key}`) ?? hint}
              onChange={(value) => setControls({ [key]: value })}
            />
          ))}
          <NumberField
            label="Rudder area"
            value={asymmetric.rudderArea_m2}
            unit="m²"
            digits={2}
            step={0.05}
            check={anyPositive}
            hint="behind the hinge: for the pedal force"
            onChange={(rudderArea_m2) => setControls({ rudderArea_m2 })}
          />
          {engines.kind === "propeller" && (
            <>
              <ChoiceField
                label="Propellers turn"
                value={engines.propeller.rotation[0] === engines.propeller.rotation[1] ? "same" : "counter"}
                choices={[
                  { value: "same", label: "both clockwise: the left engine is critical" },
                  { value: "counter", label: "towards each other: neither is" },
                ]}
                onChange={(turning) =>
                  change((now) =>
                    now.engines.kind === "propeller"
                      ? {
                          ...now,
                          engines: {
                            ...now.engines,
                            propeller: {
                              ...now.engines.propeller,
                              rotation: turning === "same" ? [1, 1] : [1, -1],
                            },
                          },
                        }
                      : now,
                  )
                }
              />
              <QuantityField
                label="Turbocharged up to"
                kind="height"
                value={engines.criticalHeight_m}
                check={anyPositive}
                hint="critical altitude; empty: naturally aspirated"
                onChange={(criticalHeight_m) =>
                  change((now) =>
                    now.engines.kind === "propeller" ? { ...now, engines: { ...now.engines, criticalHeight_m } } : now,
                  )
                }
                onClear={() =>
                  change((now) =>
                    now.engines.kind === "propeller"
                      ? { ...now, engines: { ...now.engines, criticalHeight_m: null } }
                      : now,
                  )
                }
              />
            </>
          )}
        </Group>
      )}
      {asymmetric && <TwinFitPanel edited={edited} />}
    </>
  );
}

/** What the printed climb asks for, beside what the document has. */
function askedFor({ fitted }: TwinFit, { engines }: Aeroplane, format: Format): string {
  if (fitted?.what === "efficiency" && engines.kind === "propeller")
    return `The climb asks for a propeller efficiency of ${fitted.value.toFixed(3)}; the model has ${engines.propeller.efficiency.toFixed(3)}.`;
  if (fitted?.what === "thrust" && engines.kind === "jet")
    return `The climb asks for ${format("force", fitted.value)} of each engine; the model has ${format("force", engines.thrust_N)}.`;
  return "Without a climb on one engine the power stands as it is typed.";
}

/** The same figures, to what is typed of them. */
const same = (a: object, b: object) =>
  Object.entries(a).every(([key, value]) => Math.abs(Number(value) - Number(b[key as keyof typeof b])) < 1e-3);

const LENGTHS = [
  ["armY_m", "Engine arm", "from the middle of the aeroplane to a propeller or jet pipe"],
  ["finArm_m", "Fin arm", "from the centre of gravity to the middle of the fin"],
  ["finHeight_m", "Fin height", "the middle of the fin over the centre of gravity"],
] as const;

/** The book of one engine beside the model, and taking the fit over. */
function TwinFitPanel({ edited }: { edited: Edited }) {
  const units = useUnits((state) => state.units);
  const format = useFormat();
  // What is typed comes first; the fit follows when the hand rests.
  const document = useDeferredValue(edited.document);
  const fit = useMemo(() => fitTwin(document), [document]);
  const shown = ({ name }: Residual, value: number) =>
    name === "climb on one engine"
      ? formatSi("verticalSpeed", units.verticalSpeed, value)
      : `${formatNumber(fromSi("speed", units.speed, value), 1)}\u00a0${unitOf("speed", units.speed).label}`;
  const engines = fit.ok && fit.value.fitted !== null ? fit.value.aircraft.engines : null;
  return (
    <FitFrame
      title="Fit to one engine"
      from="The rudder from V_MCA, the power from the climb on one engine."
      onUse={engines && (() => edited.change((now) => ({ ...now, engines })))}
    >
      {fit.ok ? (
        <>
          <DataTable
            rows={fit.value.residuals}
            rowKey={({ name }) => name}
            label="The book beside the model"
            className="mt-2 max-w-xl w-full text-[14px]"
            columns={[
              { name: "figure", cell: ({ name }) => name },
              { name: "book", cell: (row) => shown(row, row.book) },
              { name: "fitted model", cell: (row) => shown(row, row.model) },
              {
                name: "off by",
                cell: offBy,
                tone: ({ book, model }) => (Math.abs(model / book - 1) > 0.08 ? "text-brick" : ""),
              },
            ]}
          />
          <p className="mt-1 text-[14px]">{askedFor(fit.value, document, format)}</p>
          <FitDoubts doubts={fit.value.doubts} />
        </>
      ) : (
        <p role="status" className="mt-2 text-brick">
          {fit.issue.message}
        </p>
      )}
    </FitFrame>
  );
}
