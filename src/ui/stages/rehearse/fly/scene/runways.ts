// Runways and surveyed strips to scale, flat on their level ground: tar, paint, numbers, or a mown strip.
import {
  BufferGeometry,
  CanvasTexture,
  DoubleSide,
  Float32BufferAttribute,
  Group,
  Mesh,
  MeshBasicMaterial,
  NoColorSpace,
  Vector3,
} from "three";
import type { LocalPlane } from "@/core/earth/local-plane";
import type { LandingEnd } from "@/core/landing/landing-end";
import { headingOn } from "../fly-set-up";

/** Materials that change with the light. */
export interface RunwayInks {
  readonly tar: MeshBasicMaterial;
  readonly paint: MeshBasicMaterial;
  readonly grass: MeshBasicMaterial;
  /** Of a way that is laid on the ground. */
  readonly way: MeshBasicMaterial;
  readonly numbers: MeshBasicMaterial[];
}

/** A name that stands where a runway begins. */
export interface Label {
  readonly text: string;
  readonly at: Vector3;
}

const flat = (order: number) =>
  new MeshBasicMaterial({
    side: DoubleSide,
    depthWrite: false,
    polygonOffset: true,
    polygonOffsetFactor: -2 - order,
    polygonOffsetUnits: -8 - 8 * order,
  });

/** Inks of runways. */
export const runwayInks = (): RunwayInks => ({
  tar: flat(2),
  paint: flat(3),
  grass: flat(1),
  way: flat(4),
  numbers: [],
});

type Quad = readonly [along0: number, right0: number, along1: number, right1: number];

/** Beside the strip on level ground. */
const UP_M = 0.3;

/** Runways of the ends given, one of each strip, with their names. */
export function runways(
  ends: readonly LandingEnd[],
  plane: LocalPlane,
  inks: RunwayInks,
): { group: Group; labels: Label[] } {
  const group = new Group();
  const labels: Label[] = [];
  const drawn = new Set<string>();
  for (const end of ends) {
    const from = plane.toPlane(end.threshold);
    const heading = headingOn(plane, end);
    const [s, c] = [Math.sin(heading), Math.cos(heading)];
    const at = (along: number, right: number): readonly [number, number] => [
      from.x_m + along * s + right * c,
      from.y_m + along * c - right * s,
    ];
    const up = end.elevation_m + UP_M;
    labels.push({ text: end.name.split(" ").at(-1) ?? "", at: new Vector3(from.x_m, up + 4, -from.y_m) });
    const [strip] = end.id.split(":");
    const designator = end.id.split(":").at(1) ?? "";
    const add = (quads: readonly Quad[], material: MeshBasicMaterial, order: number) => {
      const points = quads.flatMap(([a0, r0, a1, r1]) =>
        [
          [a0, r0],
          [a1, r0],
          [a1, r1],
          [a0, r1],
        ].flatMap(([a, r]) => {
          const [x, y] = at(a, r);
          return [x, up, -y];
        }),
      );
      const geometry = new BufferGeometry();
      geometry.setAttribute("position", new Float32BufferAttribute(points, 3));
      geometry.setIndex(quads.flatMap((_, k) => [0, 1, 2, 0, 2, 3].map((i) => 4 * k + i)));
      const mesh = new Mesh(geometry, material);
      mesh.renderOrder = order;
      group.add(mesh);
    };
    const [half, length] = [end.width_m / 2, end.length_m];
    const paved = !end.unprepared && (end.surface === "asphalt" || end.surface === "concrete");
    if (!drawn.has(strip)) {
      drawn.add(strip);
      labels.push({
        text: end.name.replace(/ \S+$/, ""),
        at: new Vector3(...[at(length / 2, 0)].map(([x, y]) => [x, up + 40, -y] as const)[0]),
      });
      add([[0, -half, length, half]], paved ? inks.tar : inks.grass, 2);
      if (paved)
        add([[0, -half, length, -half + 0.8], [0, half - 0.8, length, half], ...centreLine(length)], inks.paint, 3);
      else
        add(
          [
            [0, -half, length, -half + 1.2],
            [0, half - 1.2, length, half],
            [0, -half, 1.2, half],
            [length - 1.2, -half, length, half],
          ],
          inks.paint,
          3,
        );
    }
    if (!paved) continue;
    // Bars of the threshold, the number behind them.
    const bars = Math.max(4, Math.round(end.width_m / 4) * 2 - 2);
    const pitch = (end.width_m - 4) / bars;
    add(
      Array.from({ length: bars }, (_, k): Quad => [
        6,
        -half + 2 + k * pitch,
        30,
        -half + 2 + k * pitch + pitch * 0.55,
      ]),
      inks.paint,
      3,
    );
    if (/^\d/.test(designator)) group.add(painted(designator, at, up + 0.05, inks));
  }
  return { group, labels };
}

const centreLine = (length: number): Quad[] =>
  Array.from({ length: Math.max(0, Math.floor((length - 140) / 50)) }, (_, k): Quad => [
    70 + k * 50,
    -0.45,
    100 + k * 50,
    0.45,
  ]);

function painted(
  text: string,
  at: (along: number, right: number) => readonly [number, number],
  up: number,
  inks: RunwayInks,
): Mesh {
  const canvas = document.createElement("canvas");
  canvas.width = 128;
  canvas.height = 160;
  const pen = canvas.getContext("2d");
  if (pen) {
    pen.fillStyle = "#fff";
    pen.font = "700 120px 'Atkinson Hyperlegible Mono Variable', monospace";
    pen.textAlign = "center";
    pen.textBaseline = "middle";
    pen.fillText(text.slice(0, 2), 64, 84);
  }
  const map = new CanvasTexture(canvas);
  map.colorSpace = NoColorSpace;
  const material = new MeshBasicMaterial({
    map,
    transparent: true,
    side: DoubleSide,
    depthWrite: false,
    polygonOffset: true,
    polygonOffsetFactor: -6,
    polygonOffsetUnits: -48,
  });
  inks.numbers.push(material);
  const points = [
    [38, -7],
    [38, 7],
    [58, 7],
    [58, -7],
  ].flatMap(([a, r]) => {
    const [x, y] = at(a, r);
    return [x, up, -y];
  });
  const geometry = new BufferGeometry();
  geometry.setAttribute("position", new Float32BufferAttribute(points, 3));
  geometry.setAttribute("uv", new Float32BufferAttribute([0, 0, 1, 0, 1, 1, 0, 1], 2));
  geometry.setIndex([0, 1, 2, 0, 2, 3]);
  const mesh = new Mesh(geometry, material);
  mesh.renderOrder = 4;
  return mesh;
}
