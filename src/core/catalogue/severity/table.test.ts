import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { gradeIn } from '../../testing/facts';
import { type DefectKind, DEFECTS } from '../defects/index';
import { specOf } from '../defects/kinds';
import type { DefectForm } from '../forms';
import { formsOf, readForm } from '../read-form';
import { SIZE_WORDS, type SizeWord } from '../vocabulary';
import { SEVERITIES, type Severity } from './grade';
import { sizesByWord } from './size-words';
import { type DefectFacts } from './table';

const grade = gradeIn(6);
const rank = (severity: Severity) => SEVERITIES.indexOf(severity);

/** Bounds of a size that grades in four, as the table of the trade has them. */
const SIZED: [DefectKind, keyof DefectFacts, number, number, number, number | null][] = [
  ['standing-water', 'fillRatio', 1, 0.1, 0.25, 0.9],
  ['standing-water', 'depthIn', 6, 0.1, 0.25, 0.9],
  ['roots', 'extentRatio', 1, 0.1, 0.25, 0.5],
  ['offset', 'offsetIn', 6, 0.1, 0.25, 0.5],
  ['gap', 'gapIn', 1, 0.5, 1, null],
  ['lip', 'lipIn', 6, 0.05, 0.15, null],
  ['deformation', 'extentRatio', 1, 0.05, 0.15, 0.3],
  ['intruding-tap', 'extentRatio', 1, 0.05, 0.15, 0.3],
  ['scale', 'extentRatio', 1, 0.1, 0.25, 0.5],
  ['grease', 'extentRatio', 1, 0.1, 0.25, 0.5],
  ['debris', 'extentRatio', 1, 0.1, 0.25, 0.5],
  ['mineral', 'extentRatio', 1, 0.1, 0.25, 0.5],
  ['foreign-object', 'extentRatio', 1, 0.1, 0.25, 0.5],
];

/** Every form with its grade, and what a form that was not logged grades. */
const FORMED: [DefectKind, DefectForm | null, Severity][] = [
  ['crack', 'hairline', 'slight'],
  ['crack', 'open', 'moderate'],
  ['crack', 'several', 'major'],
  ['crack', 'displaced', 'failed'],
  ['crack', null, 'moderate'],
  ['break', 'displaced', 'major'],
  ['break', 'wall-missing', 'major'],
  ['break', 'invert-missing', 'failed'],
  ['break', null, 'major'],
  ['hole', 'displaced', 'major'],
  ['hole', 'wall-missing', 'major'],
  ['hole', 'invert-missing', 'failed'],
  ['hole', null, 'major'],
  ['wall-loss', 'rough', 'moderate'],
  ['wall-loss', 'pitted', 'major'],
  ['wall-loss', 'invert-gone', 'failed'],
  ['wall-loss', null, 'moderate'],
  ['spalling', 'grains', 'slight'],
  ['spalling', 'stone-exposed', 'moderate'],
  ['spalling', 'hole', 'failed'],
  ['spalling', null, 'slight'],
  ['coupling-failed', 'sealed', 'moderate'],
  ['coupling-failed', 'gasket-in-bore', 'major'],
  ['coupling-failed', null, 'moderate'],
  ['exfiltration', 'seep', 'slight'],
  ['exfiltration', 'drip', 'moderate'],
  ['exfiltration', 'run', 'major'],
  ['exfiltration', 'soil-washed', 'major'],
  ['exfiltration', null, 'moderate'],
  ['infiltration', 'seep', 'slight'],
  ['infiltration', 'drip', 'moderate'],
  ['infiltration', 'run', 'major'],
  ['infiltration', null, 'moderate'],
  ['collapse', null, 'failed'],
  ['utility-crossing', null, 'failed'],
  ['residue-line', null, 'slight'],
  ['vermin', null, 'slight'],
  ['unidentified', null, 'moderate'],
];

const UNSIZED: [DefectKind, Severity][] = [
  ['standing-water', 'moderate'],
  ['roots', 'moderate'],
  ['offset', 'slight'],
  ['gap', 'slight'],
  ['lip', 'slight'],
  ['deformation', 'moderate'],
  ['intruding-tap', 'moderate'],
  ['scale', 'slight'],
  ['grease', 'slight'],
  ['debris', 'slight'],
  ['mineral', 'slight'],
  ['foreign-object', 'slight'],
];

describe('the severity table', () => {
  it('has a case here for every kind of defect, and for every form', () => {
    const tried = new Set([...SIZED, ...FORMED].map(([kind]) => kind));
    expect([...tried].sort()).toEqual([...DEFECTS].sort());
    // Forms of roots and of an offset are marks: their sizes grade them.
    const forms = DEFECTS.filter((kind) => kind !== 'roots' && kind !== 'offset').flatMap((kind) =>
      formsOf(kind).map((name) => `${kind} ${name}`),
    );
    const formed = new Set(FORMED.map(([kind, form]) => `${kind} ${form}`));
    expect(forms.filter((form) => !formed.has(form))).toEqual([]);
  });

  it.each(SIZED)(
    '%s by %s: a bound takes the worse grade, failed begins above its own',
    (kind, key, unit, moderate, major, failed) => {
      const at = (ratio: number) => grade(kind, { [key]: ratio * unit }).severity;
      expect(at(moderate * 0.99)).toBe('slight');
      expect(at(moderate)).toBe('moderate');
      expect(at(major * 0.99)).toBe('moderate');
      expect(at(major)).toBe('major');
      if (failed === null) expect(at(Math.min(major * 6, 1))).toBe('major');
      else {
        expect(at(failed)).toBe('major');
        expect(at(failed * 1.01)).toBe('failed');
      }
    },
  );

  it.each(FORMED)('%s, form %s: %s', (kind, form, severity) => {
    const found = grade(kind, { form });
    expect(found.severity).toBe(severity);
    expect(found.because.length).toBeGreaterThan(0);
    const fixed = ['collapse', 'utility-crossing', 'residue-line', 'vermin', 'unidentified'];
    expect(found.missing === null).toBe(form !== null || fixed.includes(kind));
  });

  it.each(UNSIZED)('%s of no size: %s, and it asks', (kind, severity) => {
    const found = grade(kind);
    expect(found.severity).toBe(severity);
    expect(found.missing).not.toBeNull();
  });

  it.each<DefectKind>(['offset', 'gap', 'crack', 'break', 'hole', 'coupling-failed'])(
    '%s with soil visible: failed',
    (kind) => {
      expect(grade(kind, { soilVisible: true }).severity).toBe('failed');
    },
  );

  it.each<[string, DefectKind, Severity]>([
    ['void visible', 'break', 'failed'],
    ['soil_visible', 'crack', 'failed'],
    ['gasket or rubber in the bore', 'coupling-failed', 'major'],
    ['hairline, displaced', 'crack', 'failed'],
    ['hairline, not displaced', 'crack', 'slight'],
    ['Invert_Missing', 'hole', 'failed'],
    ['washing soil away', 'exfiltration', 'major'],
    ['purple', 'crack', 'moderate'],
  ])('reads the form "%s" of a %s as others write it: %s', (said, kind, severity) => {
    const { form, soilVisible, unread } = readForm(kind, said);
    expect(grade(kind, { form, soilVisible, unreadForm: unread }).severity).toBe(severity);
  });

  it('asks again when a form is none that it knows', () => {
    const { form, unread } = readForm('crack', 'purple');
    expect(grade('crack', { form, unreadForm: unread }).missing).toContain('purple');
  });
});

describe('sizes by a word', () => {
  it.each<[DefectKind, SizeWord, Severity, readonly [Severity, Severity] | null]>([
    ['roots', 'trace', 'slight', null],
    ['roots', 'moderate', 'moderate', ['slight', 'major']],
    ['roots', 'heavy', 'major', ['moderate', 'failed']],
    ['grease', 'full', 'failed', null],
    ['standing-water', 'light', 'slight', ['slight', 'moderate']],
    ['standing-water', 'heavy', 'major', null],
    ['deformation', 'heavy', 'major', ['moderate', 'failed']],
    ['lip', 'moderate', 'moderate', ['slight', 'major']],
  ])('%s, %s: %s, within %s', (kind, word, severity, range) => {
    const found = grade(kind, { ...sizesByWord(specOf(kind).size ?? {}, word, 6), byWord: word });
    expect([found.severity, found.range]).toEqual([severity, range]);
    expect(found.missing).toBeNull();
  });

  it('stand for no more than their table says, and grow from word to word', () => {
    for (const kind of ['roots', 'standing-water', 'deformation', 'offset'] as const) {
      const sizes = SIZE_WORDS.map(
        (word) => Object.values(sizesByWord(specOf(kind).size ?? {}, word, 6)!)[0]!,
      );
      expect([...sizes].sort((a, b) => a - b)).toEqual(sizes);
    }
    expect(sizesByWord(specOf('crack').size ?? {}, 'heavy', 6)).toBeNull();
  });
});

describe('steps and floors', () => {
  const water = (fillRatio: number, more: Partial<DefectFacts> = {}) =>
    grade('standing-water', { fillRatio, ...more }).severity;

  it.each<[string, Severity, Severity]>([
    ['8 ft at 40% is major', water(0.4, { lengthFt: 8 }), 'major'],
    ['over 10 ft steps up', water(0.2, { lengthFt: 10.5 }), 'major'],
    ['10 ft exactly does not', water(0.2, { lengthFt: 10 }), 'moderate'],
    ['3 ft and shallow steps down', water(0.2, { lengthFt: 3 }), 'slight'],
    ['3 ft at a quarter does not', water(0.25, { lengthFt: 3 }), 'major'],
    ['no length, no step', water(0.2, { lengthFt: null }), 'moderate'],
    ['debris steps up', water(0.2, { holdsDebris: true }), 'major'],
    [
      'debris and length step up once',
      water(0.05, { holdsDebris: true, lengthFt: 20 }),
      'moderate',
    ],
    ['half full with debris fails', water(0.5, { holdsDebris: true, lengthFt: 2 }), 'failed'],
    ['a long one of 40% fails', water(0.4, { lengthFt: 12 }), 'failed'],
    ['a full bore fails however short', water(0.95, { lengthFt: 1 }), 'failed'],
  ])('standing water: %s', (_, found, severity) => {
    expect(found).toBe(severity);
  });

  const roots = (facts: Partial<DefectFacts>) => grade('roots', facts).severity;
  it.each<[string, Severity, Severity]>([
    ['debris held: one step up', roots({ extentRatio: 0.12, holdsDebris: true }), 'major'],
    ['barrel: at least moderate', roots({ extentRatio: 0.02, locus: 'barrel' }), 'moderate'],
    [
      'barrel of iron: at least major',
      roots({ extentRatio: 0.02, locus: 'barrel', material: 'cast-iron' }),
      'major',
    ],
    ['a floor never lowers', roots({ extentRatio: 0.9, locus: 'barrel' }), 'failed'],
    [
      'at a joint of iron as any joint',
      roots({ extentRatio: 0.02, locus: 'joint', material: 'cast-iron' }),
      'slight',
    ],
  ])('roots: %s', (_, found, severity) => {
    expect(found).toBe(severity);
  });

  it('calls rough iron with water standing on it major', () => {
    expect(grade('wall-loss', { form: 'rough', inStandingWater: true }).severity).toBe('major');
  });
});

describe('sizes by eye', () => {
  it('says the range, and grades by the value', () => {
    const found = grade('standing-water', { depthIn: 1.4, boreIn: 4, byEye: true });
    expect(found.severity).toBe('major');
    expect(found.range).toEqual(['moderate', 'major']);
    expect(found.because.map(({ text }) => text).join()).toContain('moderate to major');
  });

  it('says nothing when the eye’s error stays within a grade, or the size was measured', () => {
    expect(grade('roots', { extentRatio: 0.38, byEye: true }).range).toBeNull();
    expect(grade('standing-water', { depthIn: 1.4, boreIn: 4 }).range).toBeNull();
  });
});

describe('never gentler for more', () => {
  const share = fc.double({ min: 0, max: 1, noNaN: true });
  it('more root, deeper water and a longer pool never lower a grade', () => {
    fc.assert(
      fc.property(
        share,
        share,
        fc.double({ min: 0, max: 60, noNaN: true }),
        fc.double({ min: 0, max: 60, noNaN: true }),
        fc.boolean(),
        (a, b, l, m, holdsDebris) => {
          const [low, high] = [Math.min(a, b), Math.max(a, b)];
          const [short, long] = [Math.min(l, m), Math.max(l, m)];
          for (const kind of ['roots', 'scale', 'deformation'] as const) {
            expect(
              rank(grade(kind, { extentRatio: high, holdsDebris }).severity),
            ).toBeGreaterThanOrEqual(rank(grade(kind, { extentRatio: low, holdsDebris }).severity));
          }
          const pool = (fillRatio: number, lengthFt: number) =>
            rank(grade('standing-water', { fillRatio, lengthFt, holdsDebris }).severity);
          expect(pool(high, short)).toBeGreaterThanOrEqual(pool(low, short));
          expect(pool(low, long)).toBeGreaterThanOrEqual(pool(low, short));
        },
      ),
    );
  });
});
