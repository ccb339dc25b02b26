import type { Symptom } from "@/core/aircraft/cause-item";

/** How an engine can have stopped, and that it is not known. */
export const SYMPTOM_CHOICES: readonly { value: Symptom | ""; label: string }[] = [
  { value: "", label: "nothing in particular" },
  { value: "sudden", label: "stopped at once" },
  { value: "surging", label: "surged before it stopped" },
  { value: "fading", label: "lost power little by little" },
  { value: "rough", label: "ran rough" },
  { value: "after-change", label: "stopped after something was changed" },
];
