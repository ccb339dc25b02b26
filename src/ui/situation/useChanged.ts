import type { SituationDocument } from "@/core/situation/situation-document";
import { useSituation } from "./situation-store";

/** Whether any of these parts differs from what is saved. */
export function useChanged(...parts: readonly (keyof SituationDocument)[]): boolean {
  return useSituation(({ current, saved }) =>
    parts.some(
      (part) => current[part] !== saved[part] && JSON.stringify(current[part]) !== JSON.stringify(saved[part]),
    ),
  );
}
