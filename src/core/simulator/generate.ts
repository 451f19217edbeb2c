import { roundTo } from '../base/numbers';
import { type Random, seededRandom } from '../base/random';
import type { DefectKind } from '../catalogue/defects/index';
import type { Material } from '../catalogue/materials/index';
import {
  LATERAL_FORMAT,
  type LateralTruth,
  type TruthDefect,
  type TruthFeature,
  type TruthLine,
  type TruthPipe,
} from './truth';
import { AGES, FAULTS, JOINT_FT } from './usual-lines';

/** A draw within bounds, rounded to what an inspector would say. */
const drawn = (random: Random, low: number, high: number, digits = 2) =>
  roundTo(random.between(low, high), digits);

/**
 * Makes a lateral that has never been seen: one line from a house to its main, of pipes that go together,
 * with what goes wrong in them, a belly or none, and one or two ways in.
 *
 * @param seed the same seed makes the same lateral.
 */
export function generateLateral(seed: number): LateralTruth {
  const random = seededRandom(seed);
  const age = random.oneOf(AGES);
  const yearBuilt = Math.round(random.between(age.from, age.to));
  const lengthFt = roundTo(random.between(45, 115), 0);
  const pipes = drawPipes(random, age.pipes, lengthFt);
  const houseFt = roundTo(random.between(6, 16), 1);
  const lineFt = roundTo(lengthFt - random.between(14, 24), 1);
  const line: TruthLine = {
    id: 'house',
    label: 'house to main',
    lengthFt,
    outlet: { kind: 'main', diameterIn: 8, levelIn: 0 },
    head: 'other',
    headingDeg: 0,
    invert: drawInvert(random, lengthFt),
    ground: [
      [0, 40],
      [lengthFt, 40 - drawn(random, 0, 14, 1)],
    ],
    pipes,
    zones: [
      { toFt: houseFt, zone: 'under-house' },
      { toFt: roundTo(lineFt - 8, 1), zone: 'yard' },
      { toFt: lineFt, zone: 'strip' },
      { toFt: lengthFt, zone: 'street' },
    ],
    features: drawFeatures(random, houseFt, lineFt, lengthFt),
    defects: drawDefects(random, pipes, lengthFt),
    murky: [],
    surface:
      random.next() < 0.5 ? [{ atFt: roundTo(lineFt - 4, 1), what: 'tree', offsetFt: 3 }] : [],
    blocked: [{ fromFt: 0, toFt: houseFt, by: 'under the slab' }],
  };
  const second = random.next() < 0.5;
  return {
    format: LATERAL_FORMAT,
    version: 1,
    id: `made-${seed}`,
    title: `Made lateral ${seed}`,
    about: 'Made by chance: nobody has seen it before.',
    property: { yearBuilt, households: 1, bathrooms: 2, occupancy: 'occupied', foundation: 'slab' },
    cleanedBefore: 'none',
    lines: [line],
    accesses: [
      accessAt('A', 'two-way-cleanout', pipes[0]!, roundTo(houseFt + 2, 1), 'by the front wall', 2),
      ...(second
        ? [accessAt('B', 'yard-riser', pipes.at(-1)!, roundTo(lineFt - 3, 1), 'lid in the lawn', 3)]
        : []),
    ],
    fixtures: [
      { name: 'tub', lineId: 'house', atFt: 1, flowGpm: 5 },
      { name: 'kitchen sink', lineId: 'house', atFt: 2, flowGpm: 2 },
    ],
    landmarks: [
      { name: 'corner of the house', xFt: houseFt, yFt: -12 },
      { name: 'gate post', xFt: lineFt, yFt: 9 },
    ],
  };
}

function accessAt(
  id: string,
  kind: 'two-way-cleanout' | 'yard-riser',
  pipe: TruthPipe,
  atFt: number,
  place: string,
  dropFt: number,
): LateralTruth['accesses'][number] {
  return {
    id,
    kind,
    diameterIn: pipe.diameterIn,
    material: pipe.material,
    place,
    zone: 'yard',
    usable: true,
    obstacle: null,
    lineId: 'house',
    atFt,
    ways: ['downstream', 'upstream'],
    dropFt,
    bendsDeg: [45, 45],
    bendRadiusIn: 6,
  };
}

function drawPipes(
  random: Random,
  kinds: readonly (readonly [Material, number])[],
  lengthFt: number,
): TruthPipe[] {
  let fromFt = 0;
  return kinds.map(([material, diameterIn], index) => {
    const isLast = index === kinds.length - 1;
    const toFt = isLast
      ? lengthFt
      : roundTo(fromFt + random.between(0.2, 0.45) * (lengthFt - fromFt), 1);
    fromFt = toFt;
    const jointEveryFt = JOINT_FT[material];
    return {
      toFt,
      material,
      diameterIn,
      ...(jointEveryFt === undefined ? {} : { jointEveryFt }),
      ...(index > 0 ? { joint: 'coupling' as const } : {}),
    };
  });
}

/** A fall of an eighth to three eighths of an inch a foot, and up to two bellies in it. */
function drawInvert(random: Random, lengthFt: number): [number, number][] {
  const fallIn = random.between(0.125, 0.375);
  const plain = (atFt: number) => -fallIn * atFt;
  const points: [number, number][] = [[0, 0]];
  let freeFt = 20;
  for (let bellies = Math.floor(random.between(0, 3)); bellies > 0; bellies -= 1) {
    const fromFt = random.between(freeFt, freeFt + 12);
    const overFt = random.between(6, 16);
    freeFt = fromFt + overFt + 4;
    if (freeFt > lengthFt - 4) break;
    const sagIn = random.between(1, 3) + fallIn * overFt;
    const endIn = plain(fromFt + overFt);
    points.push(
      [roundTo(fromFt, 1), roundTo(plain(fromFt), 2)],
      [roundTo(fromFt + overFt * 0.45, 1), roundTo(plain(fromFt) - sagIn, 2)],
      [roundTo(fromFt + overFt, 1), roundTo(endIn, 2)],
    );
  }
  return [...points, [lengthFt, roundTo(plain(lengthFt), 2)]];
}

function drawFeatures(
  random: Random,
  houseFt: number,
  lineFt: number,
  lengthFt: number,
): TruthFeature[] {
  return [
    {
      atFt: drawn(random, 2, 4, 1),
      feature: 'tee',
      clock: random.oneOf([3, 9]),
      serves: 'kitchen',
    },
    { atFt: houseFt, feature: 'wall' },
    {
      atFt: drawn(random, houseFt + 6, lineFt - 6, 1),
      feature: 'bend',
      angleDeg: random.oneOf([22.5, 45]),
      turns: random.oneOf(['left', 'right']),
    },
    { atFt: lineFt, feature: 'property-line' },
    { atFt: lengthFt, feature: 'main-tap' },
  ];
}

/** Two to nine faults, six feet apart or more, each of a kind that its material gets. */
function drawDefects(random: Random, pipes: readonly TruthPipe[], lengthFt: number): TruthDefect[] {
  const defects: TruthDefect[] = [];
  const wanted = Math.floor(random.between(2, 10));
  for (let tries = 0; defects.length < wanted && tries < 60; tries += 1) {
    const atFt = drawn(random, 18, lengthFt - 4, 1);
    const pipe = pipes.find(({ toFt }) => atFt < toFt)!;
    const isNear = (one: TruthDefect) => atFt > one.atFt - 6 && atFt < (one.toFt ?? one.atFt) + 6;
    if (defects.some(isNear) || pipe.toFt - atFt < 4) continue;
    const defect = random.oneOf<DefectKind>(FAULTS[pipe.material] ?? ['debris']);
    defects.push({ atFt, defect, ...drawSize(random, defect, atFt, pipe) });
  }
  return defects.sort((a, b) => a.atFt - b.atFt);
}

function drawSize(
  random: Random,
  defect: DefectKind,
  atFt: number,
  pipe: TruthPipe,
): Partial<TruthDefect> {
  const half = () => roundTo(2 * random.between(1, 11.4), 0) / 2;
  switch (defect) {
    case 'roots':
      return { extentRatio: drawn(random, 0.03, 0.6), locus: random.oneOf(['joint', 'barrel']) };
    case 'scale':
    case 'grease':
      return {
        extentRatio: drawn(random, 0.05, 0.35),
        toFt: roundTo(Math.min(pipe.toFt, atFt + random.between(1, 3)), 1),
      };
    case 'debris':
    case 'mineral':
      return { extentRatio: drawn(random, 0.05, 0.2) };
    case 'offset':
      return {
        offsetIn: drawn(random, 0.2, 1.4),
        locus: 'joint',
        clockFrom: random.oneOf([3, 6, 9]),
      };
    case 'gap':
      return { gapIn: drawn(random, 0.3, 1.5), locus: 'joint' };
    case 'crack':
      return {
        form: random.oneOf(['hairline', 'open', 'several']),
        direction: random.oneOf(['along', 'round']),
        clockFrom: half(),
      };
    case 'break':
      return { form: random.oneOf(['displaced', 'wall missing']), clockFrom: half() };
    case 'hole':
      return { form: 'wall missing', clockFrom: half() };
    case 'deformation':
      return { extentRatio: drawn(random, 0.03, 0.25) };
    case 'wall-loss':
      return { form: random.oneOf(['rough', 'pitted']), clockFrom: 5, clockTo: 7 };
    case 'spalling':
      return { form: random.oneOf(['grains', 'stone exposed']) };
    case 'infiltration':
      return { form: random.oneOf(['seep', 'drip', 'run']), clockFrom: half() };
    case 'lip':
      return { lipIn: drawn(random, 0.2, 0.8), locus: 'transition' };
    default:
      return {};
  }
}
