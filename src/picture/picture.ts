import {
  BufferAttribute,
  type BufferGeometry,
  BufferGeometry as Geometry,
  type Color,
  Group,
  Mesh,
  PerspectiveCamera,
  Points,
  PointsMaterial,
  Scene,
  WebGLRenderer,
} from 'three';
import { seededRandom } from '#core/base/random';
import type { RigPath } from '#core/simulator/path';
import { aimCamera, FIELD_DEG } from './aim';
import { buildBore } from './bore';
import { drawEnd } from './ends';
import { createGlass } from './glass';
import { lampMaterial } from './lamp';
import { createSurface } from './surface';
import { drawThings } from './things';
import type { PictureDrawer } from './view';
import { shapeWall } from './wall/wall';

/** The bore is built in pieces of this length as the head comes near, feet. */
const PIECE_FT = 3;
const SEEN_AHEAD_FT = 8;
/** Pieces that begin this far ahead are drawn coarsely, feet. */
const FAR_FROM_FT = 3.2;
const SEEN_BEHIND_FT = 0.6;
/** Pieces kept; the rest are built again when they are needed. */
const MOST_PIECES = 12;
/** How quickly water takes the light, per foot. */
const CLEAR_PER_FT = 1;
const MURKY_PER_FT = 5;
const CLEAR_WATER = [0.02, 0.085, 0.075] as const;
const MURKY_WATER = [0.1, 0.066, 0.026] as const;
const MOTES = 260;

const disposeOf = (group: Group) =>
  group.traverse((part) => {
    if (part instanceof Mesh) (part.geometry as BufferGeometry).dispose();
  });

/**
 * Draws what the rig's camera sees, from the lateral's truth.
 *
 * @returns the drawer, or `null` when the page has no WebGL.
 */
export function createPicture(canvas: HTMLCanvasElement, path: RigPath): PictureDrawer | null {
  let renderer: WebGLRenderer;
  try {
    renderer = new WebGLRenderer({ canvas, antialias: false, powerPreference: 'low-power' });
  } catch {
    return null;
  }
  renderer.autoClear = false;
  const scene = new Scene();
  const material = lampMaterial();
  const camera = new PerspectiveCamera(FIELD_DEG, 1.6, 0.015, 24);
  const surface = createSurface();
  const glass = createGlass();
  const motes = makeMotes();
  scene.add(surface.mesh, motes);
  const end = drawEnd(path).geometry();
  if (end) scene.add(new Mesh(end, material));
  const pieces = new Map<number, Group>();

  const pieceAt = (index: number, isFar: boolean): Group => {
    const key = isFar ? -1 - index : index;
    const known = pieces.get(key);
    if (known) {
      // The latest asked for goes to the back of the line.
      pieces.delete(key);
      pieces.set(key, known);
      return known;
    }
    const [fromFt, toFt] = [index * PIECE_FT, Math.min(path.lengthFt, (index + 1) * PIECE_FT)];
    const group = new Group();
    const add = (geometry: BufferGeometry | null) => {
      if (geometry) group.add(new Mesh(geometry, material));
    };
    add(buildBore(path, fromFt, toFt, isFar));
    add(drawThings(path, fromFt, toFt).geometry());
    pieces.set(key, group);
    scene.add(group);
    const [oldest] = pieces.keys();
    if (pieces.size > MOST_PIECES && oldest !== undefined) {
      const dropped = pieces.get(oldest)!;
      pieces.delete(oldest);
      scene.remove(dropped);
      disposeOf(dropped);
    }
    return group;
  };

  return {
    draw: (view) => {
      aimCamera(camera, path, view);
      const first = Math.max(0, Math.floor((view.headFt - SEEN_BEHIND_FT) / PIECE_FT));
      const last = Math.floor(
        Math.min(path.lengthFt - 0.01, view.headFt + SEEN_AHEAD_FT) / PIECE_FT,
      );
      const shown = new Set<Group>();
      for (let index = first; index <= last; index += 1) {
        shown.add(pieceAt(index, index * PIECE_FT > view.headFt + FAR_FROM_FT));
      }
      pieces.forEach((group) => (group.visible = shown.has(group)));
      surface.lay(path, view.headFt, view.depthIn, view);
      // From below, through what is cloudy, there is no surface to be seen.
      if (view.isUnder && view.isMurky) surface.mesh.visible = false;
      material.uniforms['lamp']!.value = openIris(path, view.headFt);
      const [red, green, blue] = view.isMurky ? MURKY_WATER : CLEAR_WATER;
      (material.uniforms['murk'] as { value: Color }).value.setRGB(red, green, blue);
      material.uniforms['murkPerFt']!.value = view.isUnder
        ? view.isMurky
          ? MURKY_PER_FT
          : CLEAR_PER_FT
        : 0;
      motes.visible = view.isUnder;
      if (view.isUnder) {
        motes.position.copy(camera.position);
        motes.rotation.y = view.timeS * 0.05;
      }
      renderer.setClearColor(view.isUnder && view.isMurky ? 0x5a4a2e : 0x000000);
      renderer.clear();
      renderer.render(scene, camera);
      // Drops show when the glass comes up, not in the water.
      const lens = view.isUnder ? { ...view.lens, dropsRatio: 0 } : view.lens;
      if (glass.show(lens)) renderer.render(glass.scene, glass.camera);
    },
    resize: (width, height) => {
      renderer.setSize(width, height, false);
      camera.aspect = width / height;
      camera.updateProjectionMatrix();
    },
    dispose: () => {
      pieces.forEach(disposeOf);
      material.dispose();
      renderer.dispose();
    },
  };
}

/** The camera's iris: opens in a black pipe, closes in a white one. */
function openIris(path: RigPath, headFt: number): number {
  const shaper = shapeWall(path, headFt, headFt + 1);
  let sum = 0;
  for (const clock of [2, 6, 10]) {
    const { red, green, blue } = shaper.at(Math.min(path.lengthFt, headFt + 0.6), clock);
    sum += (red + green + blue) / 9;
  }
  return Math.min(3.4, Math.max(0.85, 0.64 / (sum + 0.16)));
}

/** Specks that hang in standing water. */
function makeMotes(): Points {
  const random = seededRandom(3);
  const at = Float32Array.from({ length: MOTES * 3 }, () => random.between(-0.45, 0.45));
  const geometry = new Geometry();
  geometry.setAttribute('position', new BufferAttribute(at, 3));
  return new Points(
    geometry,
    new PointsMaterial({ color: 0x9a8f6a, size: 2, sizeAttenuation: false }),
  );
}
