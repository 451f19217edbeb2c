import type { Vector3 } from 'three';
import type { Random } from '#core/base/random';
import type { PathThing, RigPath } from '#core/simulator/path';
import type { Frame } from '../frame';
import type { Sink } from '../sink';

/** Where things are put: the bore round a place, and its wall as it is shaped. */
export type Site = {
  readonly path: RigPath;
  readonly frame: (atFt: number) => Frame;
  /** A point a little inside the wall, by `inFt`. */
  readonly onWall: (atFt: number, clock: number, inFt?: number) => Vector3;
  /** A point at a share of the pipe's radius from its middle. */
  readonly inBore: (atFt: number, clock: number, share: number) => Vector3;
};

/** Draws one thing that stands, hangs or lies in the bore. */
export type DrawThing = (sink: Sink, thing: PathThing, site: Site, random: Random) => void;
