import type { Material } from '../catalogue/materials/index';
import type { Severity } from '../catalogue/severity/grade';

/** A point on the drawing, in drawing units (1 unit = 1 px at full size). */
export type Point = { readonly x: number; readonly y: number };

/** What a primitive stands for; a printer gives each role its colour and stroke. */
export type Role =
  | 'soil-above'
  | 'soil-below'
  | 'zone-divider'
  | 'surface-green'
  | 'surface-hard'
  | 'surface-road'
  | 'house'
  | 'pipe-wall'
  | 'pipe-joint'
  | 'unseen'
  | 'unreached'
  | 'water'
  | 'water-surface'
  | 'root'
  | 'lip'
  | 'tee'
  | 'riser'
  | 'riser-cap'
  | 'main'
  | 'main-unsure'
  | 'property-line'
  | 'tree-crown'
  | 'tree-trunk'
  | 'rod'
  | 'head'
  | 'beam'
  | 'leader'
  | 'scale'
  | `pipe-fill-${Material}`
  | `flake-${Severity}`;

export type TextRole =
  | 'zone-label'
  | 'pipe-label'
  | 'access-label'
  | 'line-label'
  | 'main-label'
  | 'scale-label'
  | 'flake-label'
  | 'flake-label-long';

/** The few shapes that a printer must know. `findingNumber` ties a shape to its finding. */
export type Primitive =
  | {
      readonly shape: 'polygon';
      readonly role: Role;
      readonly points: readonly Point[];
      readonly findingNumber?: number;
    }
  | {
      readonly shape: 'polyline';
      readonly role: Role;
      readonly points: readonly Point[];
      readonly findingNumber?: number;
    }
  | {
      readonly shape: 'circle';
      readonly role: Role;
      readonly center: Point;
      readonly radius: number;
      readonly findingNumber?: number;
    }
  | {
      readonly shape: 'text';
      readonly role: TextRole;
      readonly at: Point;
      readonly text: string;
      readonly anchor: 'start' | 'middle' | 'end';
      readonly findingNumber?: number;
    };

/** A rectangle as a polygon. */
export function box(role: Role, x: number, y: number, width: number, height: number): Primitive {
  return {
    shape: 'polygon',
    role,
    points: [
      { x, y },
      { x: x + width, y },
      { x: x + width, y: y + height },
      { x, y: y + height },
    ],
  };
}

/** A straight line. */
export function stroke(role: Role, from: Point, to: Point): Primitive {
  return { shape: 'polyline', role, points: [from, to] };
}
