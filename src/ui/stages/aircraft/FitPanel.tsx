"use client";
import { useQueryState } from "nuqs";
import { useState } from "react";
import { PropellerState } from "@/core/aircraft/propeller-state";
import type { HandbookFigures, HandbookFit, Residual } from "@/core/aircraft/fit-handbook";
import { indicated_mps } from "@/core/aircraft/airspeed-calibration";
import { figuresOf, fitOf, withFit } from "@/core/aircraft/fitted-aircraft";
import { readGlideChart } from "@/core/aircraft/glide-chart";
import { readGlidePoints, writeGlidePoints } from "@/core/aircraft/glide-points-csv";
import { type UnitChoice, formatNumber, formatSi, fromSi, unitOf } from "@/core/quantities/units";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { useUnits } from "@/ui/kit/units/units-store";
import { Figure } from "@/ui/kit/working/Figure";
import { FitDoubts, FitFrame } from "./FitFrame";
import { useEdited } from "./useEdited";
import { DataTable } from "@/ui/kit/tables/DataTable";

/** The model fitted to the handbook: what it makes of each figure, what looks implausible, and taking it over. */
export function FitPanel() {
  const { document, change } = useEdited();
  const [, setView] = useQueryState("view");
  const units = useUnits((state) => state.units);
  const fit = fitOf(document);
  const figures = figuresOf(document);
  const take = () => {
    if (!fit.ok) return fit.issue.message;
    const fitted = withFit(document, fit.value);
    if (!fitted.ok) return fitted.issue.message;
    change(() => fitted.value);
    // With its first polar all views open: one stays with the book.
    void setView("handbook");
    return undefined;
  };
  return (
    <FitFrame
      title="Fit to the handbook"
      from="From mass, wing, stall speeds, best glide and ratio, and further glides if there are any."
      onUse={fit.ok ? take : null}
    >
      <div className="mt-2 grid grid-cols-[minmax(0,1.1fr)_minmax(0,1fr)] gap-6">
        <div>
          {fit.ok && figures.ok ? (
            <FitTable fit={fit.value} units={units} input={figures.value} />
          ) : (
            <p className="text-ink2">{fit.ok ? "" : fit.issue.message} Fill it in below.</p>
          )}
        </div>
        <div className="flex flex-col gap-2">
          {document.engines.kind === "propeller" && (
            <ChoiceField
              label="Propeller in the book’s glide"
              value={document.handbook.glidePropeller}
              onChange={(glidePropeller) =>
                change((now) => ({ ...now, handbook: { ...now.handbook, glidePropeller } }))
              }
              choices={PropellerState.options.map((value) => ({ value, label: value === "none" ? "has none" : value }))}
            />
          )}
          <ChartPoints key={`${units.height}-${units.distance}`} />
          <Points key={`${units.speed}-${units.verticalSpeed}`} />
        </div>
      </div>
    </FitFrame>
  );
}

function FitTable({ fit, units, input }: { fit: HandbookFit; units: UnitChoice; input: HandbookFigures }) {
  const { document } = useEdited();
  const source = { calculation: { name: "fit", input } };
  const speed = unitOf("speed", units.speed);
  /** As the book prints it. */
  const speedOf = (value: number) =>
    `${formatNumber(fromSi("speed", units.speed, indicated_mps(document.airspeedCalibration, value)), 1)}\u00a0${speed.label}`;
  const shown = ({ unit, name }: Residual, value: number) =>
    unit === ""
      ? formatNumber(value, 2)
      : name.startsWith("sink")
        ? formatSi("verticalSpeed", units.verticalSpeed, value)
        : speedOf(value);
  const rows = [
    ...fit.residuals.map((residual) => ({
      name: residual.name,
      book: shown(residual, residual.book),
      model: shown(residual, residual.model),
      off: (residual.model / residual.book - 1) * 100,
    })),
    ...fit.clMax.map(({ flap, clMax }, i) => ({
      name: `stall, flap ${flap}`,
      book: speedOf(input.stall_mps[i].speed_mps),
      model: `CLmax ${formatNumber(clMax, 2)}`,
      off: null,
    })),
  ];
  return (
    <>
      <DataTable
        rows={rows}
        rowKey={(row) => row.name}
        columns={[
          { name: "figure", cell: (row) => row.name },
          { name: "book", cell: (row) => row.book },
          { name: "fitted model", cell: (row) => row.model },
          {
            name: "off by",
            cell: ({ off }) => off !== null && `${off >= 0 ? "+" : "−"}${Math.abs(off).toFixed(1)} %`,
            tone: ({ off }) => (Math.abs(off ?? 0) > 5 ? "text-brick" : ""),
          },
        ]}
      />
      <p className="mt-1">
        <Figure title="The fit" figure="fit" source={source} className="text-left">
          CD0 {fit.cd0.toFixed(4)} · k {fit.k.toFixed(4)} · e {fit.oswald.toFixed(2)}
        </Figure>
        {document.polar && (
          <span className="ml-3 text-[13px] text-ink2">
            in the model now: k <span className="num">{document.polar.k.toFixed(4)}</span>,{" "}
            {document.engines.kind === "propeller" ? "CD0 without propeller" : "CD0"}{" "}
            <span className="num">{document.polar.cd0.toFixed(4)}</span>
          </span>
        )}
      </p>
      <FitDoubts doubts={fit.doubts} />
    </>
  );
}

/** Points off the book's glide chart, which make its ratio. */
function ChartPoints() {
  const { change } = useEdited();
  const units = useUnits((state) => state.units);
  const [typed, setTyped] = useState("");
  const { ratio, off, faults } = readGlideChart(typed, units);
  const read = (text: string) => {
    setTyped(text);
    const { ratio: bestGlideRatio } = readGlideChart(text, units);
    if (bestGlideRatio !== null) change((now) => ({ ...now, handbook: { ...now.handbook, bestGlideRatio } }));
  };
  return (
    <details className="text-sm text-ink2">
      <summary className="cursor-pointer">Best glide off the book’s chart</summary>
      <label className="mt-1 block">
        Height in {unitOf("height", units.height).label} and distance in {unitOf("distance", units.distance).label}, one
        point a line
        <textarea
          className="field num mt-0.5 h-20 text-[13px]"
          value={typed}
          spellCheck={false}
          onChange={(event) => read(event.currentTarget.value)}
          aria-invalid={faults.length > 0 ? true : undefined}
        />
      </label>
      {ratio !== null && (
        <p>
          {formatNumber(ratio, 1)}:1 is the book’s now; the farthest point lies {formatNumber(off * 100, 0)} % off.
        </p>
      )}
      {faults.length > 0 && (
        <p role="alert" className="text-brick">
          {faults.slice(0, 3).join(" ")}
        </p>
      )}
    </details>
  );
}

/** Further glides: typed or pasted, one a line. */
function Points() {
  const { document, change } = useEdited();
  const units = useUnits((state) => state.units);
  const [typed, setTyped] = useState<string | null>(null);
  const [faults, setFaults] = useState<readonly string[]>([]);
  const read = (text: string) => {
    setTyped(text);
    const { points, faults: newFaults } = readGlidePoints(text, units);
    setFaults(newFaults);
    change((now) => ({ ...now, handbook: { ...now.handbook, glidePoints: [...points] } }));
  };
  const shown = typed ?? writeGlidePoints(document.handbook.glidePoints, units);
  return (
    <label className="block text-sm text-ink2">
      Further glides, CSV: speed and sink, one a line
      <textarea
        className="field num mt-0.5 h-24 text-[13px]"
        value={shown}
        spellCheck={false}
        onChange={(event) => read(event.currentTarget.value)}
        aria-invalid={faults.length > 0 ? true : undefined}
      />
      {faults.length > 0 && (
        <span role="alert" className="block text-brick">
          {faults.slice(0, 4).join(" ")}
          {faults.length > 4 && ` And ${faults.length - 4} more.`}
        </span>
      )}
    </label>
  );
}
