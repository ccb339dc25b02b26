"use client";
import { useEffect, useState } from "react";
import { allowedBanks, bestOf } from "@/core/departure/best-bank";
import type { DepartureQuestion } from "@/core/departure/departure-day";
import { type Band, SCAN_HEIGHTS_M, type TurnbackAtHeight, bandsOf } from "@/core/departure/scan";
import { M_PER_FT } from "@/core/quantities/constants";
import type { Work } from "@/ui/kit/lanes/core-link";
import { askAll } from "@/ui/kit/lanes/lanes";
import { useFormat } from "@/ui/kit/units/units-store";
import { bandsInWords } from "@/ui/answers/departure-words";
import { useDeparture } from "@/ui/answers/departure-store";

/** Where an early turn is tried when the plan has none: 300 ft, the least that is usual. */
const USUAL_M = 300 * M_PER_FT;
/** Every other height is enough to compare. */
const HEIGHTS_M = SCAN_HEIGHTS_M.filter((_, i) => i % 2 === 1);

interface Compared {
  readonly question: DepartureQuestion;
  readonly sides: readonly {
    readonly side: "left" | "right" | null;
    readonly points: readonly { readonly height_m: number; readonly score_m: number | null }[];
  }[];
}

/** The same departure with a crosswind turn to either side, and straight out when the plan turns: what it gains. */
export function useEarlyTurn(wanted: boolean) {
  const scan = useDeparture((state) => state.scan);
  const format = useFormat();
  const [compared, setCompared] = useState<Compared | null>(null);
  const question = scan?.question ?? null;
  useEffect(() => {
    if (!wanted || !question) return;
    const stop = new AbortController();
    const height_m = question.plan.crosswind?.height_m ?? USUAL_M;
    const tried = ([null, "left", "right"] as const).filter((side) => side !== (question.plan.crosswind?.side ?? null));
    const banks = allowedBanks(question.plan);
    const tasks = tried.flatMap((side) =>
      banks.map(
        (bank): Work<{ side: (typeof tried)[number]; turnbacks: readonly TurnbackAtHeight[] }> =>
          async (core) => {
            const outcome = await core.departureTurnbacks(
              { ...question, plan: { ...question.plan, crosswind: side && { height_m, side } } },
              bank,
              HEIGHTS_M,
            );
            return { side, turnbacks: outcome.ok ? outcome.value : [] };
          },
      ),
    );
    askAll(tasks, stop.signal)
      .then((parts) =>
        setCompared({
          question,
          sides: tried.map((side) => ({
            side,
            points: HEIGHTS_M.map((at_m) => ({
              height_m: at_m,
              score_m:
                bestOf(
                  parts
                    .filter((part) => part.side === side)
                    .flatMap((part) => part.turnbacks.filter((turnback) => turnback.height_m === at_m)),
                )?.score_m ?? null,
            })),
          })),
        }),
      )
      // Stopped by a newer question.
      .catch(() => undefined);
    return () => stop.abort(new DOMException("stopped", "AbortError"));
  }, [wanted, question]);

  const current = compared && compared.question === question ? compared : null;
  const height = format("height", question?.plan.crosswind?.height_m ?? USUAL_M);
  const lines = (current?.sides ?? []).map(({ side, points }) => ({
    id: `early-${side}`,
    name: side ? `${side} at ${height}` : "straight out",
    colour: side === "left" ? "harbour" : side === "right" ? "steel" : "ink2",
    dash: [6, 3],
    width: 2.2,
    points,
  }));
  const sides = current?.sides.map(({ side, points }) => ({ side, bands: bandsOf(points) })) ?? [];
  const works = (bands: readonly Band[]) => (bands.length === 0 ? "never" : bandsInWords(bands, format));
  const says = !wanted
    ? ""
    : !current
      ? "Computing …"
      : [
          `As planned ${works(scan?.bands ?? [])}`,
          ...sides.map(
            ({ side, bands }) => `${side ? `turning ${side} at ${height}` : "straight out"} ${works(bands)}`,
          ),
        ].join("; ") + ".";
  return { lines, says };
}
