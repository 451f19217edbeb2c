import { describe, expect, it } from 'vitest';
import { d, m } from '../testing/drafts';
import type { CalloutContext } from './draft';
import { parseCallout } from './parse';

/** The counter stands at 40 ft on the way out, in a 4 in pipe. */
const HERE: CalloutContext = {
  counterFt: 40,
  pass: 'out',
  boreHereIn: 4,
  standing: [],
  openIds: new Set(),
};

describe('a number that fits two meanings', () => {
  const choicesOf = (say: string, changes: Partial<CalloutContext> = {}) =>
    parseCallout(say, { ...HERE, ...changes })!.choices.map(({ label }) => label);

  it.each<[string, string[]]>([
    ['infiltration at 10', ['at 10 ft', '10 o’clock']],
    ['offset 2', ['2 in', 'at 2 ft']],
    ['clay 6', ['at 6 ft', '6 in']],
    ['offset a quarter', ['a quarter of the pipe', 'a quarter in']],
  ])('%s: %j', (say, labels) => {
    expect(choicesOf(say)).toEqual(labels);
  });

  it('is no question when the counter stands there', () => {
    expect(choicesOf('infiltration at 10', { counterFt: 9 })).toEqual([]);
    expect(choicesOf('bend 45', { counterFt: 44 })).toEqual(['45°', 'at 45 ft']);
  });

  it('asks which stretch ends when two are open', () => {
    const base = { at: '2026-11-03T09:00:00Z', pass: 'out', open: true, kind: 'defect' } as const;
    const standing = [
      { ...base, id: 'a', defect: 'standing-water', readingFt: 20 },
      { ...base, id: 'b', defect: 'scale', readingFt: 30 },
    ] as const;
    const read = parseCallout('ends here', { ...HERE, standing, openIds: new Set(['a', 'b']) })!;
    expect(read.drafts).toEqual([{ kind: 'close', pass: 'out', readingFt: 40, closes: 'b' }]);
    expect(read.choices.map(({ drafts }) => (drafts[0] as { closes: string }).closes)).toEqual([
      'b',
      'a',
    ]);
  });
});

describe('what an inspector may say besides', () => {
  const first = (say: string, changes: Partial<CalloutContext> = {}) =>
    parseCallout(say, { ...HERE, ...changes })!.drafts[0]!;

  it('takes the side from the pass: beyond on the way out, this side on the way back', () => {
    expect(first('clay 6 in')).toMatchObject({ side: 'far' });
    expect(first('clay 6 in', { pass: 'back' })).toMatchObject({ side: 'near', pass: 'back' });
    expect(first('clay 6 in beyond', { pass: 'back' })).toMatchObject({ side: 'far' });
  });

  it('reads several things in one breath', () => {
    const { drafts } = parseCallout('66 pvc 6 in; offset half an inch then roots 10%', HERE)!;
    expect(drafts).toMatchObject([m('pvc', 66), d('offset', 66), d('roots', 66)]);
  });

  it('knows an inspector’s own words, whole and outside quotes', () => {
    const ownWords = [
      { says: 'spaghetti', means: 'fine roots' },
      { says: 'black jack', means: 'bituminous fiber' },
    ];
    expect(first('Spaghetti 31 10%', { ownWords })).toMatchObject(d('roots', 31, { form: 'fine' }));
    expect(first('black  jack 4 in', { ownWords })).toMatchObject(m('bituminous-fiber', 40));
    expect(first('crack note "spaghetti"', { ownWords })).toMatchObject({ note: 'spaghetti' });
    expect(first('spaghettis', { ownWords })).toMatchObject({ kind: 'flag' });
  });

  it('corrects the last thing said', () => {
    const standing = [
      {
        id: 'e1',
        at: '2026-11-03T09:00:00Z',
        pass: 'out',
        ...d('roots', 31, { extentRatio: 0.2 }),
      },
    ] as never;
    expect(first('make that 35%', { standing })).toMatchObject({
      replaces: 'e1',
      extentRatio: 0.35,
      readingFt: 31,
    });
    expect(first('scrap that', { standing })).toMatchObject({ kind: 'retract', retracts: 'e1' });
    expect(first('correct #e1 grease', { standing })).toMatchObject({
      replaces: 'e1',
      defect: 'grease',
    });
  });
});
