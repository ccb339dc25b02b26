// What the departure of a single says in sentences: one headline, the gate, with the other two heights explained beside
// it.
import type { SchoolGates } from "@/core/departure/gate";
import type { Band } from "@/core/departure/scan";
import type { DeparturePlan } from "@/core/situation/departure-plan";
import type { Format } from "@/ui/kit/units/units-store";

/** What the words are made of. */
export interface GateTold {
  readonly plan: Pick<DeparturePlan, "school" | "requiredChance" | "fixedConsider_m">;
  readonly bands: readonly Band[];
  /** Null while the chance is not computed. */
  readonly gates: SchoolGates | null;
  readonly computing: boolean;
}

/** The bands as they are said: "from 330 ft to 1 150 ft". */
export function bandsInWords(bands: readonly Band[], format: Format): string {
  return bands
    .map(({ from_m, to_m }) =>
      to_m === null
        ? `from ${format("height", from_m, "up")} up`
        : `from ${format("height", from_m, "up")} to ${format("height", to_m, "down")}`,
    )
    .join(" and ");
}

/** The gate first; what each of the other heights means after it. */
export function gateDecision(
  { plan, bands, gates, computing }: GateTold,
  format: Format,
): { lead: string; rest: string } {
  const asPlanned =
    bands.length === 0
      ? "flown exactly as planned turning back works at no height"
      : `flown exactly as planned it works ${bandsInWords(bands, format)}`;
  if (plan.school === "spot-ahead")
    return { lead: "A spot ahead, no turning back.", rest: `By the school chosen; ${asPlanned}.` };
  if (!gates)
    return {
      lead: computing ? "Gate: computing …" : "No gate yet.",
      rest: `So far: ${asPlanned}. The chance decides what that is worth.`,
    };
  const share = Math.round(plan.requiredChance * 100);
  const computed =
    gates.computed_m === null
      ? `${share} in 100 turns succeed at no height`
      : `${share} in 100 turns succeed from ${format("height", gates.computed_m, "up")}`;
  if (gates.gate_m === null)
    return {
      lead: "No turning back today.",
      rest: `${capital(computed)}; ${asPlanned}${bands.length === 0 ? "" : ", which only a turn without error does"}.`,
    };
  const why =
    gates.decides === "fixed"
      ? plan.school === "fixed"
        ? "The fixed height, by the school chosen"
        : "The fixed height decides, it is the higher"
      : plan.school === "computed"
        ? "Computed, by the school chosen"
        : "The computed height decides, it is the higher";
  const other =
    gates.decides === "fixed" ? computed : `${computed}; the fixed height is ${format("height", gates.fixed_m)}`;
  return { lead: `Gate ${format("height", gates.gate_m, "up")}.`, rest: `${why}: ${other}; ${asPlanned}.` };
}

/** The spine's words while nothing is computed. */
export const NOTHING_YET = { text: "no gate yet" };

/** The spine's few words: the gate, or that there is none. */
export function gateHeadline(told: GateTold, format: Format): { text: string; tone?: string } {
  const { plan, bands, gates, computing } = told;
  if (plan.school === "spot-ahead") return { text: "a spot ahead", tone: "text-ochre" };
  if (gates)
    return gates.gate_m === null
      ? { text: "no turning back", tone: "text-ochre" }
      : { text: `gate ${format("height", gates.gate_m, "up")}` };
  if (computing) return { text: "gate …" };
  // The height that a turn without error works from is no gate, and stands nowhere as if it were.
  return bands.length === 0 ? { text: "no turning back", tone: "text-ochre" } : NOTHING_YET;
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
