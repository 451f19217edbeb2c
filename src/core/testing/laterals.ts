import type { LateralTruth, TruthLine } from '../simulator/truth';

/** A straight 60 ft line of 4 in PVC to a main, with one two-way cleanout at its head. */
export function plainLateral(
  line: Partial<TruthLine> = {},
  rest: Partial<LateralTruth> = {},
): LateralTruth {
  const lengthFt = line.lengthFt ?? 60;
  return {
    format: 'chert-lateral',
    version: 1,
    id: 'plain',
    title: 'Plain',
    about: '',
    property: { households: 1, occupancy: 'occupied', foundation: 'slab' },
    cleanedBefore: 'none',
    lines: [
      {
        id: 'house',
        label: 'house to main',
        lengthFt,
        outlet: { kind: 'main', diameterIn: 8, levelIn: 0 },
        head: 'other',
        headingDeg: 0,
        invert: [
          [0, 0],
          [lengthFt, -0.25 * lengthFt],
        ],
        ground: [
          [0, 30],
          [lengthFt, 30],
        ],
        pipes: [{ toFt: lengthFt, material: 'pvc', diameterIn: 4, jointEveryFt: 10 }],
        zones: [{ toFt: lengthFt, zone: 'yard' }],
        features: [],
        defects: [],
        murky: [],
        surface: [],
        blocked: [],
        ...line,
      },
    ],
    accesses: [
      {
        id: 'A',
        kind: 'two-way-cleanout',
        diameterIn: 4,
        material: 'pvc',
        place: 'yard',
        zone: 'yard',
        usable: true,
        obstacle: null,
        lineId: 'house',
        atFt: 0,
        ways: ['downstream', 'upstream'],
        dropFt: 2,
        bendsDeg: [45, 45],
        bendRadiusIn: 6,
      },
    ],
    fixtures: [{ name: 'tub', lineId: 'house', atFt: 1, flowGpm: 5 }],
    landmarks: [
      { name: 'corner', xFt: 0, yFt: -10 },
      { name: 'post', xFt: 40, yFt: 8 },
    ],
    ...rest,
  };
}
