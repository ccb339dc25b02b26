import { PlaneTakeoff } from "lucide-react";
import Link from "next/link";
import { notFlown } from "@/core/simulation/not-flown";
import { useAircraft } from "./useAircraft";

/** To the simulator with this very situation: in the air, or a take-off with the failure at a height. */
export function FlyThis({ height_m }: { height_m?: number }) {
  const { document } = useAircraft();
  if (notFlown(document)) return null;
  const begins = height_m === undefined ? "begins=air" : `begins=runway&height=${Math.round(height_m * 10) / 10}`;
  return (
    <Link href={`/rehearse?rehearse=fly&${begins}`} className="btn btn-quiet whitespace-nowrap">
      <PlaneTakeoff size={15} aria-hidden="true" /> Fly this
    </Link>
  );
}
