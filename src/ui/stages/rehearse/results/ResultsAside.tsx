"use client";
import type { ListedRun } from "@/server/runs";
import { formatClock } from "@/core/quantities/clock";
import { Chart } from "@/ui/kit/charts/Chart";
import { DecisionAside } from "@/ui/kit/page/DecisionAside";
import { FLOWN } from "./flown-store";
import { FlownAside } from "./FlownAside";
import { isClean, isOneDrill, resultWords, trendWords } from "./result-words";
import { useRuns } from "./runs-store";

const CAUTIONS = ["A clean drill at a desk is not a clean drill in an aircraft: fly it with an instructor."];

/** How the runs of a drill, or flights by hand, go from one to the next. */
export function ResultsAside({ procedureId }: { procedureId: string | null }) {
  return procedureId === FLOWN ? <FlownAside /> : <DrillsAside procedureId={procedureId} />;
}

function DrillsAside({ procedureId }: { procedureId: string | null }) {
  const runs = useRuns((state) => state.runs);
  const shown = runs?.filter((run) => procedureId === null || run.procedureId === procedureId) ?? null;
  const said = shown && trendWords(shown);
  const last = shown?.at(0);
  return (
    <DecisionAside said={said} good={!last || isClean(last.result)} cautions={CAUTIONS}>
      {shown && shown.length > 1 && isOneDrill(shown) && <Trend runs={shown} />}
    </DecisionAside>
  );
}

function Trend({ runs }: { runs: readonly ListedRun[] }) {
  const inOrder = runs.toReversed();
  return (
    <section className="border-t border-rule px-4 pt-2">
      <h3 className="text-[14px] font-bold">Seconds, run after run; hollow where something was wrong</h3>
      <Chart
        className="h-52"
        label="Seconds that each run took, in the order in which they were flown"
        option={(ink) => ({
          grid: { left: 44, right: 10, top: 26, bottom: 36 },
          tooltip: ink.tooltip,
          xAxis: ink.countAxis("run", inOrder.length),
          yAxis: { ...ink.axis("s"), min: 0 },
          series: [
            {
              type: "line",
              data: inOrder.map(({ result }, i) => ({
                value: [i + 1, Math.round(result.took_s)],
                itemStyle: {
                  color: isClean(result) ? ink.of("harbour") : ink.of("sheet"),
                  borderColor: isClean(result) ? ink.of("harbour") : ink.of("brick"),
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
              {inOrder.map(({ id, beganAt, result }) => (
                <tr key={id}>
                  <td className="num pr-2">{beganAt.slice(0, 10)}</td>
                  <td className="num pr-2 text-right">{formatClock(result.took_s)}</td>
                  <td>{resultWords(result)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        }
      />
    </section>
  );
}
