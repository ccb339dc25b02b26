"use client";
import { useEffect } from "react";
import { useFormat } from "@/ui/kit/units/units-store";
import { type Headline, headlineOf } from "../stage-face";
import { loadLogs, useLogs } from "./logs-store";

/** What the log that was kept last holds. */
function useDebriefHeadline(): Headline {
  const logs = useLogs((state) => state.logs);
  const format = useFormat();
  useEffect(() => {
    if (useLogs.getState().logs === null) void loadLogs();
  }, []);
  const last = logs?.at(0);
  if (!last) return { text: logs ? "no log yet" : "…" };
  const { failures, height_m, landings } = last.summary;
  if (failures > 0)
    return {
      text:
        failures > 1
          ? `${failures} engine stops`
          : height_m === null
            ? "1 engine stop"
            : `stop at ${format("height", height_m)}`,
    };
  if (landings === 0) return { text: "no engine stop" };
  return { text: landings === 1 ? "1 landing" : `${landings} landings` };
}

/** Loaded when the page stands: no flight needs it first. */
export const DebriefHeadline = headlineOf(useDebriefHeadline);
