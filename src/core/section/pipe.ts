import { clip, type Interval } from '../base/interval';
import type { Material } from '../catalogue/materials/index';
import { nameMaterial } from '../catalogue/materials/kinds';
import type { Lateral } from '../lateral/lateral';
import type { Frame } from './frame';
import type { LabelWish } from './labels';
import type { Point, Primitive, Role } from './primitives';
import { stroke } from './primitives';
import type { Profile } from './profile';

/** Clay and concrete come in short lengths: joints are drawn this far apart, feet. */
const JOINTED: Partial<Record<Material, number>> = {
  'vitrified-clay': 3,
  concrete: 4,
  'asbestos-cement': 8,
  'cast-iron': 5,
};
/** How far a line of unknown length is drawn beyond the end, feet. */
const UNKNOWN_REMAINDER_FT = 8;

/** Stations at which a curve is drawn: often enough to look smooth, not oftener than a unit. */
function sample(stretch: Interval, unitsPerFt: number): number[] {
  const stepFt = Math.max(0.25, 3 / unitsPerFt);
  const count = Math.max(1, Math.ceil((stretch.toFt - stretch.fromFt) / stepFt));
  return Array.from(
    { length: count + 1 },
    (_, index) => stretch.fromFt + ((stretch.toFt - stretch.fromFt) * index) / count,
  );
}

/** The outline of the pipe over a stretch: along the crown, back along the invert. */
function outline(stretch: Interval, frame: Frame, profile: Profile): Point[] {
  // A hair inside the ends, so that a step of the pipe belongs to its own side.
  const hair = Math.min(1e-6, (stretch.toFt - stretch.fromFt) / 4);
  const stations = sample(
    { fromFt: stretch.fromFt + hair, toFt: stretch.toFt - hair },
    frame.unitsPerFt,
  );
  return [
    ...stations.map((at) => ({ x: frame.xOf(at), y: profile.crownY(at) })),
    ...stations.toReversed().map((at) => ({ x: frame.xOf(at), y: profile.invertY(at) })),
  ];
}

function drawOver(
  role: Role,
  stretches: readonly Interval[],
  frame: Frame,
  profile: Profile,
): Primitive[] {
  return stretches.flatMap((stretch): Primitive[] => {
    const part = clip(stretch, frame.view);
    if (!part || part.toFt - part.fromFt < 1e-6) return [];
    return [{ shape: 'polygon', role, points: outline(part, frame, profile) }];
  });
}

/** The pipe: materials, joints, walls, what nobody saw and where nobody has been. */
export function drawPipe(lateral: Lateral, frame: Frame, profile: Profile): Primitive[] {
  const shapes: Primitive[] = lateral.segments.flatMap((segment) =>
    drawOver(`pipe-fill-${segment.material}`, [segment], frame, profile),
  );
  for (const segment of lateral.segments) {
    const spacingFt = JOINTED[segment.material];
    if (!spacingFt || spacingFt * frame.unitsPerFt < 6) continue;
    const part = clip(segment, frame.view);
    if (!part) continue;
    const first = Math.ceil(part.fromFt / spacingFt + 0.001) * spacingFt;
    for (let at = first; at < part.toFt - 0.2; at += spacingFt) {
      const x = frame.xOf(at);
      shapes.push(
        stroke('pipe-joint', { x, y: profile.crownY(at) }, { x, y: profile.invertY(at) }),
      );
    }
  }
  shapes.push(...drawOver('unseen', lateral.coverage.obscured, frame, profile));
  shapes.push(
    ...drawOver(
      'pipe-wall',
      lateral.pipes.flatMap(({ pieces }) => pieces),
      frame,
      profile,
    ),
  );
  shapes.push(...drawOver('unreached', unreachedStretches(lateral), frame, profile));
  return shapes;
}

/** Where nobody has been: gaps between runs, and what remains beyond the end. */
export function unreachedStretches(lateral: Lateral): Interval[] {
  const last = lateral.reached.at(-1);
  if (!last || lateral.reachedMain) return [...lateral.coverage.gaps];
  const leftFt = lateral.terminus?.remainderFt ?? UNKNOWN_REMAINDER_FT;
  const isEnd = lateral.terminus?.kind === 'main' || lateral.terminus?.kind === 'tank';
  const beyond = isEnd ? [] : [{ fromFt: last.toFt, toFt: last.toFt + leftFt }];
  return [...lateral.coverage.gaps, ...beyond];
}

/** Standing water, at its true fill and length, with a level surface. */
export function drawWater(frame: Frame, profile: Profile): Primitive[] {
  return profile.pools.flatMap((pool): Primitive[] => {
    const part = clip(pool.span, frame.view);
    if (!part) return [];
    const stations = sample(part, frame.unitsPerFt);
    const surface = stations.map((at) => ({ x: frame.xOf(at), y: profile.waterY(at) }));
    const bottom = stations
      .toReversed()
      .map((at) => ({ x: frame.xOf(at), y: profile.invertY(at) }));
    return [
      {
        shape: 'polygon',
        role: 'water',
        points: [...surface, ...bottom],
        findingNumber: pool.number,
      },
      { shape: 'polyline', role: 'water-surface', points: surface },
    ];
  });
}

/** The names of the pipes, under their middles: one label for each pipe, however many zones cross it. */
export function wishPipeLabels(lateral: Lateral, frame: Frame): LabelWish[] {
  return lateral.pipes
    .flatMap(({ pieces }) => pieces)
    .flatMap((piece) => {
      const part = clip(piece, frame.view);
      if (!part || part.toFt - part.fromFt < 0.2) return [];
      const text = piece.value
        ? `${piece.value.diameterIn} in ${nameMaterial(piece.value.material)}${piece.value.lined ? ', lined' : ''}${piece.value.certainty === 'confirmed' ? '' : '?'}`
        : 'not logged';
      return [
        {
          role: 'pipe-label' as const,
          text,
          x: (frame.xOf(part.fromFt) + frame.xOf(part.toFt)) / 2,
          roomUnits: frame.xOf(part.toFt) - frame.xOf(part.fromFt),
          unitsPerChar: 6.6,
        },
      ];
    });
}
