import { markOf } from '#core/catalogue/defects/kinds';
import type { FeatureKind } from '#core/catalogue/features/index';
import type { DefectMark } from '#core/catalogue/marks';
import { pathPipeAt, type PathThing, type RigPath } from '#core/simulator/path';
import { debrisWall, greaseWall, mineralWall, residueWall, scaleWall } from './deposits';
import { couplingWall, failedCouplingWall, openWall, seepWall, utilityWall } from './openings';
import { layJoint, layPipe } from './pipe';
import type { WallEffect, WallPoint } from './point';
import {
  breakWall,
  collapseWall,
  deformWall,
  gapWall,
  holeWall,
  lipWall,
  offsetWall,
  spallWall,
  standLip,
  wearWall,
} from './structure';

/** Defects that shape or stain the wall. The others are drawn as things of their own. */
const BY_MARK: Partial<Record<DefectMark, WallEffect>> = {
  break: breakWall,
  hole: holeWall,
  collapse: collapseWall,
  deformation: deformWall,
  offset: offsetWall,
  gap: gapWall,
  'wall-loss': wearWall,
  spalling: spallWall,
  lip: lipWall,
  scale: scaleWall,
  grease: greaseWall,
  debris: debrisWall,
  mineral: mineralWall,
  'residue-line': residueWall,
  'leak-in': seepWall,
  gasket: failedCouplingWall,
  utility: utilityWall,
};

const BY_FEATURE: Partial<Record<FeatureKind, WallEffect>> = {
  tee: openWall,
  wye: openWall,
  join: openWall,
  cleanout: openWall,
  'property-line-cleanout': openWall,
  'access-point': openWall,
  riser: openWall,
  'test-tee': openWall,
  vent: openWall,
  coupling: couplingWall,
};

/** How far a thing may shape the wall beyond its ends, feet. */
export const THING_REACH_FT = 3.2;

/** An edge that stands up where one pipe follows another. */
export type Edge = { readonly atFt: number; readonly lipFt: number };

/** Edges that stand up at changes of pipe, as the camera meets them. */
export function edgesOf(path: RigPath): Edge[] {
  return path.pieces.flatMap((piece) => {
    const { line, fromFt, stationFt, direction } = piece;
    if (!line) return [];
    return line.pipes.flatMap(({ lipIn }, index) => {
      const atFt = fromFt + direction * ((line.pipes[index - 1]?.toFt ?? 0) - stationFt);
      return lipIn && atFt >= fromFt && atFt <= piece.toFt ? [{ atFt, lipFt: lipIn / 12 }] : [];
    });
  });
}

/** Shapes the surface of the pipe of one way. */
export type WallShaper = {
  /** The surface at a distance from the rim and a clock; the same object each time, overwritten. */
  readonly at: (atFt: number, clock: number) => WallPoint;
};

/**
 * Makes the shaper for a stretch of a way: clean pipe first, then its joints, then everything that is
 * wrong or belongs there, in the order of the way.
 */
export function shapeWall(path: RigPath, fromFt: number, toFt: number): WallShaper {
  const near = (a: number, b: number) => a <= toFt + THING_REACH_FT && b >= fromFt - THING_REACH_FT;
  const effects = path.things
    .filter((thing) => near(thing.fromFt, thing.toFt))
    .flatMap((thing): { thing: PathThing; effect: WallEffect }[] => {
      const effect =
        thing.kind === 'defect'
          ? BY_MARK[markOf(thing.what.defect)]
          : BY_FEATURE[thing.what.feature];
      return effect ? [{ thing, effect }] : [];
    });
  const joints = path.joints.filter((atFt) => near(atFt, atFt));
  const edges = edgesOf(path).filter(({ atFt }) => near(atFt, atFt));
  const point: WallPoint = {
    atFt: 0,
    clock: 0,
    boreFt: 0,
    radiusFt: 0,
    alongFt: 0,
    red: 0,
    green: 0,
    blue: 0,
    gloss: 0,
    grain: 0,
  };
  return {
    at: (atFt, clock) => {
      const { material, diameterIn } = pathPipeAt(path, atFt);
      point.atFt = atFt;
      point.clock = clock;
      point.boreFt = diameterIn / 24;
      point.radiusFt = point.boreFt;
      point.alongFt = 0;
      layPipe(point, material);
      for (const jointFt of joints) {
        if (Math.abs(atFt - jointFt) < 0.1) layJoint(point, material, atFt - jointFt);
      }
      for (const { atFt: edgeFt, lipFt } of edges) standLip(point, atFt - edgeFt, lipFt);
      for (const { thing, effect } of effects) {
        if (atFt < thing.fromFt - THING_REACH_FT || atFt > thing.toFt + THING_REACH_FT) continue;
        effect(point, thing);
      }
      // A surface never turns inside out.
      point.radiusFt = Math.max(0.004, point.radiusFt);
      return point;
    },
  };
}
