import type { ComponentType, ReactNode } from "react";
import type { AircraftKind } from "@/core/aircraft/aircraft-kind";

/** What the spine says of a stage. */
export interface Headline {
  readonly text: string;
  /** Class of its colour; the usual one without it. */
  readonly tone?: string;
}

/** Something that can be done from anywhere, by key or by name. */
export interface Command {
  readonly title: string;
  readonly group: "Stages" | "Situation" | "Path" | "Page";
  /** As react-hotkeys-hook reads it; empty for none. */
  readonly keys: string;
  /** As it is printed. */
  readonly keyLabel: string;
  run(): void;
}

/** Changes that can be undone and done again. */
export interface History {
  readonly undo: () => void;
  readonly redo: () => void;
}

/** How a headline is drawn. */
export interface HeadlineProps {
  readonly draw: (headline: Headline | undefined) => ReactNode;
}

/** A headline that is loaded when it is needed. */
export function headlineOf(useHeadline: () => Headline | undefined) {
  return function LazyHeadline({ draw }: HeadlineProps): ReactNode {
    return draw(useHeadline());
  };
}

/** What a stage is for a kind of aircraft. */
export interface KindFace {
  /** What is shown when it is open, loaded then; null while it is not built. */
  readonly Stage: ComponentType | null;
  /** Undefined while there is no answer yet. */
  readonly useHeadline?: () => Headline | undefined;
  /** The same where few flights need it: loaded then. */
  readonly Headline?: ComponentType<HeadlineProps>;
  /** Keeps the answer up to date that its headline and other stages read, whichever stage is open. */
  readonly useAnswer?: () => void;
  /** Computation on the page, for the status bar; null for nothing to say. */
  readonly useStatus?: () => string | null;
  readonly commands?: readonly Command[];
}

/** All that the shell knows of a stage: what it is for aeroplanes, and for other kinds where it is built for them. */
export interface StageFace extends KindFace {
  /** Its address; with a capital and spaces it is its name. */
  readonly slug: string;
  readonly name: string;
  /** What the pilot asks, and what the stage does about it: said where it is not built. */
  readonly question: string;
  readonly answers: string;
  /** The same face for every kind of aircraft. */
  readonly ofEveryKind?: boolean;
  readonly helicopter?: KindFace;
  readonly gyroplane?: KindFace;
  /** Changes of its own that are undone before those of the situation; null when there are none. */
  readonly history?: () => History | null;
}

/** The headline of a stage that is not built. */
export const notBuilt = (): Headline => ({ text: "not built yet" });

/** A stage that is not built for a kind. */
const NOT_FOR_KIND: KindFace = { Stage: null, useHeadline: notBuilt };

/** A stage as it is for a kind of aircraft. */
export function faceFor({ helicopter, gyroplane, ...face }: StageFace, kind: AircraftKind): StageFace {
  if (kind === "aeroplane" || face.ofEveryKind) return face;
  const { slug, name, question, answers, history } = face;
  return {
    slug,
    name,
    question,
    answers,
    history,
    ...((kind === "helicopter" ? helicopter : gyroplane) ?? NOT_FOR_KIND),
  };
}
