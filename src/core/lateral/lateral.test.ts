import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { assess } from '../assess';
import { totalFt } from '../base/interval';
import { assessmentOf, CLAY, inspectionOf, MAIN_AT_60, runOf, type Said } from '../testing/build';
import { type Mark, partition } from './partition';

const material = (
  readingFt: number,
  side: string,
  name: string,
  diameterIn = 6,
  more = {},
): Said => ({
  kind: 'material',
  readingFt,
  side,
  material: name,
  diameterIn,
  ...more,
});
/** The pipe under one kind of ground: a yard called all along. */
const YARD: Said = { kind: 'zone', zone: 'yard', side: 'far', readingFt: 0 };
const segmentsOf = (said: Said[], setup = {}) =>
  assess(inspectionOf([runOf([YARD, ...said, MAIN_AT_60], setup)])).lateral.segments.map(
    ({ fromFt, toFt, material: name, diameterIn }) => [fromFt, toFt, name, diameterIn],
  );

describe('segments', () => {
  it('runs each assertion up to the neighbouring boundary', () => {
    expect(
      segmentsOf([
        material(0, 'far', 'abs', 4),
        material(27, 'far', 'vitrified-clay'),
        material(50, 'far', 'pvc'),
      ]),
    ).toEqual([
      [0, 27, 'abs', 4],
      [27, 50, 'vitrified-clay', 6],
      [50, 60, 'pvc', 6],
    ]);
  });

  it('reads the near side toward the access, and leaves unknown what nobody said', () => {
    expect(segmentsOf([material(27, 'near', 'abs', 4)])).toEqual([
      [0, 27, 'abs', 4],
      [27, 60, 'unknown', null],
    ]);
  });

  it('lets the later of two assertions stand, between those two boundaries only', () => {
    const assessment = assess(
      inspectionOf([
        runOf([
          YARD,
          material(0, 'far', 'abs', 4),
          material(27, 'near', 'pvc', 4),
          material(27, 'far', 'concrete'),
          MAIN_AT_60,
        ]),
      ]),
    );
    expect(assessment.lateral.segments.map((s) => s.material)).toEqual(['pvc', 'concrete']);
    expect(assessment.checks.map(({ code }) => code)).toContain('material-conflict');
  });

  it('starts at the pipe what was said in the riser', () => {
    const zero = { at: 'rim', readingFt: 0, dropFt: 4 };
    expect(
      segmentsOf([material(0, 'far', 'abs', 4), material(3, 'far', 'vitrified-clay')], { zero }),
    ).toEqual([[0, 56, 'vitrified-clay', 6]]);
  });

  it('joins out and back sightings of one boundary at the back reading', () => {
    expect(
      segmentsOf([
        material(0, 'far', 'abs', 4),
        material(27, 'far', 'pvc', 4),
        { ...material(26, 'near', 'abs', 4), pass: 'back' },
      ]),
    ).toEqual([
      [0, 26, 'abs', 4],
      [26, 60, 'pvc', 4],
    ]);
  });

  it('cuts at zones and at the property line, and tells the sides apart', () => {
    const { lateral } = assessmentOf(
      [
        YARD,
        { kind: 'zone', zone: 'driveway', side: 'far', readingFt: 20 },
        { kind: 'feature', feature: 'property-line', readingFt: 40 },
      ],
      { job: { responsibility: 'to-property-line' } },
    );
    expect(lateral.segments.map((s) => [s.fromFt, s.toFt, s.zone, s.responsibleSide])).toEqual([
      [0, 20, 'yard', 'owner'],
      [20, 40, 'driveway', 'owner'],
      // What was called before the property line is not carried over it.
      [40, 60, null, 'public'],
    ]);
  });

  it('does not carry an indoor zone past what says where the building ends', () => {
    const accessPoints = [
      {
        id: 'A',
        kind: 'stack-cleanout',
        diameterIn: 4,
        material: 'abs',
        place: '',
        zone: 'basement',
        usable: true,
        obstacle: null,
      },
    ] as const;
    expect(assessmentOf([], { accessPoints }).lateral.segments.map(({ zone }) => zone)).toEqual([
      null,
    ]);
    const walled = assessmentOf([{ kind: 'feature', feature: 'wall', readingFt: 8 }], {
      accessPoints,
    });
    expect(walled.lateral.segments.map(({ toFt, zone }) => [toFt, zone])).toEqual([
      [8, 'basement'],
      [60, null],
    ]);
  });

  it('partitions any reach exactly, whatever the marks', () => {
    const mark: fc.Arbitrary<Mark<number>> = fc.record({
      stationFt: fc.double({ min: -20, max: 120, noNaN: true }),
      side: fc.constantFrom('up', 'down'),
      value: fc.integer({ min: 0, max: 2 }),
      entryId: fc.string(),
      order: fc.nat(),
    });
    fc.assert(
      fc.property(
        fc.array(mark, { maxLength: 15 }),
        fc.double({ min: 1, max: 100, noNaN: true }),
        (marks, toFt) => {
          const { pieces } = partition(marks, { fromFt: 0, toFt }, (a, b) => a === b);
          expect(pieces[0]!.fromFt).toBe(0);
          expect(pieces.at(-1)!.toFt).toBe(toFt);
          pieces.slice(1).forEach((piece, index) => expect(piece.fromFt).toBe(pieces[index]!.toFt));
          expect(pieces.every((piece) => piece.toFt > piece.fromFt)).toBe(true);
        },
      ),
    );
  });
});

describe('terminus and coverage', () => {
  const end = (reason: string, confirmedBy: string, more = {}): Said => ({
    kind: 'end',
    reason,
    confirmedBy,
    readingFt: 60,
    ...more,
  });
  const of = (...said: Said[]) => assess(inspectionOf([runOf([CLAY, ...said])])).lateral;

  it.each<[string, Said, boolean, number | null]>([
    ['the main seen', end('main', 'sight'), true, 0],
    ['the tank located', end('tank', 'locate'), true, 0],
    ['a main that nobody confirmed', end('main', 'none'), false, null],
    [
      'an obstruction with so much left',
      end('obstruction', 'none', { remainderFt: 12 }),
      false,
      12,
    ],
    ['lost push, nobody knows how much is left', end('lost-push', 'none'), false, null],
  ])('ends at %s', (_, said, reachedMain, unreachedFt) => {
    const lateral = of(said);
    expect(lateral.reachedMain).toBe(reachedMain);
    expect(lateral.coverage.unreachedFt).toBe(unreachedFt);
    expect(lateral.coverage.clearFt).toBe(60);
  });

  it('ends the lateral at the tap; pipe beyond it is not counted', () => {
    const lateral = of(
      { kind: 'feature', feature: 'main-tap', readingFt: 57 },
      end('main', 'sight'),
    );
    expect(lateral.terminus?.stationFt).toBe(57);
    expect(lateral.coverage.clearFt).toBe(57);
    expect(lateral.segments.at(-1)?.toFt).toBe(57);
  });

  it.each<[string, Said[], number]>([
    [
      'a stretch with two ends',
      [{ kind: 'unseen', cause: 'murky', readingFt: 20, toReadingFt: 26 }],
      6,
    ],
    [
      'overlapping ones once',
      [
        { kind: 'unseen', cause: 'murky', readingFt: 20, toReadingFt: 26 },
        { kind: 'unseen', cause: 'other', readingFt: 24, toReadingFt: 30 },
      ],
      10,
    ],
    [
      'one closed by a later entry',
      [
        { kind: 'unseen', cause: 'murky', readingFt: 20, open: true },
        { kind: 'close', closes: 'e2', readingFt: 31 },
      ],
      11,
    ],
    [
      'one never closed, as far as the pass went',
      [{ kind: 'unseen', cause: 'murky', readingFt: 20, open: true }],
      40,
    ],
    [
      'none once it was retracted',
      [
        { kind: 'unseen', cause: 'murky', readingFt: 20, toReadingFt: 26 },
        { kind: 'retract', retracts: 'e2' },
      ],
      0,
    ],
    [
      'water up to the crown',
      [{ kind: 'defect', defect: 'standing-water', readingFt: 20, toReadingFt: 25, depthIn: 6 }],
      5,
    ],
    [
      'no shallow water',
      [{ kind: 'defect', defect: 'standing-water', readingFt: 20, toReadingFt: 25, depthIn: 3 }],
      0,
    ],
  ])('hides %s', (_, said, obscuredFt) => {
    expect(of(...said, end('main', 'sight')).coverage.obscuredFt).toBeCloseTo(obscuredFt, 9);
  });

  it('adds up to the length reached, whatever was hidden', () => {
    const feet = fc.integer({ min: 0, max: 60 });
    fc.assert(
      fc.property(fc.array(fc.tuple(feet, feet), { maxLength: 8 }), (stretches) => {
        const unseen = stretches.map(([readingFt, toReadingFt]): Said => ({
          kind: 'unseen',
          cause: 'other',
          readingFt,
          toReadingFt,
        }));
        const { coverage, reached } = of(...unseen, end('main', 'sight'));
        expect(coverage.clearFt + coverage.obscuredFt).toBeCloseTo(totalFt(reached), 9);
      }),
    );
  });

  it('counts a stretch that another run from the same access saw clearly', () => {
    const murky: Said = { kind: 'unseen', cause: 'murky', readingFt: 20, toReadingFt: 26 };
    const first = runOf([CLAY, murky, end('main', 'sight')]);
    const second = runOf([CLAY, end('lost-push', 'none', { readingFt: 40 })], { id: 'R2' });
    expect(assess(inspectionOf([first, second])).lateral.coverage.obscuredFt).toBe(0);
  });

  it('keeps runs of another access apart until something joins them', () => {
    const assessment = assess(
      inspectionOf([
        runOf([CLAY, end('main', 'sight')]),
        runOf([CLAY], { id: 'R2', accessPointId: 'B' }),
      ]),
    );
    expect(assessment.lateral.unplaced.map(({ run }) => run.id)).toEqual(['R2']);
    expect(assessment.checks.map(({ code }) => code)).toContain('run-unplaced');
  });

  it('keeps lines apart', () => {
    const assessment = assess(
      inspectionOf([
        runOf([CLAY, end('main', 'sight')]),
        runOf([CLAY, end('join', 'sight', { readingFt: 20 })], {
          id: 'R2',
          lineId: 'L2',
          accessPointId: 'B',
        }),
      ]),
    );
    expect(assessment.lateral.coverage.clearFt).toBe(60);
    expect(assessment.branches.map(({ lineId, coverage }) => [lineId, coverage.clearFt])).toEqual([
      ['L2', 20],
    ]);
  });
});
