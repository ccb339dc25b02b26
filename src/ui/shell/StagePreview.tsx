"use client";
import Link from "next/link";
import type { StageFace } from "@/ui/stages/stage-face";

/** A stage that is not built yet: its question, what it will answer, and what answers something today. */
export function StagePreview({ stage }: { stage: StageFace }) {
  return (
    <section className="flex flex-col gap-4 p-8">
      <h1 className="text-2xl font-bold">{stage.question}</h1>
      <p className="max-w-prose text-lg">{stage.answers}</p>
      <p className="max-w-prose text-ink2">
        This stage is not built yet. The situation above stays as you set it, and is the one it will use.
      </p>
      <div>
        <Link className="btn" href="/landing">
          Plan a landing from here
        </Link>
      </div>
    </section>
  );
}
