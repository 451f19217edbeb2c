import { describe, expect, it } from 'vitest';
import { type Entry } from '../model/log/entry';
import { entries } from '../testing/build';
import { calloutContext, draftsOf, firstDraft } from '../testing/callouts';
import { parseCallout } from './parse';
import { readLine } from './read-line';

describe('stretches', () => {
  const open = entries({
    kind: 'defect',
    defect: 'standing-water',
    readingFt: 43,
    open: true,
  });
  const opened = { standing: open, openIds: new Set(['e1']), counterFt: 52 };

  it('closes the open stretch of its kind', () => {
    expect(draftsOf('water to 52', opened)).toEqual([
      { kind: 'close', pass: 'out', readingFt: 52, closes: 'e1' },
    ]);
  });

  it('corrects what opened it when a size comes with the end', () => {
    expect(draftsOf('water to 52, 3.3 in', opened)).toEqual([
      {
        kind: 'defect',
        defect: 'standing-water',
        pass: 'out',
        readingFt: 43,
        toReadingFt: 52,
        depthIn: 3.3,
        replaces: 'e1',
      },
    ]);
  });

  it('closes from the other pass with an entry of its own', () => {
    const drafts = draftsOf('water to 42.5, 40%', { ...opened, pass: 'back' });
    expect(drafts.map(({ kind }) => kind)).toEqual(['defect', 'close']);
    expect(drafts[0]).toMatchObject({ pass: 'out', open: true, fillRatio: 0.4, replaces: 'e1' });
    expect(drafts[1]).toMatchObject({ pass: 'back', readingFt: 42.5, closes: 'e1' });
  });

  it('"can see now" closes an open unseen stretch, or takes back one that was passed', () => {
    const blind = entries({ kind: 'unseen', cause: 'murky', readingFt: 43, open: true });
    expect(
      firstDraft('can see now', { standing: blind, openIds: new Set(['e1']), counterFt: 50 }),
    ).toMatchObject({ kind: 'close', closes: 'e1', readingFt: 50 });
    const passed = entries({
      kind: 'unseen',
      cause: 'murky',
      readingFt: 43,
      toReadingFt: 50,
    });
    expect(firstDraft('can see now 45', { standing: passed })).toMatchObject({
      kind: 'retract',
      retracts: 'e1',
    });
  });
});

describe('corrections', () => {
  const log: Entry[] = entries(
    { kind: 'material', readingFt: 9.5, side: 'far', material: 'concrete', diameterIn: 4 },
    { kind: 'defect', defect: 'roots', readingFt: 31, extentRatio: 0.2, locus: 'joint' },
    { kind: 'flag', readingFt: 57.4 },
  );

  it.each<[string, Record<string, unknown>]>([
    [
      'correct 9.5 asbestos cement',
      {
        kind: 'material',
        material: 'asbestos-cement',
        readingFt: 9.5,
        replaces: 'e1',
      },
    ],
    [
      'correct 31 roots 35%',
      { defect: 'roots', extentRatio: 0.35, locus: 'joint', readingFt: 31, replaces: 'e2' },
    ],
    ['correct 31 to 32.5', { defect: 'roots', readingFt: 32.5, extentRatio: 0.2, replaces: 'e2' }],
    ['correct 31 grease 20%', { defect: 'grease', extentRatio: 0.2, replaces: 'e2' }],
    ['retract 31', { kind: 'retract', retracts: 'e2' }],
    ['undo', { kind: 'retract', retracts: 'e3' }],
    ['roots 57 10%', { defect: 'roots', readingFt: 57, replaces: 'e3' }],
  ])('%s', (text, expected) => {
    expect(firstDraft(text, { standing: log })).toMatchObject(expected);
  });

  it('leaves no old size behind when the thing itself was wrong', () => {
    expect(firstDraft('correct 31 crack hairline', { standing: log })).not.toHaveProperty(
      'extentRatio',
    );
  });

  it.each<[string, 'out' | 'back', Record<string, unknown>]>([
    [
      'correct 9.5 asbestos cement',
      'back',
      { pass: 'out', side: 'far', diameterIn: 4, readingFt: 9.5 },
    ],
    ['correct 9.5 asbestos cement this side', 'back', { pass: 'out', side: 'near' }],
    ['correct 9.5 6 in asbestos cement', 'back', { side: 'far', diameterIn: 6 }],
  ])('keep place, pass, side and size unless they say otherwise: %s', (text, pass, expected) => {
    expect(firstDraft(text, { standing: log, pass, counterFt: 12, boreHereIn: 8 })).toMatchObject(
      expected,
    );
  });

  it('leave a flag with words of its own to what is about the same thing', () => {
    const flags = entries(
      { kind: 'flag', readingFt: 30, note: 'roots' },
      { kind: 'flag', readingFt: 50, note: 'wobbly thingummy' },
      { kind: 'flag', readingFt: 55 },
    );
    const settles = (text: string) => firstDraft(text, { standing: flags }).replaces;
    expect(settles('roots 20% 30.5')).toBe('e1');
    expect(settles('offset half inch at 30.5')).toBeUndefined();
    expect(settles('roots 20% 50')).toBeUndefined();
    expect(settles('roots 20% 55')).toBe('e3');
  });

  it.each([
    'standing water 30 28 in deep',
    'roots 30 930%',
    'offset 9 in at 30',
    'roots 7000 20%',
    'locate 30 70 ft',
  ])('asks about what cannot be, and logs nothing: %s', (text) => {
    const read = readLine(text, calloutContext({ boreHereIn: 4 }))!;
    expect(read.drafts).toEqual([]);
    expect(read.missing.length).toBeGreaterThan(0);
  });

  it('keeps as a flag a correction of nothing', () => {
    expect(parseCallout('correct 88 clay', calloutContext({ standing: log }))).toMatchObject({
      kept: 'flag',
      drafts: [{ kind: 'flag', readingFt: 88 }],
    });
  });
});
