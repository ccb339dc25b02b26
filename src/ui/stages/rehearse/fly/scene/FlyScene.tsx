"use client";
import { Canvas, useFrame, useThree } from "@react-three/fiber";
import { useEffect, useMemo, useRef, useState } from "react";
import { type TerrainGrid, elevationAt_m } from "@/core/earth/terrain";
import type { FlightView } from "@/core/simulation/flight-view";
import { groundOf } from "@/core/simulation/ground";
import { useTerrain } from "@/ui/kit/lanes/terrain";
import { FlyMap } from "../FlyMap";
import { coastOf } from "../flight-lane";
import { levelStrips } from "../fly-set-up";
import { type Look, useFly } from "../fly-store";
import type { FlySet } from "../useFlySet";
import { type FlyScene as Made, type Pose, flyScene } from "./fly-scene";
import type { Relief } from "./ground-tiles";

/** What the view shows. */
export interface SceneProps {
  set: FlySet;
  view: Pick<FlightView, "north_m" | "east_m" | "altitude_m" | "heading_rad" | "pitch_rad" | "bank_rad">;
  look: Look;
  dusk: boolean;
  /** A way that is laid dashed on the ground: north and east in turn, m. */
  way?: readonly number[];
}

/** A side glance turns the head so far, rad. */
const GLANCE: Partial<Record<Look, number>> = {
  left: (-72 * Math.PI) / 180,
  right: (72 * Math.PI) / 180,
  behind: (160 * Math.PI) / 180,
};

/** Slower than this a frame is drawn with fewer points, ms. */
const SLOW_MS = 70;
const [FINE, COARSE] = [1, 0.5];

const hasWebGl = (() => {
  let known: boolean | null = null;
  return () => (known ??= document.createElement("canvas").getContext("webgl2") !== null);
})();

/** The view out; the map where the browser cannot draw it. */
export function FlyScene(props: SceneProps) {
  const { set, view, look, dusk, way } = props;
  const grid = useTerrain((state) => state.grid);
  const path = useFly((state) => state.path);
  const [coast, setCoast] = useState<{ readonly grid: TerrainGrid; readonly away_m: Float32Array } | null>(null);
  const [dpr, setDpr] = useState(FINE);
  const [names, setNames] = useState<ReturnType<Made["names"]>>([]);
  const [middle] = useState({ north_m: view.north_m, east_m: view.east_m });
  useEffect(() => {
    let gone = false;
    if (grid) void coastOf().then((away_m) => !gone && away_m && setCoast({ grid, away_m }));
    return () => {
      gone = true;
    };
  }, [grid]);
  const { plane, ends, outlines, ground_m, wind } = set;
  const ready = grid === null || coast?.grid === grid;
  const made = useMemo(() => {
    if (!ready) return null;
    const strips = levelStrips(ends, plane, { x_m: middle.east_m, y_m: middle.north_m });
    const ground = groundOf(grid, ground_m, strips);
    return flyScene({ relief: reliefOf(ground, coast), plane, ends, outlines, wind, middle });
  }, [ready, grid, coast, ends, outlines, plane, wind, ground_m, middle]);
  useEffect(() => () => made?.dispose(), [made]);
  useEffect(() => made?.light(dusk ? "dusk" : "day"), [made, dusk]);
  useEffect(() => way && made?.way(way), [made, way]);
  if (!hasWebGl())
    return (
      <>
        <FlyMap plane={plane} ends={ends} at={view} path={[...path, view.north_m, view.east_m]} wind={wind} />
        <p className="absolute bottom-2 left-3 bg-sheet px-2 text-[13px] text-ink2">
          This browser draws no view out: map and instruments fly as well.
        </p>
      </>
    );
  if (!made) return <p className="p-4 text-ink2">Drawing the ground …</p>;
  const turn = GLANCE[look] ?? 0;
  return (
    <div className="absolute inset-0" role="img" aria-label="View out of the aeroplane">
      <Canvas frameloop="demand" dpr={dpr} linear flat gl={{ antialias: false, powerPreference: "low-power" }}>
        <Drawn
          made={made}
          pose={posed(view, turn)}
          dusk={dusk}
          way={way}
          onSlow={() => setDpr(COARSE)}
          onNames={setNames}
        />
      </Canvas>
      {names.map(({ text, x, y }, i) => (
        <span
          key={i}
          className="pointer-events-none absolute -translate-x-1/2 text-[14px] font-bold [paint-order:stroke] [-webkit-text-stroke:3px_var(--casing)]"
          style={{ left: `${x * 100}%`, top: `${y * 100}%` }}
        >
          {text}
        </span>
      ))}
      {look === "ahead" && <Cowl />}
    </div>
  );
}

/** The same aeroplane, the head turned: a glance to the side does not bank with it the same way. */
function posed(view: SceneProps["view"], turn: number): Pose {
  const { north_m, east_m, altitude_m, heading_rad, pitch_rad, bank_rad } = view;
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  return {
    north_m,
    east_m,
    altitude_m,
    heading_rad: heading_rad + turn,
    pitch_rad: pitch_rad * c - bank_rad * s,
    bank_rad: bank_rad * c + pitch_rad * s,
  };
}

function reliefOf(
  ground: ReturnType<typeof groundOf>,
  coast: { grid: TerrainGrid; away_m: Float32Array } | null,
): Relief {
  if (!coast) return { height: ground.height, coast: () => 2500 };
  const away = { ...coast.grid, elevations_m: coast.away_m };
  return {
    height: ground.height,
    // Off the grid there is sea.
    coast: (north_m, east_m) => elevationAt_m({ ...away, elevations_m: shifted(coast) }, east_m, north_m) ?? -2500,
  };
}

/** Below −1,000 a grid has no height: distances are halved for it, which the ink does not mind. */
const halves = new WeakMap<Float32Array, Float32Array>();
function shifted({ away_m }: { away_m: Float32Array }): Float32Array {
  const known = halves.get(away_m);
  if (known) return known;
  const made = away_m.map((m) => Math.max(-990, m));
  halves.set(away_m, made);
  return made;
}

interface DrawnProps {
  made: Made;
  pose: Pose;
  dusk: boolean;
  way: SceneProps["way"];
  onSlow: () => void;
  onNames: (names: ReturnType<Made["names"]>) => void;
}

/** Draws when it is told that something has moved. */
function Drawn({ made, pose, dusk, way, onSlow, onNames }: DrawnProps) {
  const invalidate = useThree((state) => state.invalidate);
  const slow = useRef(0);
  const told = useRef(0);
  useEffect(() => invalidate(), [invalidate, made, pose, dusk, way]);
  useFrame(({ gl }) => {
    const began = performance.now();
    const { triangles, calls } = made.draw(gl, pose);
    // A journey holds them to their bounds.
    gl.domElement.dataset.triangles = String(triangles);
    gl.domElement.dataset.calls = String(calls);
    slow.current = performance.now() - began > SLOW_MS ? slow.current + 1 : 0;
    if (slow.current > 4) onSlow();
    if (began - told.current > 120) {
      told.current = began;
      onNames(made.names());
    }
  }, 1);
  return null;
}

/** The nose under the view: what the horizon is held against. */
function Cowl() {
  return (
    <svg
      viewBox="0 0 760 380"
      preserveAspectRatio="none"
      className="pointer-events-none absolute inset-0 size-full"
      aria-hidden="true"
    >
      <path d="M205 380 Q 380 318 555 380 Z" fill="var(--sheet)" stroke="var(--ink)" strokeWidth={3} />
      <line x1={380} x2={380} y1={349} y2={380} stroke="var(--ink)" strokeWidth={1.5} />
    </svg>
  );
}
