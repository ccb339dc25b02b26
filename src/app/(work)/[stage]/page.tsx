import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { AircraftStage } from "@/ui/aircraft/AircraftStage";
import { DepartureOfAircraft } from "@/ui/take-off/DepartureOfAircraft";
import { EngineOutStage } from "@/ui/engine-out/EngineOutStage";
import { LandingStage } from "@/ui/landing/LandingStage";
import { StagePreview } from "@/ui/shell/StagePreview";
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
  switch (stage.slug) {
    case "aircraft":
      return <AircraftStage />;
    case "departure":
      return <DepartureOfAircraft />;
    case "engine-out":
      return <EngineOutStage />;
    case "landing":
      return <LandingStage />;
    default:
      return <StagePreview slug={stage.slug} />;
  }
}
