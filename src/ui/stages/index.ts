"use client";
import { stage as aircraft } from "./aircraft/stage";
import { stage as debrief } from "./debrief/stage";
import { stage as departure } from "./departure/stage";
import { stage as enRoute } from "./en-route/stage";
import { stage as engineOut } from "./engine-out/stage";
import { stage as landing } from "./landing/stage";
import { stage as places } from "./places/stage";
import { stage as rehearse } from "./rehearse/stage";
import { stage as restart } from "./restart/stage";
import { stage as today } from "./today/stage";
import type { StageFace } from "./stage-face";

/** The stages in the order in which the work is done. */
export const STAGES: readonly StageFace[] = [
  aircraft,
  departure,
  enRoute,
  engineOut,
  restart,
  landing,
  rehearse,
  debrief,
];

/** What stands beside the order of work. */
export const BESIDE: readonly StageFace[] = [places, today];

/** All that has an address. */
export const FACES: readonly StageFace[] = [...STAGES, ...BESIDE];
