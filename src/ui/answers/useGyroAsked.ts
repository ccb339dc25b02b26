"use client";
import { useMemo } from "react";
import type { GyroQuestion } from "@/core/rotor/gyro-question";
import type { RudderAtSpeed } from "@/core/rotor/rudder-authority";
import { type Answer, asking } from "@/ui/kit/lanes/asking";
import { useKept } from "@/ui/kit/lanes/useAnswer";
import { useGyroplane } from "@/ui/situation/useAircraftOfKind";
import { useSituation } from "@/ui/situation/situation-store";

/** The situation's gyroplane in the situation's air. */
export function useGyroAsked(): GyroQuestion {
  const { document } = useGyroplane();
  const { mass_kg, altitude_m, air } = useSituation((state) => state.current);
  return useMemo(() => ({ aircraft: document, mass_kg, altitude_m, air }), [document, mass_kg, altitude_m, air]);
}

const rudder = asking(
  "pointed",
  (core, question: GyroQuestion) => core.gyroRudder(question),
  ({ aircraft }) => JSON.stringify(aircraft),
);

/** What its rudder does by speed. */
export function useGyroRudder(): Answer<GyroQuestion, readonly RudderAtSpeed[]> {
  return useKept(rudder, useGyroAsked());
}
