import fc from 'fast-check';
import type { Inspection } from '../model/job/inspection';
import { inspectionOf, MAIN_AT_60, runOf, type Said } from './build';

const of = <T>(...words: readonly T[]) => fc.constantFrom(...words);
const foot = (from: number, to: number) => fc.integer({ min: from, max: to });

const size = fc.oneof(
  fc.record({
    defect: fc.constant('roots'),
    extentRatio: of(0.05, 0.2, 0.4, 0.7),
    locus: of('joint', 'barrel'),
  }),
  fc.record({ defect: fc.constant('offset'), offsetIn: of(0.3, 1, 2, 4) }),
  fc.record({
    defect: fc.constant('crack'),
    form: of('hairline', 'open', 'multiple', 'displaced'),
  }),
  fc.record({
    defect: fc.constant('break'),
    form: of('displaced', 'invert missing'),
    soilVisible: fc.boolean(),
  }),
  fc.record({ defect: of('hole', 'collapse') }),
  fc.record({
    defect: of('scale', 'grease', 'debris', 'mineral'),
    extentRatio: of(0.05, 0.2, 0.4, 0.7),
  }),
  fc.record({ defect: of('deformation', 'intruding-tap'), extentRatio: of(0.03, 0.1, 0.2, 0.4) }),
  fc.record({ defect: fc.constant('wall-loss'), form: of('rough', 'pitted', 'invert gone') }),
  fc.record({ defect: fc.constant('lip'), lipIn: of(0.2, 0.5, 1) }),
  fc.record({ defect: fc.constant('gap'), gapIn: of(0.3, 0.7, 1.5) }),
);

const pool = fc
  .record({ readingFt: foot(2, 50), longFt: foot(2, 12), depthIn: of(0.4, 1, 2.5, 3.9) })
  .map(({ longFt, ...said }): Said => ({
    kind: 'defect',
    defect: 'standing-water',
    toReadingFt: Math.min(59, said.readingFt + longFt),
    pass: 'back',
    ...said,
  }));

const fault = fc
  .tuple(size, foot(2, 57))
  .map(([said, readingFt]): Said => ({ kind: 'defect', readingFt, pass: 'back', ...said }));

const MATERIALS = [
  'vitrified-clay',
  'cast-iron',
  'asbestos-cement',
  'bituminous-fiber',
  'abs',
  'pvc',
  'concrete',
] as const;
const pipe = (material: string, diameterIn: number, readingFt: number): Said => ({
  kind: 'material',
  side: 'far',
  material,
  diameterIn,
  readingFt,
});
const zone = (name: string, readingFt: number): Said => ({
  kind: 'zone',
  side: 'far',
  zone: name,
  readingFt,
});

/** One run of 60 ft to the main with up to eight faults: pipes, zones, depths and sides as they come. */
export const anyScopedLine: fc.Arbitrary<Inspection> = fc
  .record({
    faults: fc.array(fc.oneof({ weight: 4, arbitrary: fault }, { weight: 1, arbitrary: pool }), {
      minLength: 1,
      maxLength: 8,
    }),
    pipes: fc.tuple(of(...MATERIALS), of(...MATERIALS), of(4, 6)),
    zones: fc.tuple(
      of('yard', 'under-house', 'crawlspace', 'driveway'),
      of('yard', 'strip', 'street'),
    ),
    tees: fc.array(foot(2, 55), { maxLength: 3 }),
    depths: fc.array(fc.tuple(foot(3, 57), foot(20, 110)), { maxLength: 2 }),
    propertyLineFt: fc.option(foot(30, 55)),
    utilityFt: fc.option(foot(5, 55), { freq: 8 }),
    yearBuilt: of(1925, 1965, 2005),
    profile: of('maintain-first' as const, 'renew-first' as const),
    scope: of('lateral' as const, 'lateral-and-building-drain' as const),
    usable: fc.boolean(),
  })
  .map((said) => {
    const [first, second, diameterIn] = said.pipes;
    const run = runOf([
      pipe(first, diameterIn, 0),
      pipe(second, diameterIn, 30),
      zone(said.zones[0], 0),
      zone(said.zones[1], 34),
      ...said.tees.map((readingFt): Said => ({ kind: 'feature', feature: 'tee', readingFt })),
      ...(said.propertyLineFt === null
        ? []
        : [{ kind: 'feature', feature: 'property-line', readingFt: said.propertyLineFt } as Said]),
      ...(said.utilityFt === null
        ? []
        : [{ kind: 'defect', defect: 'utility-crossing', readingFt: said.utilityFt } as Said]),
      MAIN_AT_60,
      { kind: 'water', state: 'drained', pass: 'back', readingFt: 60 },
      ...said.depths.map(([readingFt, depthIn]): Said => ({
        kind: 'locate',
        readingFt,
        depthIn,
        pass: 'back',
      })),
      ...said.faults,
    ]);
    return inspectionOf([run], {
      job: { profile: said.profile, scope: said.scope, responsibility: 'to-property-line' },
      property: { yearBuilt: said.yearBuilt },
      accessPoints: [
        {
          id: 'A',
          kind: 'cleanout',
          diameterIn: 4,
          material: 'abs',
          place: 'yard',
          zone: 'yard',
          usable: said.usable,
          obstacle: said.usable ? null : 'stuck',
        },
      ],
    });
  });
