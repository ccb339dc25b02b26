import type { CrewRole } from "@/core/procedure/crew-run";

/** Parts of a crew in words. */
export const ROLE_WORDS: Record<CrewRole, string> = {
  single: "pilot",
  flying: "pilot flying",
  monitoring: "pilot monitoring",
  instructor: "instructor",
};
