// What rotorcraft ask, for the worker.
import { autorotationDown, autorotations, powerBySpeed } from "@/core/rotor/autorotation-answer";
import { flyAwayAnswer, hoverHeightsAnswer } from "@/core/rotor/fly-away-answer";
import { gyroClimbOut, gyroGlides, gyroRudder, gyroSpot } from "@/core/rotor/gyro-answer";
import { hoverAnswer } from "@/core/rotor/hover-answer";
import { practiceCase } from "@/core/rotor/hover-practice";
import { rotorNumbers } from "@/core/rotor/rotor-numbers";
import { oneEngineEnvelope } from "@/core/rotor/one-engine-envelope";

/** The core's answers about rotors. */
export const rotorWork = {
  autorotations,
  autorotationDown,
  powerBySpeed,
  hoverAnswer,
  practiceCase,
  flyAwayAnswer,
  hoverHeightsAnswer,
  oneEngineEnvelope,
  rotorNumbers,
  gyroClimbOut,
  gyroGlides,
  gyroRudder,
  gyroSpot,
};
