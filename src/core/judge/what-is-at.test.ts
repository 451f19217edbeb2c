import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CLAY, MAIN_AT_60, type Said } from '../testing/build';
import { joined, runFrom, tee, tieOf } from '../testing/joined';
import { readingAt, tellWhatIsAt } from './what-is-at';

const home: Said = { kind: 'home', pass: 'back', readingFt: 1.2 };
const R1 = runFrom('R1', 'A', 'downstream', [
  tee(20),
  { kind: 'defect', defect: 'crack', form: 'open', readingFt: 38, toReadingFt: 44 },
  { kind: 'locate', depthIn: 40, readingFt: 46 },
  CLAY,
  MAIN_AT_60,
  home,
]);
const R2 = runFrom('R2', 'B', 'upstream', [
  tee(30),
  { kind: 'unseen', cause: 'murky', readingFt: 5, toReadingFt: 12 },
  { kind: 'end', reason: 'lost-push', confirmedBy: 'none', readingFt: 33 },
]);
const assessment = joined({ runs: [R1, R2], ties: [tieOf('T1', 'R1 1 = R2 1')] });

describe('what is at a station', () => {
  it('names the pipe, the findings and the nearest locate', () => {
    const at = tellWhatIsAt(assessment, 40);
    expect(at.segment?.material).toBe('vitrified-clay');
    expect(at.findingNumbers).toEqual([1]);
    expect(at.locate).toMatchObject({ depthIn: 41 });
    expect(at.locate!.offFt).toBeGreaterThan(5);
  });
  it('tells what each run read there, and whether it saw', () => {
    const [first, second] = tellWhatIsAt(assessment, 40).runs;
    expect(first!.sightings.map(({ text }) => text)).toEqual(['Crack, to 44, open']);
    expect(first!.saw).toBe(true);
    // B lies near 49.8: 40 is some 10 ft up from it, in the murk.
    expect(second!.readingFt).toBeCloseTo(9.8, 0);
    expect(second!.saw).toBe(false);
  });
  it('says where a run did not come, and where nobody has been', () => {
    const at = tellWhatIsAt(assessment, 5);
    expect(at.runs[1]).toMatchObject({ readingFt: null, saw: null });
    expect(tellWhatIsAt(assessment, 90)).toMatchObject({ segment: null, findingNumbers: [] });
  });
});

describe('the reading at a distance', () => {
  it('is the homecoming correction turned round', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 60, noNaN: true }), (readingFt) => {
        const [axis] = assessment.lateral.axes;
        expect(readingAt(axis!, axis!.alongOf('back', readingFt))).toBeCloseTo(readingFt, 9);
      }),
    );
  });
});
