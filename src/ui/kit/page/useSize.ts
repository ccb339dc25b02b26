"use client";
import { type RefObject, useEffect, useRef, useState } from "react";

/** Width and height of an element, px. */
export interface Size {
  readonly width: number;
  readonly height: number;
}

/**
 * The size of an element, followed as the window changes.
 *
 * @param first - until it has been measured
 */
export function useSize(first: Size): [RefObject<HTMLDivElement | null>, Size] {
  const element = useRef<HTMLDivElement>(null);
  const [size, setSize] = useState(first);
  useEffect(() => {
    if (!element.current) return;
    const observer = new ResizeObserver(
      ([
        {
          contentRect: { width, height },
        },
      ]) => setSize({ width: Math.floor(width), height: Math.floor(height) }),
    );
    observer.observe(element.current);
    return () => observer.disconnect();
  }, []);
  return [element, size];
}
