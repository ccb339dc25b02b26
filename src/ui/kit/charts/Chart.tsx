"use client";
import { Suspense, lazy } from "react";
import type { ChartProps } from "./DrawnChart";

// The drawing library is large, and many views show no chart: it comes with the first one.
const DrawnChart = lazy(() => import("./DrawnChart").then((module) => ({ default: module.DrawnChart })));

/** A chart with its table beside it: hover for values, the button for figures. */
export function Chart(props: ChartProps) {
  return (
    <Suspense fallback={<p className={`p-4 text-ink2 ${props.className ?? ""}`}>Drawing the chart …</p>}>
      <DrawnChart {...props} />
    </Suspense>
  );
}
