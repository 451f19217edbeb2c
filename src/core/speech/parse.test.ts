import { describe, expect, it } from 'vitest';
import { checkEntry } from '../model/log/entry.schema';
import { logged, minute } from '../testing/build';
import { calloutContext, firstDraft } from '../testing/callouts';
import { parseCallout } from './parse';

describe('parseCallout', () => {
  it.each<[string, Record<string, unknown>]>([
    ['27 clay', { kind: 'material', readingFt: 27, material: 'vitrified-clay', side: 'far' }],
    ['0 abs 4 in', { kind: 'material', readingFt: 0, material: 'abs', diameterIn: 4 }],
    [
      'cast iron this side 4" 9.5',
      { kind: 'material', readingFt: 9.5, material: 'cast-iron', side: 'near' },
    ],
    [
      '66 pvc 6 in lip 0.4 in',
      { kind: 'material', readingFt: 66, diameterIn: 6, joint: 'lip', lipIn: 0.4 },
    ],
    [
      'maybe asbestos cement',
      { kind: 'material', readingFt: 20, material: 'asbestos-cement', certainty: 'suspected' },
    ],
    [
      'standing water 43 to 51 40%',
      { kind: 'defect', defect: 'standing-water', readingFt: 43, toReadingFt: 51, fillRatio: 0.4 },
    ],
    [
      'belly 43-52 3.3 in',
      { defect: 'standing-water', readingFt: 43, toReadingFt: 52, depthIn: 3.3 },
    ],
    ['water from 43', { defect: 'standing-water', readingFt: 43, open: true }],
    [
      'low spot at 12 for 8 ft half full',
      { defect: 'standing-water', readingFt: 12, lengthFt: 8, fillRatio: 0.5 },
    ],
    [
      'roots 2 to 11 60% in the barrel',
      {
        defect: 'roots',
        readingFt: 20,
        clockFrom: 2,
        clockTo: 11,
        extentRatio: 0.6,
        locus: 'barrel',
      },
    ],
    ['roots from 2 to 11', { defect: 'roots', readingFt: 2, toReadingFt: 11 }],
    [
      "roots at joint 36 a quarter of the pipe, holding paper, 10 to 2 o'clock",
      {
        defect: 'roots',
        readingFt: 36,
        extentRatio: 0.25,
        holdsDebris: true,
        locus: 'joint',
        clockFrom: 10,
        clockTo: 2,
      },
    ],
    [
      'hairline crack 31 along at the crown',
      { defect: 'crack', readingFt: 31, form: 'hairline', direction: 'along', clockFrom: 12 },
    ],
    ['several cracks', { defect: 'crack', form: 'several', readingFt: 20 }],
    ['offset half an inch 35', { defect: 'offset', offsetIn: 0.5, readingFt: 35 }],
    ['offset a quarter 35', { defect: 'offset', offsetIn: 1, readingFt: 35 }],
    // Of a range the worse end, however it is said.
    ['offset 1/2 to 3/4 in at 35', { defect: 'offset', offsetIn: 0.75, readingFt: 35 }],
    ['offset 3/4 to 1/2 in at 35', { defect: 'offset', offsetIn: 0.75, readingFt: 35 }],
    ['gap 1/2 in 33', { defect: 'gap', gapIn: 0.5, readingFt: 33 }],
    ['gap 1 1/2 in soil visible', { defect: 'gap', gapIn: 1.5, soilVisible: true }],
    [
      'broken 61.5 wall missing 10 to 1',
      { defect: 'break', form: 'wall-missing', clockFrom: 10, clockTo: 1, readingFt: 61.5 },
    ],
    [
      'scale 8.5 to 0.6 20%',
      { defect: 'scale', readingFt: 8.5, toReadingFt: 0.6, extentRatio: 0.2 },
    ],
    [
      "can't tell what, something 14",
      { defect: 'unidentified', certainty: 'cannot-tell', readingFt: 14 },
    ],
    ['gas line through the sewer 44', { defect: 'utility-crossing', readingFt: 44 }],
    [
      "tee 12 at 3 o'clock serves kitchen",
      { kind: 'feature', feature: 'tee', readingFt: 12, clock: 3, serves: 'kitchen' },
    ],
    ['bend 45 left at 30', { feature: 'bend', angleDeg: 45, turns: 'left', readingFt: 30 }],
    ['property line 64', { feature: 'property-line', readingFt: 64 }],
    ['drop 2 ft', { feature: 'drop', dropFt: 2, readingFt: 20 }],
    ['driveway 38', { kind: 'zone', zone: 'driveway', side: 'far', readingFt: 38 }],
    ['water on', { kind: 'water', state: 'running', readingFt: 20 }],
    ['water off', { kind: 'water', state: 'draining' }],
    ['drained', { kind: 'water', state: 'drained' }],
    ['flush hall toilet, slow', { kind: 'flow-test', fixture: 'hall toilet', result: 'slow' }],
    ['main, seen', { kind: 'end', reason: 'main', confirmedBy: 'sight', readingFt: 20 }],
    ['main reached 92', { kind: 'end', reason: 'main', confirmedBy: 'none', readingFt: 92 }],
    ['main, located 92.5', { kind: 'end', confirmedBy: 'locate', readingFt: 92.5 }],
    [
      'not reached, lost push, 12 ft left',
      { kind: 'end', reason: 'lost-push', remainderFt: 12, readingFt: 20 },
    ],
    ['stopped at roots 41', { kind: 'end', reason: 'obstruction', readingFt: 41 }],
    ['home 0.4', { kind: 'home', pass: 'back', readingFt: 0.4 }],
    [
      'under water 43 to 52',
      { kind: 'unseen', cause: 'submerged', readingFt: 43, toReadingFt: 52 },
    ],
    ["can't see from 43", { kind: 'unseen', cause: 'other', readingFt: 43, open: true }],
    [
      'locate 4\'1" white x 6\'2" from garage corner',
      { kind: 'locate', depthIn: 49, mark: 'white x', reference: '6.17 ft from garage corner' },
    ],
    [
      'locate 52 in, 9 ft from garage corner, 14 ft from the light pole',
      {
        depthIn: 52,
        swings: [
          { from: 'garage corner', distanceFt: 9 },
          { from: 'light pole', distanceFt: 14 },
        ],
      },
    ],
    [
      'locate 38 in, ground 86 in, 9 ft from gate post',
      { kind: 'locate', depthIn: 38, groundIn: 86, reference: '9 ft from gate post' },
    ],
    ['locate 3\'2" ground level 7 ft', { kind: 'locate', depthIn: 38, groundIn: 84 }],
    ['locate blocked by a parked car', { kind: 'locate', blockedBy: 'parked car' }],
    ['tree 30 4 ft off', { kind: 'surface', what: 'tree', offsetFt: 4, readingFt: 30 }],
    ['skid on', { kind: 'setup', aid: 'skid' }],
    ['flag', { kind: 'flag', readingFt: 20 }],
    ['note gate code 44', { kind: 'note', readingFt: 20, note: 'gate code 44' }],
    ['twenty seven point five clay', { kind: 'material', readingFt: 27.5 }],
    ['crack at one hundred and four', { defect: 'crack', readingFt: 104 }],
  ])('%s', (text, expected) => {
    const draft = firstDraft(text);
    expect(draft).toMatchObject(expected);
    expect(checkEntry(logged(draft, 'x', minute(0))).ok).toBe(true);
  });

  it('keeps words it does not know as the note, and a call-out it does not know as a flag', () => {
    expect(firstDraft('offset slight 35.5')).toMatchObject({
      defect: 'offset',
      readingFt: 35.5,
      sizeWord: 'light',
    });
    const lost = parseCallout('wobbly thingummy', calloutContext())!;
    expect(lost.kept).toBe('flag');
    expect(lost.drafts).toEqual([
      { kind: 'flag', pass: 'out', readingFt: 20, note: 'wobbly thingummy' },
    ]);
  });

  it('says what is still wanted', () => {
    const missing = (text: string) => parseCallout(text, calloutContext())!.missing;
    expect(missing('roots 30')).toEqual(['how much of the pipe']);
    expect(missing('roots 30 20%')).toEqual([]);
    expect(missing('27 clay')).toEqual(['the diameter: taken as 4 in, as before']);
    expect(missing('main')).toEqual(['seen, or located?']);
    expect(parseCallout('crack', calloutContext({ counterFt: null }))!.missing).toContain(
      'the footage',
    );
  });

  it('is silent for an empty line, and never throws or loses text', () => {
    expect(parseCallout('   ', calloutContext())).toBeNull();
    for (const text of [
      '<script>alert(1)</script>',
      '%%%',
      '((((',
      '1e999',
      'correct',
      'correct 9',
      '🪨 roots',
      'x'.repeat(5000),
    ]) {
      const read = parseCallout(text, calloutContext())!;
      expect(read.drafts.length + read.missing.length).toBeGreaterThan(0);
    }
  });
});
