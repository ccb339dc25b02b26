"use client";
import dynamic from "next/dynamic";
import { StagePreview } from "./StagePreview";
import type { Stage } from "./stages";

const loading = () => <p className="p-4 text-ink2">Opening the stage …</p>;

// Each comes when it is opened: charts and maps are large, and no stage needs what another draws with.
const AircraftStage = dynamic(() => import("@/ui/aircraft/AircraftStage").then((module) => module.AircraftStage), {
  loading,
});
const DepartureOfAircraft = dynamic(
  () => import("@/ui/take-off/DepartureOfAircraft").then((module) => module.DepartureOfAircraft),
  { loading },
);
const EngineOutStage = dynamic(() => import("@/ui/engine-out/EngineOutStage").then((module) => module.EngineOutStage), {
  loading,
});
const LandingStage = dynamic(() => import("@/ui/landing/LandingStage").then((module) => module.LandingStage), {
  loading,
});
const RestartStage = dynamic(() => import("@/ui/restart/RestartStage").then((module) => module.RestartStage), {
  loading,
});

/** The stage that is open. */
export function StageOf({ slug }: { slug: Stage["slug"] }) {
  switch (slug) {
    case "aircraft":
      return <AircraftStage />;
    case "departure":
      return <DepartureOfAircraft />;
    case "engine-out":
      return <EngineOutStage />;
    case "restart":
      return <RestartStage />;
    case "landing":
      return <LandingStage />;
    default:
      return <StagePreview slug={slug} />;
  }
}
