"use client";
import Link from "next/link";
import { useSelectedLayoutSegment } from "next/navigation";
import { useMemo } from "react";
import { formatNumber } from "@/core/quantities/units";
import { restartBudget } from "@/core/restart/restart-budget";
import { currentChance, useDeparture } from "@/ui/departure/departure-store";
import { gateHeadline } from "@/ui/departure/departure-words";
import { useEngineOut } from "@/ui/engine-out/engine-out-store";
import { engineOutHeadline } from "@/ui/engine-out/engine-out-words";
import { landingHeadline } from "@/ui/landing/landing-words";
import { shownEnd, shownSite, useReach } from "@/ui/landing/reach-store";
import { budgetHeadline } from "@/ui/restart/restart-words";
import { useRestartQuestion } from "@/ui/restart/useRestartQuestion";
import { useTakeOff } from "@/ui/take-off/take-off-store";
import { takeOffHeadline } from "@/ui/take-off/take-off-words";
import { useSituation, saveStateOf } from "@/ui/situation/situation-store";
import { useFormat } from "@/ui/units/units-store";
import { Mark } from "./Mark";
import { useDialogs } from "./dialogs-store";
import { useAircraft } from "./library";
import { STAGES } from "./stages";

/** The eight stages in order of work, each with its headline figure: the spine is the summary. */
export function Spine() {
  const here = useSelectedLayoutSegment();
  const headlines = useHeadlines();
  const name = useSituation((state) => state.current.name);
  const saveState = useSituation(saveStateOf);
  const show = useDialogs((state) => state.show);
  return (
    <nav className="row-span-2 row-start-1 flex min-h-0 flex-col overflow-auto" aria-label="Stages">
      <div className="px-4 py-3.5">
        <Mark />
      </div>
      <ol>
        {STAGES.map(({ slug, name: title, built }, i) => {
          const current = slug === here;
          const headline = headlines[slug];
          return (
            <li key={slug} className="border-b border-rule first:border-t">
              <Link
                href={`/${slug}`}
                aria-current={current ? "page" : undefined}
                className={`flex min-h-[54px] items-start gap-3 border-l-4 py-1.5 pr-1.5 pl-3 ${current ? "relative z-10 -mr-px border-harbour bg-sheet" : "border-transparent hover:bg-mark"}`}
              >
                <span className="num pt-0.5 text-[13px] text-ink2">{i + 1}</span>
                <span className="flex min-w-0 flex-col">
                  <span className="font-semibold">{title}</span>
                  <span className={`num truncate text-[13px] ${headline?.tone ?? "text-ink2"}`}>
                    {headline?.text ?? (built ? "…" : "not built yet")}
                  </span>
                </span>
              </Link>
            </li>
          );
        })}
      </ol>
      <button
        type="button"
        className="mt-auto border-t border-rule px-4 py-3 text-left text-[13px] text-ink2 hover:bg-mark"
        onClick={() => show("situations")}
      >
        <span className="block truncate font-semibold text-ink">{name}</span>
        {saveState === "saved" && "saved"}
        {saveState === "saving" && "saving …"}
        {saveState === "unsaved" && "changed, not saved yet"}
        {saveState === "away" && "kept here, database away"}
      </button>
    </nav>
  );
}

interface Headline {
  readonly text: string;
  readonly tone?: string;
}

function useHeadlines(): Partial<Record<(typeof STAGES)[number]["slug"], Headline>> {
  const answer = useReach((state) => state.answer);
  const pinnedId = useReach((state) => state.pinnedId);
  const format = useFormat();
  const end = shownEnd({ answer, pinnedId });
  const best = answer?.reach?.best;
  const site = shownSite({ answer, pinnedId });
  const landing: Headline | undefined = answer?.issue
    ? { text: "no answer", tone: "text-brick" }
    : site
      ? landingHeadline(site, format)
      : end
        ? {
            text: answer?.reach?.ends.every(({ status }) => status === "none")
              ? "no path to any place"
              : `no path, ${end.name}`,
            tone: "text-brick",
          }
        : undefined;
  const departure = useDepartureHeadline();
  const takeOff = useTakeOffHeadline();
  const restart = useRestartHeadline();
  const engineOut = useEngineOutHeadline();
  const twin = useAircraft().document.asymmetric !== null;
  return {
    restart,
    departure: twin ? takeOff : departure,
    "engine-out": twin ? engineOut : { text: "no twin" },
    aircraft: best && { text: `${format("speed", best.eas_mps)} · ${formatNumber(best.ratio, 1)}:1` },
    landing,
  };
}

/** Seconds for a cause check, or that there are none. */
function useRestartHeadline(): Headline | undefined {
  const question = useRestartQuestion();
  const outcome = useMemo(() => restartBudget(question), [question]);
  if (!outcome.ok) return { text: "no answer", tone: "text-brick" };
  return budgetHeadline(outcome.value, question);
}

/** Whether it climbs on one engine, as set or at best. */
function useEngineOutHeadline(): Headline | undefined {
  const now = useEngineOut((state) => state.now);
  const issue = useEngineOut((state) => state.issue);
  const format = useFormat();
  const jet = useAircraft().document.engines.kind === "jet";
  const ground_m = useReach((state) => state.answer?.ground_m ?? 0);
  if (issue) return { text: "no answer", tone: "text-brick" };
  return now ? engineOutHeadline({ ...now, jet, ground_m }, format) : undefined;
}

/** Whether and from where it climbs away on one engine. */
function useTakeOffHeadline(): Headline | undefined {
  const answer = useTakeOff((state) => state.answer);
  const issue = useTakeOff((state) => state.issue);
  const format = useFormat();
  if (issue) return { text: "no answer", tone: "text-brick" };
  if (!answer) return undefined;
  return takeOffHeadline(answer, format);
}

/** The gate once the chance is known; until then from where turning back works as planned. */
function useDepartureHeadline(): Headline | undefined {
  const scan = useDeparture((state) => state.scan);
  const issue = useDeparture((state) => state.issue);
  const chance = useDeparture((state) => state.chance);
  const progress = useDeparture((state) => state.progress);
  const format = useFormat();
  if (issue)
    return {
      text: issue.code === "not_single" ? "not for rotorcraft" : "no answer",
      tone: issue.code === "not_single" ? undefined : "text-brick",
    };
  if (!scan) return undefined;
  return gateHeadline(
    {
      plan: scan.input.plan,
      bands: scan.bands,
      gates: currentChance({ scan, chance })?.gates ?? null,
      computing: progress !== null,
    },
    format,
  );
}
