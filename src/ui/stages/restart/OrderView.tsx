"use client";
import { RotateCcw } from "lucide-react";
import { useState } from "react";
import { airAtAltitude } from "@/core/air/altimetry";
import { ENGINE_ACTIONS, type EngineAction, type EngineTask, orderFaults } from "@/core/restart/engine-order";
import { NO_RESTART, warmUp } from "@/core/restart/warm-up";
import { SliderField } from "@/ui/kit/forms/SliderField";
import { useSituation } from "@/ui/situation/situation-store";
import { useFormat } from "@/ui/kit/units/units-store";

const WORDS: Record<EngineAction, string> = {
  "throttle-closed": "Throttle closed",
  "propeller-feather": "Propeller to feather",
  "mixture-off": "Mixture cut off",
  "fuel-off": "Fuel off",
  "propeller-stopped": "Propeller has stopped",
  "ignition-off": "Ignition off",
  "fuel-on": "Fuel on",
  "ignition-on": "Ignition on",
  "throttle-set": "Throttle set as for a start",
  "propeller-forward": "Propeller out of feather",
  "mixture-rich": "Mixture rich",
  starter: "Starter",
  "warm-up": "Warm up at low power",
};
const TASKS: Record<EngineTask, { title: string; says: string }> = {
  feather: {
    title: "Feather",
    says: "After identifying and verifying. Press each in the order in which you would do it.",
  },
  unfeather: {
    title: "Unfeather and start again",
    says: "After practice or a precaution, when nothing is broken. Not after fire, mechanical damage or lost oil. In cold air a long glide has cooled the cylinders: warm up before power.",
  },
};

/** Feathering and starting again, pressed in order; what comes too early is told with its reason. */
export function OrderView() {
  return (
    <div
      className="grid min-h-0 grid-cols-2 gap-6 overflow-auto px-4 py-3 max-[1150px]:grid-cols-1"
      tabIndex={0}
      role="region"
      aria-label="Order of feathering and starting again"
    >
      <Order task="feather" />
      <Order task="unfeather" />
      <WarmUpPlan />
    </div>
  );
}

/** Warming up again by outside temperature and time stopped; when not to start at all. */
function WarmUpPlan() {
  const { altitude_m, air } = useSituation((state) => state.current);
  const [stopped_s, setStopped] = useState(300);
  const outside_K = airAtAltitude(altitude_m, air).temperature_K;
  const plan = warmUp(outside_K, stopped_s);
  const format = useFormat();
  return (
    <section
      className="col-span-2 grid grid-cols-2 gap-6 border-t border-rule pt-3 max-[1150px]:col-span-1 max-[1150px]:grid-cols-1"
      aria-label="Warming up"
    >
      <div>
        <h2 className="font-bold">Warming up, {format("temperature", outside_K)} outside</h2>
        <SliderField
          label="Stopped for"
          value={stopped_s}
          min={30}
          max={1800}
          step={30}
          shown={`${Math.round(stopped_s / 6) / 10} min`}
          onChange={setStopped}
        />
        <ol className="mt-1 list-decimal pl-5 text-[14px]">
          {plan.steps.map((step) => (
            <li key={step.name}>
              {step.name}: {Math.round(step.power * 100)} % power, {Math.round(step.time_s / 10) * 10} s
            </li>
          ))}
        </ol>
        <p className="mt-1 text-[14px]">
          About {Math.round(plan.time_s / 60)} min in all.{" "}
          <span className={plan.air === "cold" ? "text-brick" : plan.air === "cool" ? "text-ochre" : "text-ink2"}>
            {plan.caution}
          </span>
        </p>
        <p className="mt-1 text-[13px] text-ink2">
          Common practice, of the right order only; the engine maker’s limits come first.
        </p>
      </div>
      <div>
        <h2 className="font-bold">Not started again when</h2>
        <ul className="mt-1 list-disc pl-5 text-[14px]">
          {NO_RESTART.map((reason) => (
            <li key={reason}>{reason}</li>
          ))}
        </ul>
      </div>
    </section>
  );
}

function Order({ task }: { task: EngineTask }) {
  const [done, setDone] = useState<readonly EngineAction[]>([]);
  const faults = orderFaults(task, done);
  // Offered by name, so that the order is not given away.
  const left = ENGINE_ACTIONS[task]
    .filter((action) => !done.includes(action))
    .sort((a, b) => WORDS[a].localeCompare(WORDS[b]));
  return (
    <section aria-label={TASKS[task].title}>
      <div className="flex items-center gap-3">
        <h2 className="font-bold">{TASKS[task].title}</h2>
        {done.length > 0 && (
          <button type="button" className="btn btn-quiet ml-auto px-2 py-0.5 text-[13px]" onClick={() => setDone([])}>
            <RotateCcw size={14} aria-hidden="true" /> Again
          </button>
        )}
      </div>
      <p className="mt-1 text-[13px] text-ink2">{TASKS[task].says}</p>
      <div className="mt-2 flex flex-wrap gap-2">
        {left.map((action) => (
          <button key={action} type="button" className="btn" onClick={() => setDone([...done, action])}>
            {WORDS[action]}
          </button>
        ))}
      </div>
      <ol className="mt-3 list-decimal space-y-1 pl-5" aria-label={`${TASKS[task].title}, as done`}>
        {done.map((action) => {
          const early = faults.filter((fault) => fault.action === action);
          return (
            <li key={action} className={early.length > 0 ? "text-brick" : ""}>
              <span className="font-semibold">{WORDS[action]}</span>
              {early.map((fault) => (
                <span key={fault.missing} className="block text-[14px]">
                  Too early: {WORDS[fault.missing].toLowerCase()} first. {fault.why}
                </span>
              ))}
            </li>
          );
        })}
      </ol>
      <p className="mt-2" role="status">
        {left.length === 0 &&
          (faults.length === 0 ? (
            <span className="text-pine">In a sound order. The flight manual’s own comes first.</span>
          ) : (
            <span className="text-brick">{faults.length} too early.</span>
          ))}
      </p>
    </section>
  );
}
