"use client";
import { useMemo } from "react";
import type { AsymmetricQuestion } from "@/core/asymmetric/asymmetric-question";
import type { BankChoice } from "@/core/asymmetric/climb-ledger";
import { success } from "@/core/outcome";
import { asking } from "@/ui/kit/lanes/asking";
import { useKept } from "@/ui/kit/lanes/useAnswer";
import { useAeroplane } from "@/ui/situation/useAircraftOfKind";
import { useSituation } from "@/ui/situation/situation-store";
import { flownBank_rad, useEngineOut } from "./engine-out-store";

/** What the situation and the trial ask about flight on one engine. */
export function useEngineOutQuestion(): AsymmetricQuestion {
  const { document } = useAeroplane();
  const situation = useSituation((state) => state.current);
  const { failed, deadPropeller, gearDown, flap, items, setting, ...tried } = useEngineOut((state) => state.trial);
  const mass_kg = Math.min(tried.mass_kg ?? situation.mass_kg, document.mass.maximum_kg);
  const centreOfGravity = tried.centreOfGravity ?? situation.centreOfGravity;
  const altitude_m = tried.altitude_m ?? situation.altitude_m;
  const { qnh_Pa } = situation.air;
  const deviation_K = tried.deviation_K ?? situation.air.deviation_K;
  return useMemo(
    () => ({
      aircraft: document,
      mass_kg,
      centreOfGravity,
      altitude_m,
      air: { qnh_Pa, deviation_K },
      failed,
      gearDown,
      setting,
      flap: Math.min(flap, (document.polar?.flaps.length ?? 1) - 1),
      items: items.filter((id) => document.polar?.items.some((item) => item.id === id)),
      deadPropeller: document.engines.kind === "jet" ? "none" : (deadPropeller ?? "windmilling"),
    }),
    [
      document,
      mass_kg,
      centreOfGravity,
      altitude_m,
      qnh_Pa,
      deviation_K,
      failed,
      deadPropeller,
      gearDown,
      flap,
      items,
      setting,
    ],
  );
}

interface Moving {
  readonly question: AsymmetricQuestion;
  readonly bank: BankChoice;
  readonly eas_mps: number | null;
}

const aircraftOf = ({ question }: { question: AsymmetricQuestion }) => JSON.stringify(question.aircraft);

const moving = asking(
  "pointed",
  (core, { question, bank, eas_mps }: Moving) => core.engineOutNow(question, bank, eas_mps),
  aircraftOf,
);

moving.subscribe(() => {
  const { value, issue } = moving.get();
  useEngineOut.getState().set({ now: value, issue });
});

interface Tabled {
  readonly question: AsymmetricQuestion;
  readonly bank_rad: number;
  readonly stall_mps: number;
}

const tabled = asking(
  "long",
  async (core, { question, bank_rad, stall_mps }: Tabled) =>
    success(await core.engineOutTables(question, bank_rad, stall_mps)),
  aircraftOf,
);

tabled.subscribe(() => useEngineOut.getState().set({ tables: tabled.get().value }));

/**
 * Keeps what moves with a slider up to date wherever one is: the spine shows it. An answer about another aircraft goes
 * at once.
 */
export function useEngineOutAnswer(): void {
  const question = useEngineOutQuestion();
  const bank = useEngineOut((state) => state.trial.bank);
  const eas_mps = useEngineOut((state) => state.trial.eas_mps);
  useKept(
    moving,
    useMemo(() => ({ question, bank, eas_mps }), [question, bank, eas_mps]),
  );
}

/** Keeps the tables up to date while the stage is open. */
export function useEngineOutTables(): void {
  const question = useEngineOutQuestion();
  const now = useEngineOut((state) => state.now);
  const bank = useEngineOut((state) => state.trial.bank);
  const stall_mps = now?.vmca.stall_mps ?? null;
  const bank_rad = flownBank_rad({ bank }, now);
  useKept(
    tabled,
    useMemo(() => (stall_mps === null ? null : { question, bank_rad, stall_mps }), [question, bank_rad, stall_mps]),
  );
}
