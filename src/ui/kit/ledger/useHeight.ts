"use client";
import type { RefObject } from "react";
import { useSize } from "../page/useSize";

/** Height of an element, followed as the window changes. */
export function useHeight(): [RefObject<HTMLDivElement | null>, number] {
  const [element, { height }] = useSize({ width: 0, height: 440 });
  return [element, height];
}
