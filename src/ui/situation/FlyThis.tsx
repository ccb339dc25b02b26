import { PlaneTakeoff } from "lucide-react";
import Link from "next/link";
import { notFlown } from "@/core/simulation/not-flown";
import { useAircraft } from "./useAircraft";

interface Props {
  /** A take-off with the failure at this height; a hover of a helicopter with its skids so high. */
  height_m?: number;
  hovers?: boolean;
}

/** To the simulator with this very situation: in the air, from a runway, or in the hover. */
export function FlyThis({ height_m, hovers = false }: Props) {
  const { document } = useAircraft();
  if (notFlown(document)) return null;
  const begins =
    height_m === undefined
      ? `begins=${hovers ? "hover" : "air"}`
      : `begins=${hovers ? "hover" : "runway"}&height=${Math.round(height_m * 10) / 10}`;
  return (
    <Link href={`/rehearse?rehearse=fly&${begins}`} className="btn btn-quiet whitespace-nowrap">
      <PlaneTakeoff size={15} aria-hidden="true" /> Fly this
    </Link>
  );
}
