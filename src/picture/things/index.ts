import { Vector3 } from 'three';
import { seededRandom, seedOf } from '#core/base/random';
import { markOf } from '#core/catalogue/defects/kinds';
import type { DefectMark } from '#core/catalogue/marks';
import type { RigPath } from '#core/simulator/path';
import { frameAt, pointIn } from '../frame';
import { Sink } from '../sink';
import { shapeWall } from '../wall/wall';
import { drawCrack } from './cracks';
import { drawBits, drawForeign, drawUnidentified, drawVermin } from './lying';
import { drawRoots } from './roots';
import { drawGasket, drawIntrudingTap, drawLeak, drawSeep, drawUtility } from './standing';
import type { DrawThing, Site } from './thing';

const BY_MARK: Partial<Record<DefectMark, DrawThing>> = {
  roots: drawRoots,
  crack: drawCrack,
  debris: drawBits,
  'foreign-object': drawForeign,
  vermin: drawVermin,
  unidentified: drawUnidentified,
  utility: drawUtility,
  'intruding-tap': drawIntrudingTap,
  gasket: drawGasket,
  'leak-out': drawLeak,
  'leak-in': drawSeep,
};

/** Draws what stands, hangs and lies in the bore between two places of the way. */
export function drawThings(path: RigPath, fromFt: number, toFt: number): Sink {
  const sink = new Sink();
  const shaper = shapeWall(path, fromFt, toFt);
  const site: Site = {
    path,
    frame: (atFt) => frameAt(path, atFt),
    onWall: (atFt, clock, inFt = 0) => {
      const { radiusFt, alongFt } = shaper.at(atFt, ((clock % 12) + 12) % 12);
      return pointIn(frameAt(path, atFt), clock, radiusFt - inFt, alongFt);
    },
    inBore: (atFt, clock, share): Vector3 => {
      const frame = frameAt(path, atFt);
      return pointIn(frame, clock, frame.radiusFt * share);
    },
  };
  for (const thing of path.things) {
    if (thing.kind !== 'defect' || thing.fromFt < fromFt || thing.fromFt >= toFt) continue;
    const seed = seedOf(path.truth.id, thing.lineId, thing.stationFt, thing.what.defect);
    BY_MARK[markOf(thing.what.defect)]?.(sink, thing, site, seededRandom(seed));
  }
  return sink;
}
