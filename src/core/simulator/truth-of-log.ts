import type { Assessment } from '../judge/assessment';
import { isLogged } from '../judge/finding';
import {
  LATERAL_FORMAT,
  type LateralTruth,
  type TruthDefect,
  type TruthLine,
  type TruthPipe,
  type TruthZone,
} from './truth';
import { JOINT_FT } from './usual-lines';

/** The usual fall of a drain, inches a foot. */
const FALL_IN_PER_FT = 0.25;
const USUAL_BORE_IN = 4;
/** What is left of the line beyond the last thing that was logged, so that the lens does not look into nothing, feet. */
const BEYOND_FT = 6;
const LINE_ID = 'house';

/** The house line of a log, moved so that it begins at station 0. */
function lineOf({ lateral, findings }: Assessment): TruthLine & { readonly shiftFt: number } {
  const { segments, features } = lateral;
  const startFt = Math.min(0, ...segments.map(({ fromFt }) => fromFt));
  const endFt = Math.max(...segments.map(({ toFt }) => toFt));
  const at = (stationFt: number) => stationFt - startFt;
  const lengthFt = at(endFt) + BEYOND_FT;
  const known = segments.map(({ material, diameterIn, toFt }): TruthPipe => {
    const usual = material === 'unknown' ? 'vitrified-clay' : material;
    const jointEveryFt = JOINT_FT[usual];
    return {
      toFt: at(toFt),
      material: usual,
      diameterIn: diameterIn ?? USUAL_BORE_IN,
      ...(jointEveryFt === undefined ? {} : { jointEveryFt }),
    };
  });
  const mine = findings.filter(
    (finding) => isLogged(finding) && finding.placed && finding.lineId === lateral.lineId,
  );
  const pools = mine
    .filter(({ kind }) => kind === 'standing-water')
    .map(({ span, facts }) => ({
      fromFt: at(span.fromFt),
      toFt: at(span.toFt),
      depthIn: facts.depthIn ?? (facts.fillRatio ?? 0.3) * (facts.boreIn ?? USUAL_BORE_IN),
    }))
    .toSorted((a, b) => a.fromFt - b.fromFt);
  // Each pool is a dip: its water stands level from one end of it to the other.
  const dips = pools.flatMap(({ fromFt, toFt, depthIn }) => {
    const level = -FALL_IN_PER_FT * toFt;
    const middle = (fromFt + toFt) / 2;
    return [
      [fromFt, level],
      [middle, level - depthIn],
      [toFt, level],
    ] as const;
  });
  const zones = segments.map(({ toFt, zone }): TruthZone => ({
    toFt: at(toFt),
    zone: zone ?? 'yard',
  }));
  const defects = mine
    .filter(({ kind }) => kind !== 'standing-water')
    .map(({ kind, span, facts, clock, locus }): TruthDefect => {
      const sizes = Object.fromEntries(
        (['extentRatio', 'offsetIn', 'gapIn', 'lipIn', 'form'] as const).flatMap((field) =>
          facts[field] === null ? [] : [[field, facts[field]]],
        ),
      );
      return {
        atFt: at(span.fromFt),
        ...(span.toFt - span.fromFt > 0.1 ? { toFt: at(span.toFt) } : {}),
        defect: kind as TruthDefect['defect'],
        ...(locus ? { locus } : {}),
        ...(clock ? { clockFrom: clock.from, clockTo: clock.to } : {}),
        ...(facts.holdsDebris ? { holdsDebris: true } : {}),
        ...sizes,
      };
    });
  const boreIn = known.at(-1)?.diameterIn ?? USUAL_BORE_IN;
  return {
    shiftFt: -startFt,
    id: LINE_ID,
    label: 'house to main',
    lengthFt,
    outlet: { kind: 'main', diameterIn: 8, levelIn: 0 },
    head: 'other',
    headingDeg: 0,
    invert: [[0, 0], ...dips, [lengthFt, -FALL_IN_PER_FT * lengthFt]].filter(
      ([atFt], index, all) => index === 0 || atFt > all[index - 1]![0],
    ) as TruthLine['invert'],
    ground: [
      [0, 40],
      [lengthFt, 30],
    ],
    pipes: [...known, { ...known.at(-1), toFt: lengthFt, diameterIn: boreIn } as TruthPipe],
    zones: [...zones, { toFt: lengthFt, zone: zones.at(-1)?.zone ?? 'yard' }],
    features: features.flatMap(({ feature, stationFt }) =>
      ['tee', 'wye', 'coupling'].includes(feature)
        ? [{ atFt: at(stationFt), feature: feature as 'tee', clock: 3 }]
        : [],
    ),
    defects,
    murky: [],
    surface: [],
    blocked: [],
  };
}

/**
 * A simulated lateral that shows what a log tells, so that a picture can be drawn of it. Chert's demo stills
 * are made by it: it is no evidence of anything.
 *
 * @returns the lateral, and how far its stations are ahead of the log's, feet.
 */
export function truthOfLog(assessment: Assessment): {
  readonly truth: LateralTruth;
  readonly shiftFt: number;
} {
  const { shiftFt, ...line } = lineOf(assessment);
  const { job, property } = assessment.inspection;
  const truth: LateralTruth = {
    format: LATERAL_FORMAT,
    version: 1,
    id: job.id,
    title: job.title,
    about: '',
    property: {
      households: property.households,
      occupancy: property.occupancy,
      foundation: property.foundation,
    },
    cleanedBefore: 'none',
    lines: [line],
    accesses: [
      {
        id: 'A',
        kind: 'cleanout',
        diameterIn: 4,
        material: 'pvc',
        place: '',
        usable: true,
        obstacle: null,
        lineId: LINE_ID,
        atFt: 0,
        ways: ['downstream'],
        dropFt: 2,
        bendsDeg: [],
        bendRadiusIn: 12,
      },
    ],
    fixtures: [{ name: 'bathtub', lineId: LINE_ID, atFt: 0, flowGpm: 4 }],
    landmarks: [],
  };
  return { truth, shiftFt };
}
