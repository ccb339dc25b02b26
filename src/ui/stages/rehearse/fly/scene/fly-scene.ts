// The view out of the aeroplane in paper and ink: ground, sea, runways, trees, smoke, clouds and sky, then ink where
// the depth bends. Plane coordinates: east, north, height above the sea, in metres.
import {
  BackSide,
  Color,
  DataTexture,
  DepthTexture,
  type Group,
  LinearFilter,
  type Mesh,
  NearestFilter,
  OrthographicCamera,
  PerspectiveCamera,
  PlaneGeometry,
  RedFormat,
  RepeatWrapping,
  Scene,
  ShaderMaterial,
  SphereGeometry,
  UnsignedIntType,
  Vector2,
  Vector3,
  Vector4,
  WebGLRenderTarget,
  type WebGLRenderer,
  Mesh as ThreeMesh,
} from "three";
import type { LocalPlane } from "@/core/earth/local-plane";
import type { LandingEnd } from "@/core/landing/landing-end";
import { headingOn } from "../fly-set-up";
import { EDGE_FRAGMENT, EDGE_VERTEX } from "./edge-shader";
import { GROUND_FRAGMENT, GROUND_VERTEX } from "./ground-shader";
import { MOVED_M, type Relief, disposeTiles, groundTiles } from "./ground-tiles";
import { LIGHTS, colour } from "./looks";
import { fieldEdges, plannedWay } from "./planned-way";
import { type Label, runwayInks, runways } from "./runways";
import { chanceAt, cloudTexture, clouds, puffTexture, smoke, sprites, treeTexture, trees } from "./sprites";

/** Where one looks from, and where to. */
export interface Pose {
  readonly north_m: number;
  readonly east_m: number;
  readonly altitude_m: number;
  readonly heading_rad: number;
  readonly pitch_rad: number;
  readonly bank_rad: number;
}

/** What the view is made of. */
export interface SceneOf {
  readonly relief: Relief;
  readonly plane: LocalPlane;
  readonly ends: readonly LandingEnd[];
  /** Edges of surveyed fields: north and east in turn, m, each back to where it began. */
  readonly outlines: readonly (readonly number[])[];
  readonly wind: { readonly east_mps: number; readonly north_mps: number };
  readonly middle: { readonly north_m: number; readonly east_m: number };
}

const [NEAR_M, FAR_M] = [2, 160_000];
/** Field of view across, rad; eyes above the wheels, m. */
const ACROSS_RAD = (64 * Math.PI) / 180;
const EYES_M = 1.4;
const TREES = 1300;
/** Runways and names this near are drawn, m. */
const DRAWN_M = 14_000;

const SKY_VERTEX =
  "varying vec3 vD; void main(){ vD=position; gl_Position=projectionMatrix*viewMatrix*vec4(position+cameraPosition,1.); }";
const SKY_FRAGMENT = /* glsl */ `
precision highp float; varying vec3 vD; uniform vec3 uS[4]; uniform float uGlow;
void main(){
  vec3 d=normalize(vD); float e=degrees(asin(d.y)); float az=atan(d.x,-d.z);
  e+=.5*sin(az*7.)+.3*sin(az*17.+1.); float w=.55;
  vec3 c=uS[3]; c=mix(c,uS[2],smoothstep(-w,w,e-2.6)); c=mix(c,uS[1],smoothstep(-w,w,e-6.5)); c=mix(c,uS[0],smoothstep(-w,w,e-13.));
  float g=uGlow*max(0.,cos(az-radians(236.)));
  c=mix(c,vec3(.62,.42,.30),g*.55*(1.-smoothstep(-1.,5.5,e)));
  gl_FragColor=vec4(c,1.);
}`;

function noiseTexture(): DataTexture {
  const n = 256;
  const values = new Uint8Array(n * n);
  for (let j = 0; j < n; j += 1)
    for (let i = 0; i < n; i += 1) values[j * n + i] = Math.floor(chanceAt(i, j + 900) * 256);
  const texture = new DataTexture(values, n, n, RedFormat);
  texture.wrapS = RepeatWrapping;
  texture.wrapT = RepeatWrapping;
  texture.magFilter = LinearFilter;
  texture.minFilter = LinearFilter;
  texture.needsUpdate = true;
  return texture;
}

/** What a picture took. */
interface DrawnCost {
  readonly triangles: number;
  readonly calls: number;
}

/** The view; drawn by whoever has a renderer. */
export interface FlyScene {
  light(name: "day" | "dusk"): void;
  /** Draws a way on the ground: north and east in turn, m. */
  way(points: readonly number[]): void;
  /** Draws from a pose into the renderer's canvas. */
  draw(renderer: WebGLRenderer, pose: Pose): DrawnCost;
  /** Names over the view, as shares of its width and height. */
  names(): readonly { readonly text: string; readonly x: number; readonly y: number }[];
  dispose(): void;
}

/** Makes the view. */
export function flyScene({ relief, plane, ends, outlines, wind, middle }: SceneOf): FlyScene {
  const scene = new Scene();
  const camera = new PerspectiveCamera(40, 2, NEAR_M, FAR_M);
  const blows = Math.hypot(wind.east_mps, wind.north_mps);
  const windDir = blows > 0.5 ? new Vector2(wind.east_mps / blows, wind.north_mps / blows) : new Vector2(0, 1);
  const near = ends.filter((end) => {
    const at = plane.toPlane(end.threshold);
    return Math.hypot(at.x_m - middle.east_m, at.y_m - middle.north_m) < DRAWN_M;
  });
  const [first] = near;
  const run = first ? plane.toPlane(first.threshold) : { x_m: 1e7, y_m: 1e7 };
  const runHeading = first ? headingOn(plane, first) : 0;
  const uniforms = {
    uInk: { value: new Color() },
    uInk2: { value: new Color() },
    uSea: { value: new Color() },
    uSeaInk: { value: new Color() },
    uStraw: { value: new Color() },
    uSage: { value: new Color() },
    uFar: { value: new Color() },
    uLand: { value: Array.from({ length: 6 }, () => new Color()) },
    uNoise: { value: noiseTexture() },
    uWind: { value: windDir },
    uPx: { value: 1 },
    uShade: { value: 0.3 },
    uRun: { value: new Vector4(run.x_m, run.y_m, first?.length_m ?? 1, first?.width_m ?? 1) },
    uRunDir: { value: new Vector2(Math.sin(runHeading), Math.cos(runHeading)) },
  };
  const ground = new ShaderMaterial({
    vertexShader: GROUND_VERTEX,
    fragmentShader: GROUND_FRAGMENT,
    uniforms,
    // Coarser noise: nobody has said yet that there is a graphics processor.
    defines: { LIGHT: 1 },
  });
  let tiles: Group = groundTiles(relief, middle, ground);
  let about = middle;
  scene.add(tiles);

  const inks = runwayInks();
  const strips = runways(near, plane, inks);
  scene.add(strips.group);
  const edges = fieldEdges(outlines, relief, inks);
  scene.add(edges);
  let way = plannedWay([], relief, inks);

  const clear = (n: number, e: number) =>
    near.every((end) => {
      const from = plane.toPlane(end.threshold);
      const heading = headingOn(plane, end);
      const [dn, de] = [n - from.y_m, e - from.x_m];
      const along = dn * Math.cos(heading) + de * Math.sin(heading);
      const across = de * Math.cos(heading) - dn * Math.sin(heading);
      return along < -350 || along > end.length_m + 350 || Math.abs(across) > 110;
    });
  const standing = sprites(
    trees(relief, middle.north_m, middle.east_m, clear, TREES),
    treeTexture(),
    uniforms,
    9000,
    0.5,
    6,
  );
  const plumes = near.slice(0, 8).flatMap((end, i) => {
    // Beside the strip, a few hundred metres off: by it one sees how it blows there.
    const from = plane.toPlane(end.threshold);
    const heading = headingOn(plane, end);
    const [along, right] = [end.length_m * 0.4, (i % 2 === 0 ? 1 : -1) * 420];
    const n = from.y_m + along * Math.cos(heading) - right * Math.sin(heading);
    const e = from.x_m + along * Math.sin(heading) + right * Math.cos(heading);
    return relief.coast(n, e) > 20 ? smoke(n, e, relief.height(n, e), wind) : [];
  });
  const smoking = sprites(plumes, puffTexture(), uniforms, 16_000, 0.7, 7);
  const sky = sprites(clouds(middle.north_m, middle.east_m), cloudTexture(), uniforms, 60_000, 1, 1);
  const drawn = [standing, smoking, sky] as const;
  scene.add(...drawn);

  const dome = new ShaderMaterial({
    side: BackSide,
    depthWrite: false,
    depthTest: false,
    uniforms: { uS: { value: Array.from({ length: 4 }, () => new Color()) }, uGlow: { value: 0 } },
    vertexShader: SKY_VERTEX,
    fragmentShader: SKY_FRAGMENT,
  });
  const domeMesh = new ThreeMesh(new SphereGeometry(1000, 32, 24), dome);
  domeMesh.renderOrder = -1;
  domeMesh.frustumCulled = false;
  scene.add(domeMesh);

  const paper = new Scene();
  const flat = new OrthographicCamera(-1, 1, 1, -1, 0, 1);
  const inked = new ShaderMaterial({
    depthTest: false,
    depthWrite: false,
    uniforms: {
      uColor: { value: null },
      uDepth: { value: null },
      uTexel: { value: new Vector2() },
      uInk: uniforms.uInk,
      uEdge: { value: 0.9 },
      uNear: { value: NEAR_M },
      uFarZ: { value: FAR_M },
    },
    vertexShader: EDGE_VERTEX,
    fragmentShader: EDGE_FRAGMENT,
  });
  paper.add(new ThreeMesh(new PlaneGeometry(2, 2), inked));
  let target: WebGLRenderTarget | null = null;
  const size = new Vector2();

  const fit = (renderer: WebGLRenderer) => {
    renderer.getDrawingBufferSize(size);
    if (target?.width === size.x && target.height === size.y) return target;
    target?.dispose();
    target = new WebGLRenderTarget(size.x, size.y, {
      depthTexture: new DepthTexture(size.x, size.y, UnsignedIntType),
      magFilter: NearestFilter,
      minFilter: NearestFilter,
    });
    inked.uniforms.uColor.value = target.texture;
    inked.uniforms.uDepth.value = target.depthTexture;
    const ratio = renderer.getPixelRatio();
    inked.uniforms.uTexel.value.set(Math.max(1, 0.75 * ratio) / size.x, Math.max(1, 0.75 * ratio) / size.y);
    uniforms.uPx.value = ratio;
    camera.aspect = size.x / Math.max(size.y, 1);
    camera.fov = (2 * Math.atan(Math.tan(ACROSS_RAD / 2) / camera.aspect) * 180) / Math.PI;
    camera.updateProjectionMatrix();
    return target;
  };

  return {
    light: (name) => {
      const light = LIGHTS[name];
      for (const [uniform, hex] of [
        [uniforms.uInk, light.ink],
        [uniforms.uInk2, light.ink2],
        [uniforms.uSea, light.sea],
        [uniforms.uSeaInk, light.seaInk],
        [uniforms.uStraw, light.straw],
        [uniforms.uSage, light.sage],
        [uniforms.uFar, light.far],
      ] as const)
        uniform.value.copy(colour(hex));
      light.land.forEach((hex, i) => uniforms.uLand.value[i].copy(colour(hex)));
      uniforms.uShade.value = light.shade;
      light.sky.forEach((hex, i) => dome.uniforms.uS.value[i].copy(colour(hex)));
      dome.uniforms.uGlow.value = light.glow;
      inked.uniforms.uEdge.value = light.edge;
      inks.tar.color.copy(colour(light.tar));
      inks.paint.color.copy(colour(light.paint));
      inks.grass.color.copy(colour(light.sage));
      inks.way.color.copy(colour(light.ink));
      for (const material of inks.numbers) material.color.copy(colour(light.paint));
      const fills = [light.tree, light.smoke, light.cloud];
      drawn.forEach((mesh, i) => fillOf(mesh).copy(colour(fills[i])));
    },
    way: (points) => {
      scene.remove(way);
      way.geometry.dispose();
      way = plannedWay(points, relief, inks);
      scene.add(way);
    },
    draw: (renderer, pose) => {
      if (Math.hypot(pose.north_m - about.north_m, pose.east_m - about.east_m) > MOVED_M) {
        about = { north_m: pose.north_m, east_m: pose.east_m };
        scene.remove(tiles);
        disposeTiles(tiles);
        tiles = groundTiles(relief, about, ground);
        scene.add(tiles);
      }
      const into = fit(renderer);
      camera.position.set(pose.east_m, pose.altitude_m + EYES_M, -pose.north_m);
      camera.rotation.order = "YXZ";
      camera.rotation.set(pose.pitch_rad, -pose.heading_rad, -pose.bank_rad);
      camera.updateMatrixWorld();
      for (const mesh of drawn)
        (mesh.material as ShaderMaterial).uniforms.uRight.value.set(
          Math.cos(pose.heading_rad),
          0,
          Math.sin(pose.heading_rad),
        );
      renderer.setRenderTarget(into);
      renderer.clear();
      renderer.render(scene, camera);
      const { triangles, calls } = renderer.info.render;
      renderer.setRenderTarget(null);
      renderer.render(paper, flat);
      return { triangles, calls: calls + renderer.info.render.calls };
    },
    names: () => namesOf(strips.labels, camera),
    dispose: () => {
      target?.dispose();
      way.geometry.dispose();
      disposeTiles(tiles);
      ground.dispose();
      inked.dispose();
      edges.geometry.dispose();
      dome.dispose();
    },
  };
}

const fillOf = (mesh: Mesh): Color => (mesh.material as ShaderMaterial).uniforms.uFill.value as Color;

/** Names nearer than this are told, m. */
const NAMED_M = 7000;
const AT = new Vector3();

function namesOf(labels: readonly Label[], camera: PerspectiveCamera) {
  const told: { readonly text: string; readonly x: number; readonly y: number }[] = [];
  for (const { text, at } of labels.toSorted(
    (a, b) => a.at.distanceTo(camera.position) - b.at.distanceTo(camera.position),
  )) {
    if (at.distanceTo(camera.position) > NAMED_M) continue;
    AT.copy(at).project(camera);
    const [x, y] = [(AT.x + 1) / 2, (1 - AT.y) / 2];
    if (AT.z > 1 || x < 0.02 || x > 0.98 || y < 0.03 || y > 0.95) continue;
    // One name where two would lie over each other: that of the nearer.
    if (told.every((other) => Math.abs(other.x - x) > 0.07 || Math.abs(other.y - y) > 0.06)) told.push({ text, x, y });
  }
  return told;
}
