import { asymmetricCase } from "../asymmetric/anchored-case";
import { mendedOf } from "../asymmetric/climb-by-height";
import { zeroSideslip } from "../asymmetric/one-engine-climb";
import { deadDragArea_m2 } from "../engine/engine-force";
import { type Outcome, success } from "../outcome";
import { type GaugeMoment, type GaugeQuestion, gaugeHistory, sinkOnNone_mps } from "./gauge-history";

/** The minute after a fault, and what shutting down the wrong engine would cost. */
export interface IdentifyAnswer {
  readonly moments: readonly GaugeMoment[];
  /** Pedal with the engine wholly dead. */
  readonly full_N: number;
  readonly sinkOnNone_mps: number;
}

/** Gauges of the minute after a fault, with the pedal of a wholly dead engine and the sink on none. */
export function identifyAnswer(asked: GaugeQuestion): Outcome<IdentifyAnswer> {
  const moments = gaugeHistory(asked);
  if (!moments.ok) return moments;
  const jet = asked.question.aircraft.engines.kind === "jet";
  const flight = asymmetricCase({
    ...asked.question,
    deadPropeller: jet ? "none" : "windmilling",
    failed: asked.engine,
  });
  if (!flight.ok) return flight;
  return success({
    moments: moments.value,
    full_N: zeroSideslip(flight.value, asked.eas_mps)?.pedal_N ?? 0,
    sinkOnNone_mps: sinkOnNone_mps(
      flight.value,
      asked.eas_mps,
      deadDragArea_m2(asked.question.aircraft, mendedOf(asked.question).deadPropeller) ?? flight.value.deadArea_m2,
    ),
  });
}
