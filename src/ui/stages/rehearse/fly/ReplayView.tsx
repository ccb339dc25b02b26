"use client";
import type { AircraftDocument } from "@/core/aircraft/aircraft-document";
import { FlyReplay } from "./FlyReplay";
import { useFly } from "./fly-store";
import { useFlySet } from "./useFlySet";

/** The last flight of this page. */
export function ReplayView({ aircraft }: { aircraft: AircraftDocument }) {
  const last = useFly((state) => state.last);
  const set = useFlySet(aircraft);
  if (!last || last.rows.length < 2)
    return <p className="p-5 text-ink2">Nothing was flown on this page yet. “Fly it” is beside this tab.</p>;
  // Another flight is another replay.
  return <FlyReplay key={last.recording.steps} last={last} set={set} />;
}
