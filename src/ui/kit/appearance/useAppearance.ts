"use client";
import { useEffect, useState } from "react";
import { onAppearance, shownAppearance } from "./appearance";

/** Day or night as it is shown, followed as it changes. */
export function useAppearance(): "day" | "night" {
  const [appearance, setAppearance] = useState(shownAppearance);
  useEffect(() => onAppearance(() => setAppearance(shownAppearance())), []);
  return appearance;
}
