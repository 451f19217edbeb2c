import { describe, expect, it } from 'vitest';
import type { MethodId } from '../catalogue/method-ids';
import type { Inspection } from '../model/job/inspection';
import { assessmentOf, type Said } from '../testing/build';
import { defect } from '../testing/rules';
import type { PlanId } from './plans/plan';
import { planToTell, repairOf } from './repair';

const pipe = (material: string, readingFt = 0, diameterIn = 4): Said => ({
  kind: 'material',
  side: 'far',
  material,
  diameterIn,
  readingFt,
});
const zone = (name: string, readingFt = 0): Said => ({
  kind: 'zone',
  side: 'far',
  zone: name,
  readingFt,
});
const wall = (readingFt: number): Said => ({ kind: 'feature', feature: 'wall', readingFt });
const depth = (ft: number): Said[] =>
  [0, 60].map((readingFt) => ({ kind: 'locate', readingFt, depthIn: ft * 12 }));
const END: Said = { kind: 'end', reason: 'main', confirmedBy: 'sight', readingFt: 60 };
const pool = (fromFt: number, toFt: number, depthIn: number): Said => ({
  ...defect('standing-water', { readingFt: fromFt, toReadingFt: toFt, depthIn }),
  pass: 'back',
});
const DRAINED: Said = { kind: 'water', state: 'drained', readingFt: 60, pass: 'back' };
const roots = (readingFt: number, extentRatio: number): Said =>
  defect('roots', { readingFt, extentRatio, locus: 'joint' });
const YARD = [zone('yard'), ...depth(4), END];
const ROOF = [
  {
    id: 'A',
    kind: 'roof-vent',
    diameterIn: 3,
    material: 'abs',
    place: 'roof',
    usable: true,
    obstacle: null,
  },
] as unknown as Inspection['accessPoints'];

/** A line, what a careful contractor would do and roughly charge, and why. */
type Job = {
  readonly name: string;
  readonly why: string;
  readonly said: readonly Said[];
  readonly changes?: Parameters<typeof assessmentOf>[1];
  /** Works of the plan told that are no telling and no look; in their order. */
  readonly does: readonly MethodId[];
  readonly never?: readonly MethodId[];
  readonly plan?: PlanId;
  /** What all of it costs, dollars, likely. */
  readonly costs: readonly [least: number, most: number];
};

const DRAIN = { job: { scope: 'lateral-and-building-drain' as const } };

const JOBS: readonly Job[] = [
  {
    name: 'a clean plastic line',
    why: 'nothing is wrong with it',
    said: [pipe('pvc'), ...YARD],
    does: [],
    costs: [0, 0],
  },
  {
    name: 'light roots at three clay joints',
    why: 'one visit with a cutter serves all three; nobody digs for these',
    said: [pipe('vitrified-clay', 0, 6), roots(20, 0.1), roots(30, 0.15), roots(40, 0.1), ...YARD],
    does: ['cut'],
    costs: [300, 500],
  },
  {
    name: 'grease in plastic',
    why: 'a jet washes it out',
    said: [
      pipe('abs'),
      defect('grease', { readingFt: 20, toReadingFt: 30, extentRatio: 0.2 }),
      ...YARD,
    ],
    does: ['jet'],
    costs: [450, 800],
  },
  {
    name: 'scale in a short iron drain',
    why: 'descaled once in some years',
    said: [
      pipe('cast-iron'),
      defect('scale', { readingFt: 2, toReadingFt: 20, extentRatio: 0.3 }),
      ...YARD,
    ],
    does: ['descale'],
    costs: [1000, 2500],
  },
  {
    name: 'one broken joint in a lawn, 4 ft deep',
    why: 'a small dig between sound joints',
    said: [
      pipe('vitrified-clay', 0, 6),
      defect('break', { form: 'displaced', readingFt: 30 }),
      ...YARD,
    ],
    does: ['dig'],
    costs: [2500, 5500],
  },
  {
    name: 'a collapse, 14 ft deep in a lawn',
    why: 'a shored pit; no tool passes it',
    said: [
      pipe('vitrified-clay', 0, 6),
      defect('collapse', { readingFt: 30 }),
      zone('yard'),
      ...depth(14),
      END,
    ],
    does: ['dig'],
    costs: [9000, 25_000],
  },
  {
    name: 'a deep sag of 16 ft under the street, 10 ft deep',
    why: 'only new pipe to grade ends it; traffic, shoring and paving cost more than the pipe',
    said: [
      pipe('vitrified-clay', 0, 6),
      zone('street'),
      ...depth(10),
      DRAINED,
      pool(22, 38, 4),
      END,
    ],
    does: ['dig'],
    never: ['liner', 'burst'],
    costs: [18_000, 45_000],
  },
  {
    name: 'a deep sag in a lawn',
    why: 'a liner would keep it',
    said: [pipe('abs'), ...YARD, DRAINED, pool(30, 36, 3)],
    does: ['dig'],
    never: ['liner', 'burst', 'patch-liner'],
    costs: [3000, 7000],
  },
  {
    name: 'a broken drain under a bathroom slab',
    why: 'the floor is opened once',
    said: [
      pipe('cast-iron'),
      zone('under-house'),
      wall(30),
      defect('break', { form: 'displaced', readingFt: 15 }),
      ...YARD.slice(1),
    ],
    changes: DRAIN,
    does: ['slab-break'],
    never: ['dig'],
    costs: [5000, 15_000],
  },
  {
    name: 'breaks all along under a slab',
    why: 'the floor is opened once for all of them: a new route of 44 ft costs more',
    said: [
      pipe('cast-iron'),
      zone('under-house'),
      wall(44),
      ...[6, 16, 26, 36].map((at) => defect('break', { form: 'displaced', readingFt: at })),
      ...YARD.slice(1),
    ],
    changes: DRAIN,
    does: ['slab-break'],
    costs: [9000, 25_000],
  },
  {
    name: 'a hole in hung pipe in a crawlspace',
    why: 'a length is cut out where anyone can reach it',
    said: [
      pipe('cast-iron'),
      zone('crawlspace'),
      wall(20),
      defect('hole', { readingFt: 10 }),
      ...YARD.slice(1),
    ],
    changes: DRAIN,
    does: ['replace-exposed'],
    costs: [900, 2500],
  },
  {
    name: 'five open joints close together in clay',
    why: 'one length, not five spots',
    said: [
      pipe('vitrified-clay', 0, 6),
      ...[30, 32, 34, 36, 38].map((at) => defect('gap', { gapIn: 2, readingFt: at })),
      ...YARD,
    ],
    does: ['dig'],
    costs: [3000, 7000],
  },
  {
    name: 'fiber that has begun to give way',
    why: 'it goes on giving way: the whole run is replaced, and no tool is put in',
    said: [
      pipe('bituminous-fiber'),
      defect('deformation', { extentRatio: 0.3, readingFt: 20 }),
      ...YARD,
    ],
    does: ['dig'],
    never: ['cut', 'jet', 'descale', 'liner'],
    costs: [8000, 16_000],
  },
  {
    name: 'iron with its wall gone in two places',
    why: 'it fails as a material: the run is replaced',
    said: [
      pipe('cast-iron'),
      pipe('pvc', 40),
      defect('wall-loss', { form: 'invert gone', readingFt: 10 }),
      defect('wall-loss', { form: 'invert gone', readingFt: 30 }),
      ...YARD,
    ],
    does: ['dig'],
    never: ['descale', 'liner'],
    costs: [6000, 12_000],
  },
  {
    name: 'roots in asbestos cement',
    why: 'cleaned with water alone',
    said: [pipe('asbestos-cement', 0, 6), roots(30, 0.15), ...YARD],
    does: ['jet'],
    never: ['cut', 'descale', 'burst'],
    costs: [450, 900],
  },
  {
    name: 'a break in asbestos cement',
    why: 'the asbestos is made safe first',
    said: [
      pipe('asbestos-cement', 0, 6),
      defect('break', { form: 'displaced', readingFt: 30 }),
      ...YARD,
    ],
    does: ['abatement', 'dig'],
    never: ['burst', 'cut'],
    costs: [5000, 9500],
  },
  {
    name: 'roots, and only a roof vent to get in by',
    why: 'a cutter needs a cleanout',
    said: [pipe('vitrified-clay', 0, 6), roots(30, 0.15), ...YARD],
    changes: { accessPoints: ROOF },
    does: ['cleanout', 'cut'],
    costs: [1500, 4500],
  },
  {
    name: 'a gas line through the sewer',
    why: 'the utility first; nothing else, and no price',
    said: [
      pipe('vitrified-clay', 0, 6),
      defect('utility-crossing', { readingFt: 30 }),
      roots(40, 0.2),
      ...YARD,
    ],
    does: [],
    never: ['cut', 'jet', 'dig', 'liner'],
    costs: [0, 0],
  },
  {
    name: 'a tap that sticks in',
    why: 'a robot trims it',
    said: [pipe('pvc'), defect('intruding-tap', { readingFt: 30, extentRatio: 0.4 }), ...YARD],
    does: ['trim-tap'],
    costs: [700, 1500],
  },
  {
    name: 'a lip that catches paper',
    why: 'ramped from inside',
    said: [pipe('abs'), defect('lip', { readingFt: 30, lipIn: 1, holdsDebris: true }), ...YARD],
    does: ['ramp-lip'],
    costs: [900, 1900],
  },
  {
    name: 'a pool behind a root mass',
    why: 'the roots are cleared and the pool looked at before anyone digs for it',
    said: [
      pipe('vitrified-clay', 0, 6),
      ...YARD,
      DRAINED,
      pool(26, 30, 1),
      { ...roots(30, 0.3), pass: 'back' },
    ],
    does: ['cut'],
    never: ['dig'],
    costs: [300, 1200],
  },
  {
    name: 'a break under a driveway',
    why: 'the paver comes for no less than an opening',
    said: [
      pipe('vitrified-clay', 0, 6),
      zone('driveway'),
      ...depth(4),
      defect('break', { form: 'displaced', readingFt: 30 }),
      END,
    ],
    does: ['dig'],
    costs: [4500, 9000],
  },
  {
    name: 'two breaks 5 ft apart',
    why: 'one pit',
    said: [
      pipe('vitrified-clay', 0, 6),
      defect('break', { form: 'displaced', readingFt: 30 }),
      defect('break', { form: 'displaced', readingFt: 35 }),
      ...YARD,
    ],
    does: ['dig'],
    costs: [3000, 7000],
  },
  {
    name: 'a break at the last joint before the main',
    why: 'the pit does not reach past the main’s tap',
    said: [
      pipe('vitrified-clay', 0, 6),
      defect('break', { form: 'displaced', readingFt: 59.5 }),
      ...YARD,
    ],
    does: ['dig'],
    costs: [2500, 6000],
  },
  {
    name: 'one hairline crack',
    why: 'watched',
    said: [
      pipe('vitrified-clay', 0, 6),
      defect('crack', { form: 'hairline', readingFt: 30 }),
      ...YARD,
    ],
    does: [],
    costs: [0, 0],
  },
  {
    name: 'a hole in plastic beside a drive',
    why: 'a short liner or a small dig, whichever is less',
    said: [pipe('pvc'), defect('hole', { readingFt: 30, soilVisible: false }), ...YARD],
    does: ['dig'],
    costs: [2500, 5500],
  },
  {
    name: 'paper that floated in on a flush',
    why: 'the line is flushed',
    said: [pipe('pvc'), defect('debris', { readingFt: 30, extentRatio: 0.3 }), ...YARD],
    does: ['jet'],
    costs: [450, 900],
  },
  {
    name: 'roots that fill two thirds of a 4 in clay line',
    why: 'the joint is repaired; what lies behind is looked at',
    said: [pipe('vitrified-clay'), roots(30, 0.66), ...YARD],
    does: ['dig'],
    costs: [2500, 6000],
  },
  {
    name: 'roots all along 50 ft of open clay joints',
    why: 'a cutter holds them; the whole run may be lined or replaced, and the buyer sees both',
    said: [
      pipe('vitrified-clay', 0, 6),
      ...[8, 14, 20, 26, 32, 38, 44, 50].map((at) => roots(at, 0.2)),
      ...YARD,
    ],
    does: ['cut'],
    never: ['dig'],
    costs: [300, 600],
  },
  {
    name: 'a break on the public side',
    why: 'the authority’s to mend',
    said: [
      pipe('vitrified-clay', 0, 6),
      { kind: 'feature', feature: 'property-line', readingFt: 40 },
      defect('break', { form: 'displaced', readingFt: 50 }),
      ...YARD,
    ],
    changes: { job: { responsibility: 'to-property-line' } },
    does: [],
    never: ['dig'],
    costs: [0, 0],
  },
];

const TALKED: readonly MethodId[] = [
  'look-again',
  'second-opinion',
  'notify-authority',
  'notify-utility-owner',
];

describe('thirty jobs, as a careful contractor would do them', () => {
  it('are thirty', () => {
    expect(JOBS).toHaveLength(30);
  });

  it.each(JOBS)('$name: $why', ({ said, changes, does, never = [], costs }) => {
    const plan = planToTell(repairOf(assessmentOf(said, changes)));
    const works = plan.works.map(({ method }) => method).filter((one) => !TALKED.includes(one));
    expect(works).toEqual(does);
    for (const method of never) expect(works).not.toContain(method);
    expect(plan.cost.likely).toBeGreaterThanOrEqual(costs[0]);
    expect(plan.cost.likely).toBeLessThanOrEqual(costs[1]);
    expect(plan.complete).toBe(true);
  });
});
