"use client";
import Link from "next/link";
import { useSelectedLayoutSegment } from "next/navigation";
import { Mark } from "@/ui/kit/page/Mark";
import { useDialogs } from "@/ui/kit/dialogs/dialogs-store";
import { saveStateOf, useSituation } from "@/ui/situation/situation-store";
import type { Headline, HeadlineProps, StageFace } from "@/ui/stages/stage-face";
import { useFaces } from "./useFaces";

/** The stages in order of work, each with its headline figure: the spine is the summary. */
export function Spine() {
  const here = useSelectedLayoutSegment();
  const name = useSituation((state) => state.current.name);
  const saveState = useSituation(saveStateOf);
  const show = useDialogs((state) => state.show);
  // What a stage keeps belongs to a kind of aircraft.
  const { kind, stages, beside } = useFaces();
  return (
    <nav className="row-span-2 row-start-1 flex min-h-0 flex-col overflow-auto" aria-label="Stages">
      <div className="px-4 py-3.5">
        <Mark />
      </div>
      <ol>
        {stages.map((stage, i) => (
          <StageLink key={`${stage.slug} ${kind}`} stage={stage} number={i + 1} current={stage.slug === here} />
        ))}
      </ol>
      <ul className="mt-3">
        {beside.map((stage, i) => (
          <StageLink key={`${stage.slug} ${kind}`} stage={stage} number={(9 + i) % 10} current={stage.slug === here} />
        ))}
      </ul>
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

function StageLink({ stage, number, current }: { stage: StageFace; number: number; current: boolean }) {
  const draw = (headline: Headline | undefined) => (
    <span className={`num truncate text-[13px] ${headline?.tone ?? "text-ink2"}`}>{headline?.text ?? "…"}</span>
  );
  return (
    <li className="border-b border-rule first:border-t">
      <Link
        href={`/${stage.slug}`}
        // What a stage shows is worked out here: there is nothing to fetch before it is opened.
        prefetch={false}
        aria-current={current ? "page" : undefined}
        className={`flex min-h-[54px] items-start gap-3 border-l-4 py-1.5 pr-1.5 pl-3 ${current ? "relative z-10 -mr-px border-harbour bg-sheet" : "border-transparent hover:bg-mark"}`}
      >
        <span className="num pt-0.5 text-[13px] text-ink2">{number}</span>
        <span className="flex min-w-0 flex-col">
          <span className="font-semibold">{stage.name}</span>
          {stage.Headline && <stage.Headline draw={draw} />}
          {stage.useHeadline && <HeadlineOf useHeadline={stage.useHeadline} draw={draw} />}
        </span>
      </Link>
    </li>
  );
}

function HeadlineOf({ useHeadline, draw }: HeadlineProps & { useHeadline: () => Headline | undefined }) {
  return draw(useHeadline());
}
