import { describe, expect, it } from 'vitest';
import { type DefectKind, DEFECTS } from '../catalogue/defects/index';
import { buyerWordsOf } from '../catalogue/defects/kinds';
import { sayFeet } from '../catalogue/say-size';
import { sayStation, sayStretch } from '../lateral/say-place';
import { assessmentOf, type Said } from '../testing/build';
import { composeReport } from './compose';
import { describeFinding, explainFinding } from './describe';

const finding = (defect: DefectKind, more: Record<string, unknown> = {}, before: Said[] = []) =>
  assessmentOf([...before, { kind: 'defect', defect, readingFt: 30, ...more }]).findings[0]!;
const adviceOn = ({ advice }: ReturnType<typeof finding>) =>
  advice.map(({ text }) => text).join(' ');
const said = (defect: DefectKind, more: Record<string, unknown> = {}) =>
  describeFinding(finding(defect, more));

describe('what was seen, in the buyer’s words', () => {
  it.each<[string, string]>([
    [
      said('standing-water', { toReadingFt: 38, depthIn: 2.4 }),
      'Water stands 2.4 inches deep, 40% of the pipe, over 8 feet, with no water running.',
    ],
    [
      said('standing-water', { toReadingFt: 38, fillRatio: 0.4, holdsDebris: true }),
      'Water stands and fills 40% of the pipe, over 8 feet, with no water running. Waste settles in it.',
    ],
    [
      describeFinding(
        finding('standing-water', { toReadingFt: 38 }, [{ kind: 'water', state: 'drained' }]),
      ),
      'Water stands, over 8 feet, after the line had drained.',
    ],
    [said('roots', { sizeWord: 'heavy' }), 'Roots fill much of the pipe.'],
    [said('standing-water'), 'Water stands, with no water running.'],
    [
      said('roots', { extentRatio: 0.6, locus: 'barrel' }),
      'Roots fill about 60% of the pipe. They come through the pipe wall, not at a joint.',
    ],
    [
      said('roots', { locus: 'joint', holdsDebris: true }),
      'Roots grow into the pipe. They come in at a joint and are catching waste.',
    ],
    [said('offset', { offsetIn: 0.5 }), 'Two pipe ends are out of line by 0.5 inches.'],
    [
      said('gap', { gapIn: 1, soilVisible: true }),
      'A joint stands open by 1 inch. Soil can be seen.',
    ],
    [said('crack', { form: 'hairline' }), 'There is a hairline crack in the pipe wall.'],
    [said('crack', { form: 'several' }), 'There are several cracks in the pipe wall.'],
    [said('break', { form: 'invert-missing' }), 'The pipe is broken and its bottom is missing.'],
    [said('wall-loss', { form: 'invert-gone' }), 'The bottom of the pipe is worn through.'],
    [
      said('spalling', { form: 'stone-exposed' }),
      'The concrete wall is worn until its stone shows.',
    ],
    [said('lip', { lipIn: 0.4 }), 'An edge 0.4 inches high stands up where two pipes meet.'],
    [
      said('intruding-tap', { extentRatio: 0.2 }),
      'A side pipe sticks about 20% of the width into this one.',
    ],
    [
      said('foreign-object', { extentRatio: 0.1 }),
      'An object lies in the pipe and fills about 10% of the pipe.',
    ],
    [
      said('debris', { ourDoing: true }),
      'Loose waste fills part of the pipe. This inspection caused it.',
    ],
  ])('%s', (text, expected) => {
    expect(text).toBe(expected);
  });

  it.each(DEFECTS)(
    '%s has a name, a sentence, a meaning and advice, each a whole sentence',
    (kind) => {
      const one = finding(kind);
      expect(buyerWordsOf(kind).name.length).toBeGreaterThan(3);
      for (const text of [describeFinding(one), ...explainFinding(one), adviceOn(one)]) {
        expect(text).toMatch(/^[A-Z].*\.$/);
        expect(text).not.toMatch(/ {2}|\.\.|undefined|null/);
      }
    },
  );

  it('does not call a pipe sunk before its water was verified', () => {
    const unsure = finding('standing-water', {}, [{ kind: 'water', state: 'running' }]);
    expect(explainFinding(unsure).join()).not.toContain('has sunk');
    expect(adviceOn(unsure)).toContain('drained and looked at again');
  });

  it('never advises cutting where a utility runs through, nor a liner for a belly', () => {
    expect(adviceOn(finding('utility-crossing'))).toMatch(/^Do not cut or jet/);
    const belly = finding('standing-water', { fillRatio: 0.5, toReadingFt: 36 });
    expect(adviceOn(belly)).toContain('A liner would keep the dip');
  });
});

describe('places', () => {
  it.each<[string, string]>([
    [sayStation(57.2, 'A'), '57 ft'],
    [sayStation(-12.4, 'A'), '12 ft upstream of A'],
    [sayStretch(43, 51.6, 'A'), '43 to 52 ft'],
    [sayStretch(-20, -8, 'A'), '8 to 20 ft upstream of A'],
    [sayStretch(-3, 4, 'A'), '3 ft upstream to 4 ft downstream of A'],
    [sayStretch(30.1, 30.2, 'A'), '30 ft'],
    [sayFeet(1), '1 foot'],
    [sayFeet(0.4), '0.4 feet'],
    [sayFeet(92.3), '92 feet'],
  ])('%s', (text, expected) => {
    expect(text).toBe(expected);
  });
});

describe('limits', () => {
  const limits = (...log: Said[]) => composeReport(assessmentOf(log)).limits.join('\n');
  it.each<[string, string, RegExp]>([
    [
      'a hidden stretch and why',
      limits({ kind: 'unseen', cause: 'dirty-lens', readingFt: 20, toReadingFt: 24 }),
      /20 to 24 ft: the lens was dirty/,
    ],
    [
      'the bottom under water',
      limits({ kind: 'defect', defect: 'standing-water', readingFt: 20, toReadingFt: 24 }),
      /bottom of the pipe under the standing water, 20 to 24 ft/,
    ],
    [
      'too much hidden',
      limits({ kind: 'unseen', cause: 'murky', readingFt: 20, toReadingFt: 32 }),
      /20% of the length reached was hidden, so nothing can be ruled out/,
    ],
    [
      'what is still open',
      limits({ kind: 'flag', readingFt: 5 }),
      /Still open in the inspector’s notes: A flag at run R1 at 5\.0 ft/,
    ],
    ['what was not in scope', limits(), /Drains inside and under the building/],
  ])('tell %s', (_, text, expected) => {
    expect(text).toMatch(expected);
  });
});
