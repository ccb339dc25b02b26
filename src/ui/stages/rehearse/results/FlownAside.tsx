"use client";
import { M_PER_FT } from "@/core/quantities/constants";
import type { ListedFlight } from "@/server/flights";
import { Chart } from "@/ui/kit/charts/Chart";
import { AsideFigures, DecisionAside } from "@/ui/kit/page/DecisionAside";
import { useFormat, useUnits } from "@/ui/kit/units/units-store";
import { flownTrend, handFigures, isHeld } from "./flown-result-words";
import { useFlown } from "./flown-store";

const CAUTIONS = ["Simulated: a hand that is steady here is not yet steady in an aircraft. Fly it with an instructor."];

/** How flights by hand go from one to the next, and the hand that flew them. */
export function FlownAside() {
  const format = useFormat();
  const flights = useFlown((state) => state.flights);
  const said = flights && flownTrend(flights, format);
  const last = flights?.at(0);
  const glides = flights?.filter(({ result }) => result.glide !== null).toReversed() ?? [];
  return (
    <DecisionAside said={said} good={!last || isHeld(last.result)} cautions={CAUTIONS}>
      {glides.length > 1 && <Trend glides={glides} />}
      {flights && (
        <AsideFigures>
          {handFigures(flights, format).map(([name, value]) => (
            <Figure key={name} name={name} value={value} />
          ))}
        </AsideFigures>
      )}
    </DecisionAside>
  );
}

function Figure({ name, value }: { name: string; value: string }) {
  return (
    <>
      <dt>{name}</dt>
      <dd className="num">{value}</dd>
    </>
  );
}

function Trend({ glides }: { glides: readonly ListedFlight[] }) {
  const format = useFormat();
  const feet = useUnits((state) => state.units.height) === "ft";
  const shown = (m: number) => Math.round(Math.max(m, 0) / (feet ? M_PER_FT : 1));
  return (
    <section className="border-t border-rule px-4 pt-2">
      <p className="text-[14px] font-bold">Height beyond the least; hollow where not held</p>
      <Chart
        className="h-52"
        label="Height that each glide took beyond the least of its way, in the order in which they were flown"
        option={(ink) => ({
          grid: { left: 50, right: 10, top: 26, bottom: 36 },
          tooltip: ink.tooltip,
          xAxis: ink.countAxis("glide", glides.length),
          yAxis: { ...ink.axis(feet ? "ft" : "m"), min: 0 },
          series: [
            {
              type: "line",
              data: glides.map(({ result }, i) => ({
                value: [i + 1, shown(result.glide?.beyond_m ?? 0)],
                itemStyle: {
                  color: isHeld(result) ? ink.of("harbour") : ink.of("sheet"),
                  borderColor: isHeld(result) ? ink.of("harbour") : ink.of("brick"),
                  borderWidth: 2,
                },
              })),
              symbol: "circle",
              symbolSize: 9,
              lineStyle: { color: ink.of("harbour"), width: 1.5 },
            },
          ],
        })}
        table={
          <table className="w-full text-[13px]">
            <tbody>
              {glides.map(({ id, flownAt, result }) => (
                <tr key={id}>
                  <td className="num pr-2">{flownAt.slice(0, 10)}</td>
                  <td className="num text-right">{format("height", Math.max(result.glide?.beyond_m ?? 0, 0), "up")}</td>
                </tr>
              ))}
            </tbody>
          </table>
        }
      />
    </section>
  );
}
