import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { assess } from '../assess';
import { assessmentOf, CLAY, inspectionOf, MAIN_AT_60, runOf, type Said } from '../testing/build';
import { buildSection, type Section } from './build';
import { flakeRadius } from './flakes';
import { layFrame, scaleStepFt } from './frame';
import { layProfile } from './profile';
import { tabulateSection } from './table';

const SIZE = { width: 1200, height: 206 };
const water: Said = {
  kind: 'defect',
  defect: 'standing-water',
  readingFt: 43,
  toReadingFt: 51,
  fillRatio: 0.4,
};
const CHAR: Record<string, number> = { 'zone-label': 7.6, 'pipe-label': 6.6 };

/** Boxes of the labels that the layout placed, each in the row of its kind. */
function labelBoxes({ primitives }: Section) {
  return primitives.flatMap((one) => {
    if (one.shape !== 'text' || !(one.role in CHAR)) return [];
    const half = (one.text.length * CHAR[one.role]!) / 2;
    return [{ from: one.at.x - half, to: one.at.x + half, y: one.at.y }];
  });
}

const feet = fc.integer({ min: 0, max: 60 });
const anything: fc.Arbitrary<Said> = fc.oneof(
  feet.map((readingFt): Said => ({ kind: 'zone', zone: 'driveway', side: 'far', readingFt })),
  fc.tuple(feet, fc.constantFrom('pvc', 'abs', 'concrete')).map(([readingFt, material]): Said => ({
    kind: 'material',
    side: 'far',
    material,
    diameterIn: 4,
    readingFt,
  })),
  fc
    .tuple(feet, fc.constantFrom('roots', 'crack', 'gap', 'collapse'))
    .map(([readingFt, defect]): Said => ({ kind: 'defect', defect, readingFt })),
  fc
    .tuple(feet, feet, fc.double({ min: 0, max: 1, noNaN: true }))
    .map(([readingFt, toReadingFt, fillRatio]): Said => ({
      kind: 'defect',
      defect: 'standing-water',
      readingFt,
      toReadingFt,
      fillRatio,
    })),
  fc.tuple(feet, feet).map(([readingFt, toReadingFt]): Said => ({
    kind: 'unseen',
    cause: 'murky',
    readingFt,
    toReadingFt,
  })),
  fc
    .tuple(feet, fc.integer({ min: 20, max: 120 }))
    .map(([readingFt, depthIn]): Said => ({ kind: 'locate', depthIn, readingFt })),
  feet.map((readingFt): Said => ({ kind: 'surface', what: 'tree', readingFt })),
);

describe('the Section', () => {
  it('stands on finite numbers, and no two labels overlap, whatever is logged and however wide it is', () => {
    fc.assert(
      fc.property(
        fc.array(anything, { maxLength: 25 }),
        fc.integer({ min: 340, max: 1400 }),
        (said, width) => {
          const section = buildSection(assessmentOf(said), { width, height: 206 });
          for (const one of section.primitives) {
            const points =
              one.shape === 'circle' ? [one.center] : one.shape === 'text' ? [one.at] : one.points;
            const isSound = points.every(({ x, y }) => Number.isFinite(x) && Number.isFinite(y));
            if (!isSound) expect(one).toBe('on finite numbers');
          }
          const boxes = labelBoxes(section);
          boxes.forEach((a, index) => {
            expect(a.from >= 0 && a.to <= width).toBe(true);
            for (const b of boxes.slice(index + 1)) {
              expect(a.y !== b.y || a.to <= b.from || b.to <= a.from).toBe(true);
            }
          });
        },
      ),
      { numRuns: 200 },
    );
  });

  it('draws water at its true fill and length, with a level surface', () => {
    const assessment = assessmentOf([water]);
    const frame = layFrame({ fromFt: -4, toFt: 64 }, SIZE.width, SIZE.height);
    const profile = layProfile(assessment.lateral, assessment.findings, frame);
    const middle = 47;
    const depth = profile.invertY(middle) - profile.waterY(middle);
    expect(depth / profile.boreUnits(middle)).toBeCloseTo(0.4, 6);
    expect(profile.waterY(43)).toBeCloseTo(profile.waterY(51), 9);
    const pool = buildSection(assessment, SIZE).primitives.find(({ role }) => role === 'water');
    const xs = pool?.shape === 'polygon' ? pool.points.map(({ x }) => x) : [];
    const shown = buildSection(assessment, SIZE).frame;
    expect(shown.stationOf(Math.min(...xs))).toBeCloseTo(43, 6);
    expect(shown.stationOf(Math.max(...xs))).toBeCloseTo(51, 6);
  });

  it('hatches what nobody saw, dots what nobody reached, and says what the end is', () => {
    const cut = assess(
      inspectionOf([
        runOf([
          CLAY,
          { kind: 'unseen', cause: 'murky', readingFt: 10, toReadingFt: 20 },
          { kind: 'end', reason: 'lost-push', confirmedBy: 'none', remainderFt: 15, readingFt: 40 },
        ]),
      ]),
    );
    const roles = buildSection(cut, SIZE).primitives.map(({ role }) => role);
    expect(roles).toContain('unseen');
    expect(roles).toContain('unreached');
    expect(roles).not.toContain('main');
    const unsure = assess(inspectionOf([runOf([CLAY, { ...MAIN_AT_60, confirmedBy: 'none' }])]));
    expect(buildSection(unsure, SIZE).primitives).toContainEqual(
      expect.objectContaining({ shape: 'text', text: 'main?' }),
    );
  });

  it('gives every finding in view one flake, larger and with more facets the worse it is, none over another', () => {
    const assessment = assessmentOf([
      { kind: 'defect', defect: 'offset', readingFt: 30, offsetIn: 0.1 },
      { kind: 'defect', defect: 'crack', readingFt: 30.2, form: 'open' },
      { kind: 'defect', defect: 'gap', readingFt: 30.4, gapIn: 2 },
      { kind: 'defect', defect: 'collapse', readingFt: 30.6 },
    ]);
    const flakes = buildSection(assessment, SIZE).primitives.filter(
      (one) => one.role.startsWith('flake-') && one.shape === 'polygon',
    );
    const facets = new Map(
      flakes.map((one) => [one.role, one.shape === 'polygon' ? one.points.length : 0]),
    );
    expect([
      ...['slight', 'moderate', 'major', 'failed'].map((s) => facets.get(`flake-${s}` as never)),
    ]).toEqual([4, 5, 6, 8]);
    expect(flakeRadius('failed', 1)).toBeGreaterThan(flakeRadius('slight', 1));
    const centers = flakes.map((one) => {
      const points = one.shape === 'polygon' ? one.points : [];
      return {
        x: points.reduce((sum, { x }) => sum + x, 0) / points.length,
        y: points.reduce((sum, { y }) => sum + y, 0) / points.length,
      };
    });
    centers.forEach((a, index) => {
      for (const b of centers.slice(index + 1))
        expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeGreaterThan(16);
    });
  });

  it('zooms to a stretch', () => {
    const zoomed = buildSection(assessmentOf([water]), { ...SIZE, view: { fromFt: 40, toFt: 55 } });
    expect(zoomed.frame.stationOf(zoomed.frame.xOf(43))).toBeCloseTo(43, 9);
    expect(zoomed.frame.unitsPerFt).toBeGreaterThan(70);
  });

  it('steps its scale so that labels have room', () => {
    expect([0.5, 5, 20, 100].map(scaleStepFt)).toEqual([100, 10, 5, 1]);
  });

  it('reads as a table: pipes, what was hidden, findings with their grade', () => {
    const rows = tabulateSection(
      assessmentOf([water, { kind: 'unseen', cause: 'murky', readingFt: 10, toReadingFt: 14 }]),
    );
    expect(rows).toEqual([
      { fromFt: 0, toFt: 3, what: '6 in clay, yard' },
      { fromFt: 3, toFt: 60, what: '6 in clay' },
      { fromFt: 10, toFt: 14, what: 'nobody could see' },
      { fromFt: 43, toFt: 51, what: 'finding 1: standing water, major' },
    ]);
  });
});
