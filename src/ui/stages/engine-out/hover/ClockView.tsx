"use client";
import { useEffect, useRef } from "react";
import { formatNumber } from "@/core/quantities/units";
import type { PracticeCase } from "@/core/rotor/rating-practice";
import { type BandUse, inspectionDue } from "@/core/rotor/ratings-clock";
import { CheckField } from "@/ui/kit/forms/CheckField";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { QuantityField } from "@/ui/kit/forms/QuantityField";
import { SliderField } from "@/ui/kit/forms/SliderField";
import type { Ask } from "@/ui/kit/lanes/asking";
import { useAnswer } from "@/ui/kit/lanes/useAnswer";
import { useFormat } from "@/ui/kit/units/units-store";
import { useHoverAsked } from "@/ui/answers/useHoverAnswer";
import { useGroundHere_m } from "@/ui/situation/ground-at";
import { bandColour } from "./PowerChart";
import { usePractice } from "./practice-store";

const askCase: Ask<ReturnType<typeof useHoverAsked>, PracticeCase> = (core, { needed_s: _needed, ...asked }) =>
  core.practiceCase(asked);

/** What overriding the limiter costs, said before it is done. */
const OVERRIDE = "Override: the engine gives what is asked, and may have to be taken out afterwards.";

/** The ratings' clock, running: power by the collective, the band in use burns down, the rest is counted. */
export function ClockView() {
  const asked = useHoverAsked();
  const { value: about, issue } = useAnswer(asked, askCase, "pointed");
  const { running, tick } = usePractice();
  const last = useRef(0);
  useEffect(() => {
    if (!running || !about) return;
    last.current = performance.now();
    const timer = setInterval(() => {
      const now = performance.now();
      tick(about, (now - last.current) / 1000);
      last.current = now;
    }, 100);
    return () => clearInterval(timer);
  }, [running, about, tick]);
  if (!about) return <p className="p-4 text-ink2">{issue?.message ?? "Computing …"}</p>;
  return (
    <div
      className="grid min-h-0 grid-rows-[auto_auto_minmax(0,1fr)] overflow-auto"
      tabIndex={0}
      role="region"
      aria-label="Ratings’ clock"
    >
      <Controls about={about} />
      <Now about={about} />
      <Bands about={about} />
    </div>
  );
}

function Controls({ about }: { about: PracticeCase }) {
  const { training, floor_m, demand, limiter, state, running, plan, start, stop, clear } = usePractice();
  const { altitude_m } = useHoverAsked();
  const ground_m = useGroundHere_m();
  const format = useFormat();
  const height_m = ground_m === null ? null : altitude_m - ground_m;
  const tooLow = training && (height_m === null || height_m < floor_m);
  return (
    <div className="flex flex-wrap items-end gap-x-5 gap-y-2 border-b border-rule px-4 py-2">
      <button
        type="button"
        className="btn btn-primary mb-1"
        disabled={tooLow && !running}
        onClick={() => (running ? stop() : start(about))}
      >
        {running ? "Hold the clock" : state ? "Go on" : training ? "Show one engine failed" : "Fail one engine"}
      </button>
      <button type="button" className="btn btn-quiet mb-1" disabled={!state} onClick={clear}>
        {training ? "Both engines: leave training" : "Begin anew"}
      </button>
      <div className="w-52">
        <SliderField
          label="Collective, of hover"
          value={demand}
          min={0.5}
          max={1.25}
          step={0.01}
          shown={`${Math.round(demand * 100)} %`}
          onChange={(value) => plan({ demand: value })}
        />
      </div>
      <div className="w-52">
        <ChoiceField
          label="Limiter holds it to"
          value={limiter === null ? "" : String(limiter)}
          onChange={(value) => plan({ limiter: value === "" ? null : Number(value) })}
          choices={[
            ...about.ratings.map(({ name }, i) => ({ value: String(i), label: name })),
            { value: "", label: "override the limiter" },
          ]}
        />
      </div>
      <div className="flex items-end gap-4">
        <div className="mb-1">
          <CheckField
            label="Training: both engines run"
            checked={training}
            disabled={state !== null}
            onChange={(value) => plan({ training: value })}
          />
        </div>
        {training && (
          <div className="w-44">
            <QuantityField
              label="Instructor’s least height"
              kind="height"
              value={floor_m}
              check={(value) => (value >= 30 && value <= 3000 ? null : "30 to 3 000 m (100 to 9 800 ft).")}
              onChange={(value) => plan({ floor_m: value })}
            />
          </div>
        )}
      </div>
      {limiter === null && <p className="w-full text-[14px] text-brick">{OVERRIDE}</p>}
      {tooLow && (
        <p role="status" className="w-full text-[14px] text-ochre">
          {height_m === null
            ? "Training does not start before the height above the ground is known."
            : `Training starts from ${format("height", floor_m)} above the ground up; the situation is at ${format("height", Math.max(height_m, 0))}.`}
        </p>
      )}
    </div>
  );
}

/** What the gauges show; in training the pilot's are simulated, and the real ones stay visible to the instructor. */
function Now({ about }: { about: PracticeCase }) {
  const { state, training, demand } = usePractice();
  const format = useFormat();
  if (!state)
    return (
      <p className="px-4 py-3 text-ink2">
        The clock starts with the failure. Then fly the collective: the band in use burns down.
      </p>
    );
  const band = state.clock.band;
  const name = band === null ? "" : band < 0 ? "above all ratings" : about.ratings[band].name;
  return (
    <div className={`grid gap-x-8 border-b border-rule px-4 py-2 ${training ? "grid-cols-2" : ""}`}>
      <dl className="flex flex-wrap gap-x-8" aria-label={training ? "Simulated, for the pilot under training" : "Now"}>
        {training && (
          <dt className="w-full text-[13px] font-semibold text-ochre">Simulated: one engine shown failed</dt>
        )}
        <Gauge name="one engine" value={format("power", state.engine_W)} />
        <Gauge name="band" value={name} tone={band !== null && band < 0 ? "text-brick" : ""} />
        <Gauge
          name="rotor"
          value={`${formatNumber(state.nr * 100)} %`}
          tone={state.nr < about.nrMinFlight ? "text-brick" : ""}
        />
        <Gauge name="clock" value={`${formatNumber(state.clock.time_s)} s`} />
      </dl>
      {training && (
        <dl className="flex flex-wrap gap-x-8 border-l border-rule pl-6" aria-label="Real, for the instructor">
          <dt className="w-full text-[13px] font-semibold text-pine">Real: both engines run</dt>
          <Gauge name="each engine" value={format("power", (demand * about.hover_W) / 2)} />
          <Gauge name="rotor" value="100 %" />
        </dl>
      )}
      {state.over && (
        <p role="alert" className="col-span-full text-brick">
          The rotor is down to {formatNumber(about.nrOver * 100)} %: more was asked than there was. Lower the collective
          before it droops; begin anew.
        </p>
      )}
    </div>
  );
}

function Gauge({ name, value, tone = "" }: { name: string; value: string; tone?: string }) {
  return (
    <div>
      <dt className="text-[13px] text-ink2">{name}</dt>
      <dd className={`num text-[22px] ${tone}`}>{value}</dd>
    </div>
  );
}

function Bands({ about }: { about: PracticeCase }) {
  const { state, training } = usePractice();
  const format = useFormat();
  const due = state !== null && !training && inspectionDue(state.clock, about.ratings);
  return (
    <div className="flex min-h-0 flex-col gap-2 px-4 py-3">
      {about.ratings.map((rating, i) => {
        const use = state?.clock.bands[i];
        const inUse = state?.clock.band === i;
        return (
          <section
            key={rating.name}
            aria-label={rating.name}
            className={`border-l-4 pl-3 ${inUse ? "border-ink" : "border-transparent"}`}
          >
            <p className="flex flex-wrap gap-x-6 text-[14px]">
              <strong className="w-28">{rating.name}</strong>
              <span className="num w-36">to {format("power", about.limits_W[i])}</span>
              <span className="num">{usedWords(use, rating.duration_s)}</span>
            </p>
            {rating.duration_s !== null && (
              <div aria-hidden="true" className="mt-0.5 h-3 border border-ink2 bg-paper">
                <div
                  className="h-full"
                  style={{
                    width: `${(100 * (use?.left_s ?? rating.duration_s)) / rating.duration_s}%`,
                    background: `var(--${bandColour(i, about.ratings.length)})`,
                  }}
                />
              </div>
            )}
          </section>
        );
      })}
      {state && state.clock.exceedances.length > 0 && (
        <ul role="status" className="text-[14px] text-brick">
          {state.clock.exceedances.map(({ name, kind, over_s }, i) => (
            <li key={i}>
              {kind === "power"
                ? `Above all ratings for ${formatNumber(over_s)} s.`
                : kind === "time"
                  ? `${name}: ${formatNumber(Math.ceil(over_s))} s too long.`
                  : `${name}: used once too often.`}
            </li>
          ))}
        </ul>
      )}
      {due && (
        <p className="text-[14px] text-ochre">
          A limited rating was used: before the next flight the engine is looked at as the manual says.
        </p>
      )}
    </div>
  );
}

function usedWords(use: BandUse | undefined, duration_s: number | null): string {
  if (duration_s === null) return "as long as you like";
  if (!use || use.uses === 0) return `${formatNumber(duration_s)} s`;
  const left = `${formatNumber(use.left_s ?? 0)} s left`;
  return use.usesLeft === null ? left : `${left} · ${use.usesLeft} more ${use.usesLeft === 1 ? "use" : "uses"}`;
}
