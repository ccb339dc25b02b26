"use client";
import type { KeyboardEvent, ReactNode, RefObject } from "react";
import { ScaleBar } from "@/ui/kit/map/ScaleBar";
import type { BaseMap } from "@/ui/kit/map/base-map";
import { MapBackground } from "./MapBackground";

interface Props {
  /** What the map is drawn into. */
  element: RefObject<HTMLDivElement | null>;
  map: BaseMap | null;
  resolution_m: number;
  /** What it shows, its keys, and where the same is said in words. */
  label: string;
  onKeyDown: (event: KeyboardEvent) => void;
  /** What lies over it. */
  children?: ReactNode;
}

/** A map with its scale and the account's background. */
export function MapFrame({ element, map, resolution_m, label, onKeyDown, children }: Props) {
  return (
    <div className="relative min-h-0">
      <div
        ref={element}
        className="absolute inset-0 bg-paper"
        tabIndex={0}
        role="application"
        aria-roledescription="map"
        aria-label={label}
        onKeyDown={onKeyDown}
      />
      <div className="pointer-events-none absolute bottom-2 left-3">
        <ScaleBar resolution_m={resolution_m} />
      </div>
      <MapBackground map={map} />
      {children}
    </div>
  );
}
