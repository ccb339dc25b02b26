// Trees, smoke and clouds, drawn once with a pen and set up in the world.
import {
  CanvasTexture,
  Color,
  DoubleSide,
  Float32BufferAttribute,
  InstancedBufferAttribute,
  InstancedBufferGeometry,
  Mesh,
  NoColorSpace,
  ShaderMaterial,
  type Texture,
  Vector3,
} from "three";
import { SPRITE_FRAGMENT, SPRITE_VERTEX } from "./sprite-shader";
import type { Relief } from "./ground-tiles";

/** Where a sprite stands: its foot, width, height, cover. */
export interface Sprite {
  readonly east_m: number;
  readonly north_m: number;
  readonly up_m: number;
  readonly width_m: number;
  readonly height_m: number;
  readonly cover: number;
}

/** Uniforms that the sprites share with the ground. */
interface Shared {
  readonly uInk: { value: Color };
  readonly uFar: { value: Color };
}

/** A chance of 0…1 that a place always has. */
export function chanceAt(i: number, j: number): number {
  let h = Math.imul(i, 374_761_393) ^ Math.imul(j, 668_265_263);
  h = Math.imul(h ^ (h >>> 13), 1_274_126_177);
  return ((h ^ (h >>> 16)) >>> 0) / 4_294_967_296;
}

function drawn(width: number, height: number, paint: (pen: CanvasRenderingContext2D) => void): Texture {
  const canvas = document.createElement("canvas");
  canvas.width = width;
  canvas.height = height;
  const pen = canvas.getContext("2d");
  if (pen) {
    pen.lineJoin = "round";
    pen.lineCap = "round";
    paint(pen);
  }
  const texture = new CanvasTexture(canvas);
  texture.colorSpace = NoColorSpace;
  texture.premultiplyAlpha = false;
  return texture;
}

function blob(pen: CanvasRenderingContext2D, cx: number, cy: number, r: number, wobble: number, seed: number): void {
  pen.beginPath();
  for (let i = 0; i <= 60; i += 1) {
    const a = (i / 60) * Math.PI * 2;
    const q = r * (1 + wobble * 0.5 * (Math.sin(a * 5 + seed) + Math.sin(a * 3 + seed * 2.3)));
    if (i === 0) pen.moveTo(cx + q * Math.cos(a), cy + q * Math.sin(a));
    else pen.lineTo(cx + q * Math.cos(a), cy + q * Math.sin(a));
  }
  pen.closePath();
}

/** A tree in red for ink and black for fill. */
export const treeTexture = (): Texture =>
  drawn(96, 128, (pen) => {
    pen.strokeStyle = "#ff0000";
    pen.lineWidth = 6;
    pen.beginPath();
    pen.moveTo(48, 84);
    pen.lineTo(48, 124);
    pen.stroke();
    blob(pen, 48, 50, 38, 0.14, 1);
    pen.fillStyle = "#1a0000";
    pen.fill();
    pen.stroke();
  });

/** A puff of smoke. */
export const puffTexture = (): Texture =>
  drawn(128, 128, (pen) => {
    blob(pen, 64, 64, 46, 0.22, 0.7);
    pen.fillStyle = "#000";
    pen.fill();
    pen.strokeStyle = "#ff0000";
    pen.lineWidth = 5;
    pen.stroke();
    pen.lineWidth = 3.4;
    pen.strokeStyle = "#a00000";
    pen.beginPath();
    pen.arc(58, 60, 24, 0.3, 3.6);
    pen.stroke();
  });

/** A cloud with a flat base. */
export const cloudTexture = (): Texture =>
  drawn(512, 160, (pen) => {
    pen.beginPath();
    pen.moveTo(20, 134);
    for (const [x, y, r] of [
      [60, 112, 34],
      [120, 84, 46],
      [196, 60, 54],
      [280, 74, 50],
      [352, 92, 42],
      [420, 112, 32],
    ])
      pen.arc(x, y, r, Math.PI * 1.02, Math.PI * 1.93);
    pen.lineTo(482, 134);
    pen.fillStyle = "rgba(0,0,0,.55)";
    pen.fill();
    pen.strokeStyle = "rgba(255,0,0,.8)";
    pen.lineWidth = 4;
    pen.stroke();
  });

/** Sprites of one drawing. `fade` is the distance over which they pale, m. */
export function sprites(
  list: readonly Sprite[],
  texture: Texture,
  shared: Shared,
  fade: number,
  keep: number,
  order: number,
): Mesh {
  const geometry = new InstancedBufferGeometry();
  geometry.setAttribute("position", new Float32BufferAttribute([-0.5, 0, 0, 0.5, 0, 0, 0.5, 1, 0, -0.5, 1, 0], 3));
  geometry.setAttribute("uv", new Float32BufferAttribute([0, 0, 1, 0, 1, 1, 0, 1], 2));
  geometry.setIndex([0, 1, 2, 0, 2, 3]);
  const at = list.flatMap(({ east_m, north_m, up_m }) => [east_m, up_m, -north_m]);
  const size = list.flatMap(({ width_m, height_m, cover }) => [width_m, height_m, cover]);
  geometry.setAttribute("at", new InstancedBufferAttribute(new Float32Array(at), 3));
  geometry.setAttribute("size", new InstancedBufferAttribute(new Float32Array(size), 3));
  geometry.instanceCount = list.length;
  const material = new ShaderMaterial({
    vertexShader: SPRITE_VERTEX,
    fragmentShader: SPRITE_FRAGMENT,
    transparent: true,
    depthWrite: false,
    side: DoubleSide,
    uniforms: {
      uMap: { value: texture },
      uInk: shared.uInk,
      uFill: { value: new Color() },
      uFar: shared.uFar,
      uRight: { value: new Vector3(1, 0, 0) },
      uFade: { value: fade },
      uKeep: { value: keep },
    },
  });
  const mesh = new Mesh(geometry, material);
  mesh.frustumCulled = false;
  mesh.renderOrder = order;
  return mesh;
}

/** Trees on land around a middle, none on strips. */
export function trees(
  relief: Relief,
  north_m: number,
  east_m: number,
  clear: (n: number, e: number) => boolean,
  most: number,
): Sprite[] {
  const list: Sprite[] = [];
  for (let k = 0; k < most * 6 && list.length < most; k += 1) {
    const n = north_m + (chanceAt(k, 1) + chanceAt(k, 2) - 1) * 4200;
    const e = east_m + (chanceAt(k, 3) + chanceAt(k, 4) - 1) * 4200;
    // In woods, with a few alone.
    const wood = chanceAt(Math.floor(n / 380), Math.floor(e / 380));
    if ((wood < 0.66 && chanceAt(k, 5) > 0.07) || relief.coast(n, e) < 70 || !clear(n, e)) continue;
    list.push({
      east_m: e,
      north_m: n,
      up_m: relief.height(n, e) - 0.6,
      width_m: 7 + chanceAt(k, 6) * 6,
      height_m: 9 + chanceAt(k, 7) * 7,
      cover: 1,
    });
  }
  return list;
}

/** Smoke that the wind carries from a place. */
export function smoke(
  north_m: number,
  east_m: number,
  up_m: number,
  wind: { readonly east_mps: number; readonly north_mps: number },
): Sprite[] {
  const speed = Math.hypot(wind.east_mps, wind.north_mps);
  const [dn, de] = speed > 0.5 ? [wind.north_mps / speed, wind.east_mps / speed] : [0, 0];
  const list: Sprite[] = [];
  let [n, e, h] = [north_m, east_m, up_m + 4];
  for (let k = 0; k < 26; k += 1) {
    const size = (8 + k * 2) * (0.72 + 0.6 * chanceAt(k, 9));
    list.push({
      east_m: e,
      north_m: n,
      up_m: h - size * 0.4,
      width_m: size * 1.25,
      height_m: size,
      cover: 0.95 * (1 - 0.85 * (k / 26) ** 1.3),
    });
    const step = (8 + k * 2) * 0.5;
    n += dn * step;
    e += de * step;
    // The stronger it blows the flatter it lies.
    h += Math.max(0.5, (speed > 0.5 ? 40 / speed : 12) * (size / 40) * (1 - k / 40));
  }
  return list.reverse();
}

/** Clouds round the horizon. */
export function clouds(north_m: number, east_m: number): Sprite[] {
  return Array.from({ length: 16 }, (_, k) => {
    const a = (k / 16) * 2 * Math.PI + chanceAt(k, 11) * 0.3;
    const away = 30_000 + chanceAt(k, 12) * 14_000;
    const width_m = 5200 + chanceAt(k, 13) * 6000;
    return {
      east_m: east_m + away * Math.sin(a),
      north_m: north_m + away * Math.cos(a),
      up_m: 1500 + chanceAt(k, 14) * 2600,
      width_m,
      height_m: width_m * 0.3,
      cover: 0.55,
    };
  });
}
