"use client";
import { useEffect, useState } from "react";
import type { BaseMap } from "@/ui/kit/map/base-map";
import { useBackground } from "./preferences";

/** Lays the account's background over the relief of a map, and says whose it is. Nothing is fetched without one. */
export function MapBackground({ map: drawn }: { map: BaseMap | null }) {
  const background = useBackground((state) => state.background);
  const [missing, setMissing] = useState<string | null>(null);
  useEffect(() => {
    if (!drawn || !background) return;
    let over = false;
    let remove = () => {};
    void import("@/ui/kit/map/background-layer").then(({ backgroundLayer }) => {
      if (over) return;
      const projection = drawn.map.getView().getProjection();
      const layer = backgroundLayer(background, drawn.plane, projection, () => setMissing(background.address));
      drawn.map.getLayers().insertAt(1, layer);
      remove = () => void drawn.map.removeLayer(layer);
    });
    return () => {
      over = true;
      remove();
    };
  }, [drawn, background]);
  if (!background) return null;
  return (
    <p className="pointer-events-none absolute right-2 bottom-1 max-w-[60%] rounded bg-sheet/80 px-1.5 text-xs text-ink2">
      {background.credit}
      {missing === background.address && <span role="status"> Parts of the background do not come.</span>}
    </p>
  );
}
