import { describe, expect, it } from 'vitest';
import { gradeIn } from '../../testing/facts';
import type { DefectKind } from '../defects/index';
import { type DefectFacts } from './table';

const grade = gradeIn(4);
const whys = (kind: DefectKind, facts: Partial<DefectFacts> = {}) =>
  grade(kind, facts).because.map(({ rule, text }) => `${rule}: ${text}`);

describe('why a grade is what it is', () => {
  it.each<[string, DefectKind, Partial<DefectFacts>, readonly string[]]>([
    [
      'no size',
      'roots',
      {},
      [
        'severity-roots: the share of the pipe that the roots fill was not logged: moderate until it is',
      ],
    ],
    [
      'soil',
      'crack',
      { soilVisible: true },
      ['severity-crack: soil or a void is visible: the pipe no longer holds the ground out'],
    ],
    ['a form', 'crack', { form: 'open' }, ['severity-crack: an open crack: moderate']],
    [
      'a form that water makes worse',
      'wall-loss',
      { form: 'rough', inStandingWater: true },
      ['severity-wall-loss: the bottom is rough and water stands on it: major'],
    ],
    [
      'soil where it is a form of its own',
      'exfiltration',
      { form: 'seep', soilVisible: true },
      ['severity-exfiltration: sewage leaks out and has washed soil away: major'],
    ],
    [
      'soil that says nothing of the kind',
      'spalling',
      { form: 'grains', soilVisible: true },
      ['severity-spalling: the concrete sheds grains: slight'],
    ],
    [
      'a share measured',
      'roots',
      { extentRatio: 0.38 },
      ['severity-roots: roots fill 38% of the pipe: major'],
    ],
    [
      'a share by eye, within one grade',
      'roots',
      { extentRatio: 0.38, byEye: true },
      ['severity-roots: roots fill 38% of the pipe: major'],
    ],
    [
      'a height by eye: 0.5 ± 0.5 of 4 in is 0 to 25%',
      'offset',
      { offsetIn: 0.5, byEye: true },
      [
        'severity-offset: offset of 0.5 in, 13% of the pipe: moderate',
        'size-by-eye: sized by eye, so slight to major; graded by its value',
      ],
    ],
    [
      'a word',
      'roots',
      { extentRatio: 0.18, byWord: 'moderate' },
      [
        'severity-roots: roots: the size was said as “moderate”: moderate',
        'size-by-word: sized by a word, so slight to major; graded by its value',
      ],
    ],
    [
      'a word for water stands for other shares: 8% is 4 to 16%',
      'standing-water',
      { fillRatio: 0.08, byWord: 'light' },
      [
        'severity-standing-water: standing water: the size was said as “light”: slight',
        'size-by-word: sized by a word, so slight to moderate; graded by its value',
      ],
    ],
    [
      'a step that cannot go lower tells nothing',
      'standing-water',
      { fillRatio: 0.05, lengthFt: 2 },
      ['severity-standing-water: standing water 5% of the pipe: slight'],
    ],
    [
      'a floor that lifts',
      'roots',
      { extentRatio: 0.02, locus: 'barrel' },
      [
        'severity-roots: roots fill 2% of the pipe: slight',
        'severity-roots-floor: they come through the barrel, where no joint explains them',
      ],
    ],
    [
      'a floor that is met already tells nothing',
      'roots',
      { extentRatio: 0.2, locus: 'barrel' },
      ['severity-roots: roots fill 20% of the pipe: moderate'],
    ],
  ])('%s', (_, kind, facts, because) => {
    expect(whys(kind, facts)).toEqual(because);
  });

  it('asks for the form by name, from the least to the worst', () => {
    expect(grade('crack').missing).toBe('its form (hairline, open, several, displaced)');
    expect(grade('crack', { unreadForm: 'purple' }).missing).toBe(
      'a form that Chert knows (hairline, open, several, displaced; “purple” is not one)',
    );
  });

  it('asks for the diameter where a height has none to be held against, and soil fails no lip', () => {
    expect(grade('lip', { lipIn: 1, boreIn: null }).missing).toBe('the diameter of the pipe here');
    expect(grade('lip', { lipIn: 0.1, soilVisible: true }).severity).toBe('slight');
  });
});

describe('the range of a size by eye', () => {
  it.each<[string, Partial<DefectFacts>, string, readonly string[] | null]>([
    // 12 ± 10 % is slight to moderate; a step lifts both ends with the grade.
    ['moves with a step', { extentRatio: 0.12, holdsDebris: true }, 'major', ['moderate', 'major']],
    // 20 ± 10 % is moderate to major; iron's floor leaves one grade.
    [
      'closes on a floor',
      { extentRatio: 0.2, locus: 'barrel', material: 'cast-iron' },
      'major',
      null,
    ],
    [
      'keeps above a floor',
      { extentRatio: 0.2, locus: 'barrel' },
      'moderate',
      ['moderate', 'major'],
    ],
    // 8 ± 10 % is slight to moderate; clay's floor leaves one grade.
    ['is lifted by a floor', { extentRatio: 0.08, locus: 'barrel' }, 'moderate', null],
  ])('%s', (_, facts, severity, range) => {
    const found = grade('roots', { ...facts, byEye: true });
    expect([found.severity, found.range]).toEqual([severity, range]);
  });
});
