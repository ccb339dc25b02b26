import { create } from "zustand";
import type { Outcome } from "@/core/outcome";
import type { Core } from "@/workers/core-client";
import type { WorkingStep } from "@/core/working";

/** Where a figure's working comes from: a calculation of the registry, or something else that the core is asked. */
export type WorkingSource =
  | { readonly calculation: { readonly name: string; readonly input: unknown } }
  | { readonly ask: (core: Core) => Promise<Outcome<WorkingStep[]>> };

/** What the panel was asked to show. */
export interface WorkingRequest {
  readonly title: string;
  /** Which lines to bring to the front; the others follow. */
  readonly figure: string;
  readonly source: WorkingSource;
}

interface WorkingState {
  readonly request: WorkingRequest | null;
  open(request: WorkingRequest): void;
  close(): void;
}

/** Which working is open. */
export const useWorking = create<WorkingState>()((set) => ({
  request: null,
  open: (request) => set({ request }),
  close: () => set({ request: null }),
}));

/** The lines in the order in which they are shown: the figure's own first. */
export function figureFirst(steps: readonly WorkingStep[], figure: string): WorkingStep[] {
  return [...steps.filter((step) => step.figure === figure), ...steps.filter((step) => step.figure !== figure)];
}
