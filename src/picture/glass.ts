import {
  DataTexture,
  LinearFilter,
  Mesh,
  OrthographicCamera,
  PlaneGeometry,
  Scene,
  ShaderMaterial,
} from 'three';
import { seededRandom } from '#core/base/random';
import type { Lens } from '#core/simulator/lens';
import { rise, rough3 } from './noise';

const [WIDE, HIGH] = [160, 100];
const DROPS = 13;

/** Dirt in red, drops' shine in green, drops' shade in blue: baked once. */
function bakeGlass(): DataTexture {
  const data = new Uint8Array(WIDE * HIGH * 4);
  const random = seededRandom(8);
  const drops = Array.from({ length: DROPS }, () => ({
    x: random.between(0.05, 0.95) * 1.6,
    y: random.between(0.05, 0.95),
    radius: random.between(0.03, 0.09),
  }));
  for (let row = 0; row < HIGH; row += 1)
    for (let column = 0; column < WIDE; column += 1) {
      const [x, y] = [(column / WIDE) * 1.6, row / HIGH];
      const smear = rough3(x * 2.2 + 5, y * 5 + 5, 1, 4);
      let [shine, shade] = [0, 0];
      for (const drop of drops) {
        const away = Math.hypot(x - drop.x, y - drop.y) / drop.radius;
        if (away > 1) continue;
        // A drop is a small lens: bright below, dark at its upper edge.
        const tall = (y - drop.y) / drop.radius;
        shine = Math.max(
          shine,
          (1 - away) * 0.4 + 0.6 * rise(0.2, 0.8, -tall) * rise(0, 0.3, 1 - away),
        );
        shade = Math.max(shade, rise(0.62, 0.95, away) * 0.8 + 0.3 * rise(0, 0.8, tall));
      }
      data.set([smear * 255, shine * 255, shade * 255, 255], (row * WIDE + column) * 4);
    }
  const texture = new DataTexture(data, WIDE, HIGH);
  texture.magFilter = LinearFilter;
  texture.minFilter = LinearFilter;
  texture.needsUpdate = true;
  return texture;
}

/** What is on the glass in front of the lens. */
export type Glass = {
  readonly scene: Scene;
  readonly camera: OrthographicCamera;
  /** Shows the lens as it is; returns whether there is anything to draw. */
  readonly show: (lens: Lens) => boolean;
};

export function createGlass(): Glass {
  const scene = new Scene();
  const material = new ShaderMaterial({
    transparent: true,
    depthTest: false,
    depthWrite: false,
    uniforms: { baked: { value: bakeGlass() }, dirt: { value: 0 }, drops: { value: 0 } },
    vertexShader:
      'varying vec2 vAt; void main() { vAt = uv; gl_Position = vec4(position.xy, 0.0, 1.0); }',
    fragmentShader: `
uniform sampler2D baked; uniform float dirt; uniform float drops; varying vec2 vAt;
void main() {
  vec4 glass = texture2D(baked, vAt);
  float film = smoothstep(0.86 - dirt * 0.8, 1.06 - dirt * 0.8, glass.r) * min(1.0, dirt * 1.5);
  vec3 colour = mix(vec3(0.3, 0.24, 0.15), vec3(0.5, 0.44, 0.32), glass.r);
  float wet = max(glass.g, glass.b) * drops * 0.55;
  vec3 drop = mix(vec3(0.02), vec3(0.85, 0.9, 0.92), glass.g / max(0.01, glass.g + glass.b));
  float cover = max(film, wet);
  gl_FragColor = vec4(mix(drop, colour, film / max(0.01, film + wet)), cover);
}`,
  });
  scene.add(new Mesh(new PlaneGeometry(2, 2), material));
  return {
    scene,
    camera: new OrthographicCamera(-1, 1, 1, -1, 0, 1),
    show: ({ fouledRatio, dropsRatio }) => {
      material.uniforms['dirt']!.value = fouledRatio;
      material.uniforms['drops']!.value = dropsRatio;
      return fouledRatio > 0.03 || dropsRatio > 0.03;
    },
  };
}
