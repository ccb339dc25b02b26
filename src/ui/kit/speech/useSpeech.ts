"use client";
import { useCallback, useEffect, useState } from "react";
import { spokenLine } from "./spoken-line";

/** Reading aloud by the browser's own voice. */
export interface Speech {
  /** The browser has a voice. */
  readonly able: boolean;
  /** Index of the line that is being said; null when none is. */
  readonly at: number | null;
  readonly read: (lines: readonly string[]) => void;
  readonly stop: () => void;
}

/** Says lines one after another and tells which. */
export function useSpeech(): Speech {
  const [at, setAt] = useState<number | null>(null);
  const able = typeof window !== "undefined" && "speechSynthesis" in window;
  const stop = useCallback(() => {
    setAt(null);
    window.speechSynthesis?.cancel();
  }, []);
  const read = useCallback((lines: readonly string[]) => {
    const voice = window.speechSynthesis;
    voice.cancel();
    lines.forEach((line, i) => {
      const said = new SpeechSynthesisUtterance(spokenLine(line));
      said.lang = "en";
      said.onstart = () => setAt(i);
      if (i === lines.length - 1) said.onend = () => setAt(null);
      said.onerror = () => setAt(null);
      voice.speak(said);
    });
    setAt(0);
  }, []);
  // Another page is not read to.
  useEffect(() => () => window.speechSynthesis?.cancel(), []);
  return { able, at, read, stop };
}

/** Says one line at once; what was being said is cut short. Nothing where the browser has no voice. */
export function sayNow(line: string): void {
  const voice = typeof window === "undefined" ? undefined : window.speechSynthesis;
  if (!voice) return;
  voice.cancel();
  const said = new SpeechSynthesisUtterance(spokenLine(line));
  said.lang = "en";
  voice.speak(said);
}
