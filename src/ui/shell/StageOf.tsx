"use client";
import { notFound } from "next/navigation";
import { StagePreview } from "./StagePreview";
import { useFaces } from "./useFaces";

/** The stage that is open. */
export function StageOf({ slug }: { slug: string }) {
  const { kind, all } = useFaces();
  const stage = all.find((candidate) => candidate.slug === slug);
  if (!stage) notFound();
  return stage.Stage ? <stage.Stage key={kind} /> : <StagePreview stage={stage} />;
}
