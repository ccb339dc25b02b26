"use client";
import { notFound } from "next/navigation";
import { FACES } from "@/ui/stages";
import { StagePreview } from "./StagePreview";

/** The stage that is open. */
export function StageOf({ slug }: { slug: string }) {
  const stage = FACES.find((candidate) => candidate.slug === slug);
  if (!stage) notFound();
  return stage.Stage ? <stage.Stage /> : <StagePreview stage={stage} />;
}
