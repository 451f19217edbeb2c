import type { Material } from '../catalogue/materials/index';
import { mirrorClock, normaliseArc } from '../measure/clock';
import type { Run } from '../model/job/run';
import { jointsOf, levelAtIn, pipeAt } from './line-geometry';
import type { LateralTruth, TruthAccess, TruthDefect, TruthFeature, TruthLine } from './truth';

/** A part of the way along one line; `null` is the riser. */
export type PathPiece = {
  readonly fromFt: number;
  readonly toFt: number;
  readonly line: TruthLine | null;
  /** Station of the line at `fromFt`, and +1 when stations grow along the way. */
  readonly stationFt: number;
  readonly direction: 1 | -1;
};

/** Pipe of one kind along the way, feet from the rim. */
export type PathPipe = {
  readonly fromFt: number;
  readonly toFt: number;
  readonly material: Material;
  readonly diameterIn: number;
  readonly inRiser: boolean;
};

export type PathBend = {
  readonly atFt: number;
  readonly angleDeg: number;
  readonly radiusIn: number;
  /** Bore of the pipe that bends, inches. */
  readonly boreIn: number;
  /** In plan: +1 to the right, −1 to the left, 0 in a riser or up and down. */
  readonly turn: 1 | 0 | -1;
};

/** A thing on the way, with its clock as this camera sees it. */
export type PathThing = {
  readonly fromFt: number;
  readonly toFt: number;
  readonly lineId: string;
  /** Station of its upstream end on its line. */
  readonly stationFt: number;
} & (
  | { readonly kind: 'defect'; readonly what: TruthDefect }
  | { readonly kind: 'feature'; readonly what: TruthFeature }
);

/** Where a camera goes from one access one way: riser, line, and whatever the line runs into. */
export type RigPath = {
  readonly truth: LateralTruth;
  readonly access: TruthAccess;
  readonly facing: Run['facing'];
  /** Feet of pipe from the rim to where the way ends. */
  readonly lengthFt: number;
  readonly pieces: readonly PathPiece[];
  readonly pipes: readonly PathPipe[];
  readonly bends: readonly PathBend[];
  readonly things: readonly PathThing[];
  readonly joints: readonly number[];
};

/** The part of the way at a distance from the rim. */
export function pieceAt(path: RigPath, atFt: number): PathPiece {
  return path.pieces.findLast(({ fromFt }) => fromFt <= atFt) ?? path.pieces[0]!;
}

/** The pipe at a distance from the rim. */
export function pathPipeAt(path: RigPath, atFt: number): PathPipe {
  return path.pipes.findLast(({ fromFt }) => fromFt <= atFt) ?? path.pipes[0]!;
}

/** Line and station at a distance from the rim; `null` in the riser. */
export function stationAt(
  path: RigPath,
  atFt: number,
): { readonly line: TruthLine; readonly stationFt: number } | null {
  const piece = pieceAt(path, atFt);
  if (!piece.line) return null;
  return { line: piece.line, stationFt: piece.stationFt + piece.direction * (atFt - piece.fromFt) };
}

/** Distance from the rim to a station of a line; `null` when this way does not pass it. */
export function distanceTo(path: RigPath, lineId: string, stationFt: number): number | null {
  for (const piece of path.pieces) {
    if (piece.line?.id !== lineId) continue;
    const atFt = piece.fromFt + piece.direction * (stationFt - piece.stationFt);
    if (atFt >= piece.fromFt - 1e-9 && atFt <= piece.toFt + 1e-9) return atFt;
  }
  return null;
}

/** Level of the invert at a distance from the rim, inches on the lateral's datum. */
export function invertAtIn(path: RigPath, atFt: number): number {
  const at = stationAt(path, atFt);
  if (at) return levelAtIn(at.line.invert, at.stationFt);
  const foot = path.pieces[1]!;
  return levelAtIn(foot.line!.invert, foot.stationFt) + (path.access.dropFt - atFt) * 12;
}

/**
 * Lays the way of a camera.
 *
 * @throws when the lateral has no such access, or its fitting does not let a camera go that way.
 */
export function layPath(truth: LateralTruth, accessId: string, facing: Run['facing']): RigPath {
  const access = truth.accesses.find(({ id }) => id === accessId);
  if (!access) throw new Error(`Lateral ${truth.id} has no access ${accessId}`);
  if (!access.ways.includes(facing)) {
    throw new Error(`Access ${accessId} of ${truth.id} does not let a camera face ${facing}`);
  }
  const pieces: PathPiece[] = [
    { fromFt: 0, toFt: access.dropFt, line: null, stationFt: 0, direction: 1 },
  ];
  let at: { line: TruthLine; stationFt: number } | null = {
    line: lineOf(truth, access.lineId),
    stationFt: access.atFt,
  };
  let fromFt = access.dropFt;
  const direction = facing === 'downstream' ? 1 : -1;
  while (at) {
    const { line, stationFt }: { line: TruthLine; stationFt: number } = at;
    const toFt: number = fromFt + (direction > 0 ? line.lengthFt - stationFt : stationFt);
    pieces.push({ fromFt, toFt, line, stationFt, direction });
    fromFt = toFt;
    // Downstream, the way goes on in the line that this one joins; upstream it ends.
    const joins: TruthLine['joins'] = direction > 0 ? line.joins : undefined;
    at = joins ? { line: lineOf(truth, joins.lineId), stationFt: joins.atFt } : null;
  }
  return {
    truth,
    access,
    facing,
    lengthFt: fromFt,
    pieces,
    pipes: pieces.flatMap((piece) => pipesOf(piece, access)),
    bends: pieces.flatMap((piece) => bendsOf(piece, access)),
    things: pieces.flatMap(thingsOf).sort((a, b) => a.fromFt - b.fromFt),
    joints: pieces.flatMap(({ line, ...piece }) =>
      line ? jointsOf(line).flatMap((stationFt) => onWay({ line, ...piece }, stationFt)) : [],
    ),
  };
}

function lineOf(truth: LateralTruth, lineId: string): TruthLine {
  const line = truth.lines.find(({ id }) => id === lineId);
  if (!line) throw new Error(`Lateral ${truth.id} has no line ${lineId}`);
  return line;
}

function onWay(piece: PathPiece, stationFt: number): number[] {
  const atFt = piece.fromFt + piece.direction * (stationFt - piece.stationFt);
  return atFt >= piece.fromFt && atFt <= piece.toFt ? [atFt] : [];
}

function pipesOf(piece: PathPiece, access: TruthAccess): PathPipe[] {
  const { fromFt, toFt, line, direction } = piece;
  if (!line) {
    const { material, diameterIn } = access;
    return [{ fromFt, toFt, material, diameterIn, inRiser: true }];
  }
  const cuts = line.pipes.flatMap((pipe) => onWay(piece, pipe.toFt));
  const ends = [fromFt, ...cuts, toFt].sort((a, b) => a - b);
  return ends.slice(1).flatMap((endFt, index) => {
    const startFt = ends[index]!;
    if (endFt - startFt < 1e-9) return [];
    const middle = piece.stationFt + direction * ((startFt + endFt) / 2 - fromFt);
    const { material, diameterIn } = pipeAt(line, middle);
    return [{ fromFt: startFt, toFt: endFt, material, diameterIn, inRiser: false }];
  });
}

function bendsOf(piece: PathPiece, access: TruthAccess): PathBend[] {
  const { line } = piece;
  if (!line) {
    return access.bendsDeg.map((angleDeg) => ({
      atFt: access.dropFt,
      angleDeg,
      radiusIn: access.bendRadiusIn,
      boreIn: access.diameterIn,
      turn: 0,
    }));
  }
  return line.features.flatMap((feature) => {
    if (feature.feature !== 'bend' && feature.feature !== 'trap') return [];
    const isRight = /right/.test(feature.turns ?? '');
    const isLeft = /left/.test(feature.turns ?? '');
    const turn = isRight === isLeft ? 0 : isRight ? 1 : -1;
    const boreIn = pipeAt(line, feature.atFt).diameterIn;
    const radiusIn = feature.radiusIn ?? 1.5 * boreIn;
    return onWay(piece, feature.atFt).map((atFt) => ({
      atFt,
      angleDeg: feature.angleDeg ?? (feature.feature === 'trap' ? 90 : 45),
      radiusIn,
      boreIn,
      // A bend that turns right going down turns left coming up.
      turn: (turn * piece.direction) as PathBend['turn'],
    }));
  });
}

function thingsOf(piece: PathPiece): PathThing[] {
  const { line, direction } = piece;
  if (!line) return [];
  const span = (atFt: number, toFt = atFt) => {
    const ends = [
      piece.fromFt + direction * (atFt - piece.stationFt),
      piece.fromFt + direction * (toFt - piece.stationFt),
    ].sort((a, b) => a - b) as [number, number];
    const isOn = ends[1] >= piece.fromFt - 1e-9 && ends[0] <= piece.toFt + 1e-9;
    return isOn
      ? { fromFt: Math.max(piece.fromFt, ends[0]), toFt: Math.min(piece.toFt, ends[1]) }
      : null;
  };
  const facing = direction > 0 ? 'downstream' : 'upstream';
  return [
    ...line.defects.flatMap((defect): PathThing[] => {
      const on = span(defect.atFt, defect.toFt);
      if (!on) return [];
      const what = { ...defect, ...seenArc(defect, facing) };
      return [{ ...on, kind: 'defect', what, lineId: line.id, stationFt: defect.atFt }];
    }),
    ...line.features.flatMap((feature): PathThing[] => {
      const on = span(feature.atFt);
      if (!on) return [];
      const { clock } = feature;
      const seen =
        facing === 'upstream' && clock !== undefined ? { clock: mirrorClock(clock) } : {};
      return [
        {
          ...on,
          kind: 'feature',
          what: { ...feature, ...seen },
          lineId: line.id,
          stationFt: feature.atFt,
        },
      ];
    }),
  ];
}

/** Clock of a defect as the lens sees it; mirroring is its own inverse. */
function seenArc(defect: TruthDefect, facing: Run['facing']): Partial<TruthDefect> {
  const { clockFrom, clockTo } = defect;
  if (clockFrom === undefined) return {};
  const arc = normaliseArc({ from: clockFrom, to: clockTo ?? clockFrom }, facing);
  return { clockFrom: arc.from, ...(clockTo === undefined ? {} : { clockTo: arc.to }) };
}
