"use client";
import { useState } from "react";
import { AnotherRecorder } from "@/core/track/kept-log";
import { NumberField } from "@/ui/kit/forms/NumberField";
import { checkBy } from "@/ui/kit/forms/fault";
import { layRecorder, useDebrief } from "./debrief-store";

const offsetCheck = checkBy(AnotherRecorder.shape.offset_s);

/** Asks by how much another recorder's clock is to be set, where the climbs do not tell surely. */
export function RecorderAsk() {
  const recorder = useDebrief((state) => state.recorder);
  return recorder && <Asked key={recorder.name} recorder={recorder} />;
}

function Asked({ recorder }: { recorder: NonNullable<ReturnType<typeof useDebrief.getState>["recorder"]> }) {
  const [offset_s, setOffset] = useState(recorder.offset_s);
  return (
    <section className="flex flex-col gap-2 border-t border-rule px-4 py-2 text-[14px]" aria-label="Another recorder">
      <p className="text-ochre">{recorder.why}</p>
      <NumberField
        label={`Added to the clock of ${recorder.name}`}
        unit="s"
        value={offset_s}
        digits={1}
        step={1}
        check={offsetCheck}
        onChange={setOffset}
      />
      <p className="flex gap-1.5">
        <button type="button" className="btn" onClick={() => void layRecorder({ ...recorder, offset_s })}>
          Lay it so
        </button>
        <button type="button" className="btn btn-quiet" onClick={() => useDebrief.setState({ recorder: null })}>
          Leave it
        </button>
      </p>
    </section>
  );
}
