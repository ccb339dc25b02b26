// A departure of the demo world, for tests and benchmarks: Alder S1 from Skerrow 29, or from a plain runway by the sea.
import { type DepartureDay, type DepartureQuestion, departureDay } from "@/core/departure/departure-day";
import { departureQuestion } from "@/core/departure/departure-question";
import { landingEnds } from "@/core/landing/landing-end";
import { MPS_PER_KT } from "@/core/quantities/constants";
import type { DeparturePlan } from "@/core/situation/departure-plan";
import { demoAircraft, demoPlaces, demoSituation } from "./read-demo";

/** What a test may want otherwise. */
interface Otherwise {
  readonly aircraft?: string;
  readonly mass_kg?: number;
  readonly plan?: Partial<DeparturePlan>;
  /** A runway at sea level of this length in standard air, with this much wind down it, kt. */
  readonly plain?: { readonly length_m: number; readonly headwind_kt: number; readonly crosswind_kt?: number };
}

/** The question. */
export function demoDepartureQuestion({
  aircraft = "alder-s1",
  mass_kg,
  plan,
  plain,
}: Otherwise = {}): DepartureQuestion {
  const places = demoPlaces();
  const document = demoAircraft(aircraft);
  const situation = { ...demoSituation(), mass_kg: mass_kg ?? document.mass.usual_kg };
  const outcome = departureQuestion(
    { ...situation, departure: { ...situation.departure, ...plan } },
    document,
    landingEnds(places),
  );
  if (!outcome.ok) throw new Error(`demoDepartureQuestion: expected a departure, got ${outcome.issue.message}`);
  if (!plain) return outcome.value;
  const { headingTrue_rad } = outcome.value.runway;
  const [head, cross] = [plain.headwind_kt * MPS_PER_KT, (plain.crosswind_kt ?? 0) * MPS_PER_KT];
  return {
    ...outcome.value,
    air: { qnh_Pa: 101_325, deviation_K: 0 },
    wind: {
      surface: {
        from_rad: (headingTrue_rad + Math.atan2(cross, head) + 2 * Math.PI) % (2 * Math.PI),
        speed_mps: Math.hypot(head, cross),
      },
      layers: [],
    },
    runway: { ...outcome.value.runway, length_m: plain.length_m, elevation_m: 0 },
  };
}

/** The same, set up. */
export function demoDeparture(otherwise: Otherwise = {}): { question: DepartureQuestion; day: DepartureDay } {
  const question = demoDepartureQuestion(otherwise);
  const day = departureDay(question);
  if (!day.ok) throw new Error(`demoDeparture: expected a departure, got ${day.issue.message}`);
  return { question, day: day.value };
}
