import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { StageOf } from "@/ui/shell/StageOf";
import { stageOf } from "@/ui/shell/stages";

interface Props {
  params: Promise<{ stage: string }>;
}

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  return { title: stageOf((await params).stage)?.name ?? "No such page" };
}

export default async function StagePage({ params }: Props) {
  const stage = stageOf((await params).stage);
  if (!stage) notFound();
  return <StageOf slug={stage.slug} />;
}
