"use client";
import { CustomChart, LineChart, ScatterChart } from "echarts/charts";
import { GridComponent, MarkAreaComponent, MarkLineComponent, TooltipComponent } from "echarts/components";
import { type EChartsCoreOption, init, use as register } from "echarts/core";
import { LabelLayout } from "echarts/features";
import { CanvasRenderer } from "echarts/renderers";
import { Table2, TrendingUp } from "lucide-react";
import { type ReactNode, useEffect, useRef, useState } from "react";
import { useAppearance } from "@/ui/kit/appearance/useAppearance";
import { type ChartInk, chartInk } from "./chart-ink";

register([
  LineChart,
  ScatterChart,
  CustomChart,
  GridComponent,
  TooltipComponent,
  MarkLineComponent,
  MarkAreaComponent,
  LabelLayout,
  CanvasRenderer,
]);

const DRAWN = ["grid", "xAxis", "yAxis", "series"];

export interface ChartProps {
  /** What it shows, in a sentence: read out, and the heading of the table. */
  label: string;
  /** Built anew by day and by night. */
  option: (ink: ChartInk) => EChartsCoreOption;
  /** The same data as a table. */
  table: ReactNode;
  className?: string;
  /** Pressed at a place, in values of the axes. */
  onPick?: (x: number, y: number) => void;
}

/** A chart with its table beside it: hover for values, the button for figures. */
export function DrawnChart({ label, option, table, className = "", onPick }: ChartProps) {
  const element = useRef<HTMLDivElement>(null);
  const chart = useRef<ReturnType<typeof init> | null>(null);
  const pick = useRef(onPick);
  const appearance = useAppearance();
  const [asTable, setAsTable] = useState(false);

  useEffect(() => {
    pick.current = onPick;
  }, [onPick]);

  useEffect(() => {
    const node = element.current;
    if (!node) return;
    const drawing = init(node);
    chart.current = drawing;
    drawing.getZr().on("click", (event) => {
      const place = drawing.convertFromPixel({ gridIndex: 0 }, [event.offsetX, event.offsetY]);
      if (place && drawing.containPixel({ gridIndex: 0 }, [event.offsetX, event.offsetY]))
        pick.current?.(place[0], place[1]);
    });
    const observer = new ResizeObserver(() => drawing.resize());
    observer.observe(node);
    return () => {
      observer.disconnect();
      drawing.dispose();
      chart.current = null;
    };
  }, [asTable]);

  useEffect(() => {
    // Everything drawn is new; the tooltip stays, for making one measures the page.
    chart.current?.setOption({ animation: false, ...option(chartInk()) }, { replaceMerge: DRAWN });
  }, [option, appearance, asTable]);

  return (
    <figure className={`relative min-h-0 min-w-0 ${className}`}>
      {asTable ? (
        // A key of its own: the drawing's element is emptied by the chart when it goes.
        <div
          key="table"
          className="absolute inset-0 overflow-auto p-3 pt-9"
          tabIndex={0}
          role="region"
          aria-label={`${label}: table`}
        >
          {table}
        </div>
      ) : (
        <div
          key="drawing"
          ref={element}
          className="absolute inset-0"
          role="img"
          aria-label={`${label}. The table button gives the figures.`}
        />
      )}
      <button
        type="button"
        className="btn btn-quiet absolute top-1 right-2 z-10 px-2 py-0.5 text-[13px]"
        aria-pressed={asTable}
        onClick={() => setAsTable(!asTable)}
      >
        {asTable ? <TrendingUp size={14} aria-hidden="true" /> : <Table2 size={14} aria-hidden="true" />}{" "}
        {asTable ? "Drawing" : "Table"}
        <span className="sr-only"> of {label}</span>
      </button>
    </figure>
  );
}
