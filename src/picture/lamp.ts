import {
  Color,
  DataTexture,
  DoubleSide,
  LinearFilter,
  LinearMipmapLinearFilter,
  RedFormat,
  RepeatWrapping,
  ShaderMaterial,
} from 'three';
import { noise3 } from './noise';

const TILE = 128;

/** A tile of grain without a seam: wrapped round two circles so that both ends meet. */
function grainTile(): DataTexture {
  const data = new Uint8Array(TILE * TILE);
  const ring = (share: number, radius: number) =>
    [Math.cos(share * 2 * Math.PI) * radius, Math.sin(share * 2 * Math.PI) * radius] as const;
  for (let row = 0; row < TILE; row += 1)
    for (let column = 0; column < TILE; column += 1) {
      let value = 0;
      [4, 9, 20].forEach((radius, octave) => {
        const [x, y] = ring(column / TILE, radius);
        const [u, v] = ring(row / TILE, radius);
        value += noise3(x + u * 0.73 + 90, y + v * 0.61 + 90, u - v * 0.4 + 90) / 2 ** octave;
      });
      data[row * TILE + column] = Math.min(255, (value / 1.75) * 255);
    }
  const texture = new DataTexture(data, TILE, TILE, RedFormat);
  texture.wrapS = RepeatWrapping;
  texture.wrapT = RepeatWrapping;
  texture.magFilter = LinearFilter;
  texture.minFilter = LinearMipmapLinearFilter;
  texture.generateMipmaps = true;
  texture.needsUpdate = true;
  return texture;
}

const VERTEX = `
attribute vec3 colour;
attribute vec2 finish;
attribute vec2 grainAt;
varying vec3 vAt;
varying vec3 vFacing;
varying vec3 vColour;
varying vec2 vFinish;
varying vec2 vGrainAt;
void main() {
  vec4 at = modelViewMatrix * vec4(position, 1.0);
  vAt = at.xyz;
  vFacing = normalMatrix * normal;
  vColour = colour;
  vFinish = finish;
  vGrainAt = grainAt;
  gl_Position = projectionMatrix * at;
}`;

const FRAGMENT = `
uniform sampler2D grain;
uniform vec3 murk;
uniform float murkPerFt;
uniform float lamp;
varying vec3 vAt;
varying vec3 vFacing;
varying vec3 vColour;
varying vec2 vFinish;
varying vec2 vGrainAt;
void main() {
  float away = length(vAt);
  vec3 toLens = -vAt / away;
  float facing = abs(dot(normalize(vFacing), toLens));
  float grit = texture2D(grain, vGrainAt).r;
  // The lamp sits round the lens and falls off with the square; the rest is light thrown about the pipe.
  float fall = lamp / (1.0 + 0.55 * away * away);
  float light = (0.4 + 0.6 * facing) * fall;
  vec3 seen = vColour * vColour * light * mix(1.0, 0.42 + 1.16 * grit, vFinish.y);
  float f2 = facing * facing;
  float f4 = f2 * f2;
  float graze = (1.0 - facing) * (1.0 - facing);
  float glint = f4 * f4 * f4 * f4 + 0.5 * graze * graze + 0.5 * smoothstep(0.58, 0.8, grit) * facing;
  seen += vFinish.x * glint * 0.16 * fall;
  seen = mix(seen, murk, 1.0 - exp(-murkPerFt * away));
  // Squared and rooted: near enough to the curve of a screen, and cheap where there is no graphics card.
  gl_FragColor = vec4(sqrt(min(seen, 1.0)), 1.0);
}`;

/** What every surface in the pipe is drawn with: a lamp at the lens, and water to see through when there is. */
export function lampMaterial(): ShaderMaterial {
  return new ShaderMaterial({
    vertexShader: VERTEX,
    fragmentShader: FRAGMENT,
    side: DoubleSide,
    uniforms: {
      grain: { value: grainTile() },
      murk: { value: new Color(0, 0, 0) },
      murkPerFt: { value: 0 },
      lamp: { value: 0.95 },
    },
  });
}
