"use client";
import { useEffect, useMemo, useRef } from "react";
import type { AsymmetricQuestion } from "@/core/asymmetric/asymmetric-case";
import { core } from "@/ui/core/core";
import { latestOnly } from "@/ui/core/latest";
import { useAircraft } from "@/ui/shell/library";
import { useSituation } from "@/ui/situation/situation-store";
import { flownBank_rad, useEngineOut } from "./engine-out-store";

/** What the situation and the trial ask about flight on one engine. */
export function useEngineOutQuestion(): AsymmetricQuestion {
  const { document } = useAircraft();
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

/** Keeps what moves with a slider up to date wherever one is: the spine shows it. An answer about another aircraft goes at once. */
export function useEngineOutAnswer(): void {
  const question = useEngineOutQuestion();
  const { aircraft } = question;
  const bank = useEngineOut((state) => state.trial.bank);
  const eas_mps = useEngineOut((state) => state.trial.eas_mps);
  const run = useRef(latestOnly());
  const asked = useRef(question);
  useEffect(() => useEngineOut.getState().set({ now: null, tables: null, issue: null }), [aircraft]);
  useEffect(() => {
    asked.current = question;
    run.current(async () => {
      const now = await core()
        .engineOutNow(question, bank, eas_mps)
        .catch(() => null);
      if (now && asked.current.aircraft === aircraft)
        useEngineOut
          .getState()
          .set(now.ok ? { now: now.value, issue: null } : { now: null, tables: null, issue: now.issue });
    });
  }, [question, aircraft, bank, eas_mps]);
}

/** Keeps the tables up to date while the stage is open. */
export function useEngineOutTables(): void {
  const question = useEngineOutQuestion();
  const now = useEngineOut((state) => state.now);
  const bank = useEngineOut((state) => state.trial.bank);
  const run = useRef(latestOnly());
  useEffect(() => {
    if (!now) return;
    run.current(async () => {
      const tables = await core()
        .engineOutTables(question, flownBank_rad({ bank }, now), now.vmca.stall_mps)
        .catch(() => null);
      if (useEngineOut.getState().now) useEngineOut.getState().set({ tables });
    });
  }, [question, bank, now]);
}
