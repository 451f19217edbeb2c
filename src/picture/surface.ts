import { BufferAttribute, BufferGeometry, DoubleSide, Mesh, ShaderMaterial } from 'three';
import type { RigPath } from '#core/simulator/path';
import { frameAt } from './frame';

const ROWS = 84;
/** The surface is drawn from behind the lens to where the lamp no longer reaches, feet. */
const BEHIND_FT = 0.4;
const AHEAD_FT = 9;
const COLUMNS = 5;

const VERTEX = `
attribute float edge;
varying vec3 vAt;
varying vec3 vWorld;
varying float vEdge;
void main() {
  vec4 at = modelViewMatrix * vec4(position, 1.0);
  vAt = at.xyz;
  vWorld = position;
  vEdge = edge;
  gl_Position = projectionMatrix * at;
}`;

const FRAGMENT = `
uniform float time;
uniform float murky;
uniform float lamp;
varying vec3 vAt;
varying vec3 vWorld;
varying float vEdge;
void main() {
  float away = length(vAt);
  float light = lamp / (1.0 + 0.55 * away * away);
  float ripple = sin(vWorld.x * 51.0 + vWorld.z * 33.0 + time * 1.3) + sin(vWorld.x * 27.0 - vWorld.z * 77.0 - time * 0.9) + 0.7 * sin(vWorld.x * 97.0 + time * 2.1);
  vec3 body = mix(vec3(0.035, 0.075, 0.085), vec3(0.14, 0.1, 0.045), murky);
  vec3 seen = body * (0.35 + light);
  // The lamp lies on it in broken streaks, and a bright line where it meets the wall.
  seen += smoothstep(1.1, 2.7, ripple) * 0.4 * light * vec3(0.8, 0.92, 1.0);
  seen += smoothstep(0.86, 0.99, abs(vEdge)) * 0.55 * light * vec3(0.75, 0.85, 0.9);
  gl_FragColor = vec4(sqrt(min(seen, 1.0)), mix(0.8, 0.96, murky));
}`;

/** The surface of the water ahead of the lens. */
export type Surface = {
  readonly mesh: Mesh;
  readonly lay: (
    path: RigPath,
    headFt: number,
    depthIn: (atFt: number) => number,
    look: { readonly timeS: number; readonly isMurky: boolean },
  ) => void;
};

/** Makes the water's surface; it is laid anew for each picture, since the water moves. */
export function createSurface(): Surface {
  const positions = new BufferAttribute(new Float32Array(ROWS * COLUMNS * 3), 3);
  const edges = new BufferAttribute(new Float32Array(ROWS * COLUMNS), 1);
  const indices: number[] = [];
  for (let row = 0; row < ROWS - 1; row += 1)
    for (let column = 0; column < COLUMNS - 1; column += 1) {
      const a = row * COLUMNS + column;
      indices.push(a, a + COLUMNS, a + 1, a + 1, a + COLUMNS, a + COLUMNS + 1);
    }
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', positions);
  geometry.setAttribute('edge', edges);
  geometry.setIndex(indices);
  const material = new ShaderMaterial({
    vertexShader: VERTEX,
    fragmentShader: FRAGMENT,
    transparent: true,
    side: DoubleSide,
    uniforms: { time: { value: 0 }, murky: { value: 0 }, lamp: { value: 1.1 } },
  });
  const mesh = new Mesh(geometry, material);
  mesh.frustumCulled = false;
  return {
    mesh,
    lay: (path, headFt, depthIn, { timeS, isMurky }) => {
      material.uniforms['time']!.value = timeS;
      material.uniforms['murky']!.value = isMurky ? 1 : 0;
      let isWet = false;
      for (let row = 0; row < ROWS; row += 1) {
        // Rows lie closer together near the lens.
        const share = row / (ROWS - 1);
        const atFt = Math.min(
          path.lengthFt,
          Math.max(0, headFt - BEHIND_FT + (BEHIND_FT + AHEAD_FT) * share ** 1.6),
        );
        const { centre, radiusFt, right, up } = frameAt(path, atFt);
        const depthFt = depthIn(atFt) / 12;
        const isOpen = depthFt > 0.004 && depthFt < 2 * radiusFt - 0.004;
        isWet ||= isOpen;
        const heightFt = isOpen ? depthFt - radiusFt : -radiusFt * 1.02;
        const halfFt = isOpen ? Math.sqrt(Math.max(0, radiusFt ** 2 - heightFt ** 2)) * 1.02 : 0;
        for (let column = 0; column < COLUMNS; column += 1) {
          const side = (2 * column) / (COLUMNS - 1) - 1;
          const at = centre
            .clone()
            .addScaledVector(up, heightFt)
            .addScaledVector(right, side * halfFt);
          const index = row * COLUMNS + column;
          positions.setXYZ(index, at.x, at.y, at.z);
          edges.setX(index, side);
        }
      }
      mesh.visible = isWet;
      positions.needsUpdate = true;
      edges.needsUpdate = true;
    },
  };
}
