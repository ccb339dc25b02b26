"use client";
import { useEffect, useRef, useState } from "react";

/** Height of an element, followed as the window changes. */
export function useHeight(): [React.RefObject<HTMLDivElement | null>, number] {
  const element = useRef<HTMLDivElement>(null);
  const [height, setHeight] = useState(440);
  useEffect(() => {
    if (!element.current) return;
    const observer = new ResizeObserver(([entry]) => setHeight(Math.floor(entry.contentRect.height)));
    observer.observe(element.current);
    return () => observer.disconnect();
  }, []);
  return [element, height];
}
