import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { EntryDraft } from '../model/log/entry';
import { checkEntry } from '../model/log/entry.schema';
import { anyEntry } from '../testing/arbitrary';
import { entries, logged, minute, type Said } from '../testing/build';
import type { CalloutContext } from './draft';
import { parseCallout } from './parse';
import { writeCallout } from './write';

const context = (pass: 'out' | 'back', counterFt: number | null): CalloutContext => ({
  counterFt,
  pass,
  boreHereIn: 4,
  standing: [],
  openIds: new Set(),
});
const draftOf = (entry: object): EntryDraft => {
  const { id: _id, at: _at, ...draft } = entry as EntryDraft & { id?: string; at?: string };
  return draft;
};

describe('an entry written as a call-out', () => {
  it('parses back to it, whatever it is and wherever the counter stands', () => {
    fc.assert(
      fc.property(
        anyEntry,
        fc.constantFrom('out' as const, 'back' as const),
        fc.option(fc.integer({ min: 0, max: 900 })),
        (entry, pass, counter) => {
          fc.pre(checkEntry(logged(entry as EntryDraft, 'x', minute(0))).ok);
          const text = writeCallout(entry as EntryDraft, pass);
          const read = parseCallout(text, context(pass, counter))!;
          expect([text, read.choices, read.drafts]).toEqual([text, [], [draftOf(entry)]]);
        },
      ),
      { numRuns: 1500 },
    );
  });

  it.each<[Said, string]>([
    [
      {
        kind: 'defect',
        defect: 'roots',
        readingFt: 31,
        extentRatio: 0.6,
        clockFrom: 10,
        clockTo: 2,
        locus: 'barrel',
      },
      "roots at 31 ft, 60% 10 to 2 o'clock in the barrel",
    ],
    [
      { kind: 'defect', defect: 'standing-water', readingFt: 43, toReadingFt: 52, depthIn: 3.3 },
      'standing water from 43 to 52 ft, 3.3 inch deep',
    ],
    [
      {
        kind: 'defect',
        defect: 'crack',
        readingFt: 22,
        form: 'hairline',
        direction: 'along',
        certainty: 'suspected',
      },
      'crack at 22 ft, hairline along suspected',
    ],
    [
      {
        kind: 'material',
        readingFt: 66,
        side: 'far',
        material: 'pvc',
        diameterIn: 6,
        joint: 'lip',
        lipIn: 0.4,
      },
      'pvc 6 inch lip 0.4 inch far side at 66 ft',
    ],
    [
      { kind: 'feature', feature: 'tee', readingFt: 12, clock: 10.5, serves: 'kitchen' },
      `tee at 12 ft 10:30 o'clock serves "kitchen"`,
    ],
    [
      { kind: 'zone', readingFt: 18, zone: 'under-house', side: 'near' },
      'under the house near side at 18 ft',
    ],
    [
      { kind: 'end', readingFt: 79.5, reason: 'lost-push', confirmedBy: 'none', remainderFt: 20 },
      'stopped, lost push at 79.5 ft not confirmed 20 ft left',
    ],
    [
      {
        kind: 'locate',
        readingFt: 47,
        depthIn: 49,
        mark: 'white x',
        swings: [
          { from: 'garage', distanceFt: 6.2 },
          { from: 'light pole', distanceFt: 9 },
        ],
      },
      'locate at 47 ft depth 49 inch mark "white x" 6.2 ft from "garage" 9 ft from "light pole"',
    ],
    [
      { kind: 'flow-test', readingFt: 40, fixture: 'hall toilet', result: 'backs-up' },
      'test "hall toilet" backs up at 40 ft',
    ],
    [{ kind: 'note', readingFt: null, note: 'gate code 44' }, 'note "gate code 44" no footage'],
  ])('uses plain words for plain things: %#', (said, text) => {
    expect(writeCallout(entries(said)[0]!, 'out')).toBe(text);
  });
});
