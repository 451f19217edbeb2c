import { BufferGeometry, Float32BufferAttribute, Vector3 } from 'three';
import { hash3 } from './noise';
import type { Colour } from './wall/point';

/** Collects triangles with a colour and a gloss, to be drawn as one. */
export class Sink {
  private readonly positions: number[] = [];
  private readonly normals: number[] = [];
  private readonly colours: number[] = [];
  private readonly finishes: number[] = [];
  private readonly indices: number[] = [];

  private vertex(at: Vector3, normal: Vector3, [red, green, blue]: Colour, gloss: number): number {
    this.positions.push(at.x, at.y, at.z);
    this.normals.push(normal.x, normal.y, normal.z);
    this.colours.push(red, green, blue);
    this.finishes.push(gloss, 0.3);
    return this.positions.length / 3 - 1;
  }

  /** A round strand through points; its radius may change from point to point, feet. */
  tube(
    points: readonly Vector3[],
    radiusFt: (share: number) => number,
    colour: Colour | ((share: number) => Colour),
    options: { readonly sides?: number; readonly gloss?: number } = {},
  ): void {
    const { sides = 4, gloss = 0.2 } = options;
    const rings: number[][] = [];
    points.forEach((at, index) => {
      const before = points[Math.max(0, index - 1)]!;
      const after = points[Math.min(points.length - 1, index + 1)]!;
      const along = after.clone().sub(before).normalize();
      const across = Math.abs(along.y) > 0.9 ? new Vector3(1, 0, 0) : new Vector3(0, 1, 0);
      const one = new Vector3().crossVectors(along, across).normalize();
      const other = new Vector3().crossVectors(along, one);
      const share = index / Math.max(1, points.length - 1);
      const shade = typeof colour === 'function' ? colour(share) : colour;
      rings.push(
        Array.from({ length: sides }, (_, side) => {
          const angle = (2 * Math.PI * side) / sides;
          const out = one
            .clone()
            .multiplyScalar(Math.cos(angle))
            .addScaledVector(other, Math.sin(angle));
          return this.vertex(at.clone().addScaledVector(out, radiusFt(share)), out, shade, gloss);
        }),
      );
    });
    rings.slice(1).forEach((ring, index) => {
      const last = rings[index]!;
      for (let side = 0; side < sides; side += 1) {
        const next = (side + 1) % sides;
        this.indices.push(last[side]!, ring[side]!, last[next]!);
        this.indices.push(last[next]!, ring[side]!, ring[next]!);
      }
    });
  }

  /** A flat band through points, each with the direction that it faces. */
  band(
    points: readonly { readonly at: Vector3; readonly facing: Vector3 }[],
    widthFt: (share: number) => number,
    colour: Colour,
    gloss = 0.1,
  ): void {
    const pairs = points.map(({ at, facing }, index) => {
      const before = points[Math.max(0, index - 1)]!.at;
      const after = points[Math.min(points.length - 1, index + 1)]!.at;
      const across = after.clone().sub(before).cross(facing).normalize();
      const half = widthFt(index / Math.max(1, points.length - 1)) / 2;
      return [1, -1].map((side) =>
        this.vertex(at.clone().addScaledVector(across, side * half), facing, colour, gloss),
      );
    });
    pairs.slice(1).forEach(([left, right], index) => {
      const [lastLeft, lastRight] = pairs[index]!;
      this.indices.push(lastLeft!, left!, lastRight!, lastRight!, left!, right!);
    });
  }

  /** A rough ball, feet; stretched along its axes when asked. */
  lump(
    at: Vector3,
    radiusFt: number,
    colour: Colour,
    options: {
      readonly rough?: number;
      readonly stretch?: Vector3;
      readonly seed?: number;
      readonly gloss?: number;
      readonly turn?: (v: Vector3) => Vector3;
    } = {},
  ): void {
    const { rough = 0.25, stretch, seed = 1, gloss = 0.15, turn = (v: Vector3) => v } = options;
    const [rows, columns] = [6, 9];
    const ids: number[][] = [];
    for (let row = 0; row <= rows; row += 1) {
      const tall = (Math.PI * row) / rows;
      ids.push(
        Array.from({ length: columns }, (_, column) => {
          const round = (2 * Math.PI * column) / columns;
          const out = new Vector3(
            Math.sin(tall) * Math.cos(round),
            Math.cos(tall),
            Math.sin(tall) * Math.sin(round),
          );
          const bump =
            1 + rough * (hash3(row, row === 0 || row === rows ? 0 : column, seed) - 0.5) * 2;
          const from = out.clone().multiplyScalar(radiusFt * bump);
          if (stretch) from.multiply(stretch);
          return this.vertex(turn(from).add(at), turn(out.clone()).normalize(), colour, gloss);
        }),
      );
    }
    for (let row = 0; row < rows; row += 1)
      for (let column = 0; column < columns; column += 1) {
        const next = (column + 1) % columns;
        const [a, b, c, d] = [
          ids[row]![column]!,
          ids[row]![next]!,
          ids[row + 1]![column]!,
          ids[row + 1]![next]!,
        ];
        this.indices.push(a, c, b, b, c, d);
      }
  }

  /** A piece with four corners, in order round it. */
  quad(corners: readonly [Vector3, Vector3, Vector3, Vector3], colour: Colour, gloss = 0.1): void {
    const [a, b, c] = corners;
    const facing = new Vector3().crossVectors(b.clone().sub(a), c.clone().sub(a)).normalize();
    const ids = corners.map((at) => this.vertex(at, facing, colour, gloss));
    this.indices.push(ids[0]!, ids[1]!, ids[2]!, ids[0]!, ids[2]!, ids[3]!);
  }

  /** What was collected; `null` when nothing was. */
  geometry(): BufferGeometry | null {
    if (this.indices.length === 0) return null;
    const geometry = new BufferGeometry();
    geometry.setAttribute('position', new Float32BufferAttribute(this.positions, 3));
    geometry.setAttribute('normal', new Float32BufferAttribute(this.normals, 3));
    geometry.setAttribute('colour', new Float32BufferAttribute(this.colours, 3));
    geometry.setAttribute('finish', new Float32BufferAttribute(this.finishes, 2));
    geometry.setAttribute(
      'grainAt',
      new Float32BufferAttribute(
        this.positions.flatMap((_, index) =>
          index % 3 === 0 ? [this.positions[index]! * 3, this.positions[index + 1]! * 3] : [],
        ),
        2,
      ),
    );
    geometry.setIndex(this.indices);
    return geometry;
  }
}
