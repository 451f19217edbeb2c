import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { scoreLines } from '../../../bench/speech/score-lines';
import { DEFECTS } from '../catalogue/defects/index';
import { specOf } from '../catalogue/defects/kinds';
import type { EntryDraft } from '../model/log/entry';
import { entries } from '../testing/build';
import type { CalloutContext } from './draft';
import { spellOut } from './lexicon/phrases';
import { parseCallout } from './parse';
import { readLine } from './read-line';

const HERE: CalloutContext = {
  counterFt: 40,
  pass: 'out',
  boreHereIn: 4,
  standing: [],
  openIds: new Set(),
};
const read = (say: string, changes: Partial<CalloutContext> = {}) =>
  parseCallout(say, { ...HERE, ...changes })!;
/** What is logged, without the words that go along with it. */
const logged = (say: string) => {
  const { drafts, kept } = read(say);
  return kept === null ? drafts.map(({ note: _note, ...draft }) => draft) : [];
};

describe('lines as people say them', () => {
  const scored = scoreLines('bench/speech/lines.txt');

  it('are read right, and none becomes a false fact', () => {
    expect(scored.filter(({ verdict }) => verdict === 'false fact')).toEqual([]);
    const right = scored.filter(({ verdict }) => verdict === 'right').length;
    expect(right / scored.length).toBeGreaterThanOrEqual(0.95);
  });

  it('that nobody looked at while the reader was built: at least nine in ten of them', () => {
    const sets = ['', '-2', '-3', '-4'].map((set) => `bench/speech/held-out${set}.txt`);
    const heldOut = sets.flatMap(scoreLines);
    expect(heldOut.length).toBeGreaterThanOrEqual(300);
    const count = (...verdicts: string[]) =>
      heldOut.filter(({ verdict }) => verdicts.includes(verdict)).length;
    expect(count('right', 'asked', 'kept') / heldOut.length).toBeGreaterThanOrEqual(0.9);
  });
});

/** Plain names of defects, each with its kind. */
const NAMES = DEFECTS.flatMap((kind) =>
  spellOut(specOf(kind).said)
    .filter((name) => !/\b(?:no|not|dont|cant|cannot|couldnt|water|unknown|idea)\b/.test(name))
    .slice(0, 6)
    .map((name) => ({ kind, name })),
);
const names = fc.constantFrom(...NAMES);
const places = fc.constantFrom('', ' at 57', ' at 12.5', ' here', ' at the joint');
const sizes = fc.constantFrom('', ' 40%', ' half an inch', ' 2 in deep');

describe('a denial', () => {
  it('before any defect logs no defect', () => {
    const denials = fc.constantFrom(
      'no',
      "don't see any",
      'not seeing any',
      'no sign of',
      'free of',
    );
    fc.assert(
      fc.property(denials, names, places, (denial, { name }, place) => {
        expect(logged(`${denial} ${name}${place}`).filter(isDefect)).toEqual([]);
      }),
      { numRuns: 500 },
    );
  });

  it('is a look for that kind', () => {
    fc.assert(
      fc.property(names, ({ name, kind }) => {
        const [clear] = logged(`no ${name} at 57`);
        expect(clear).toMatchObject({ kind: 'clear', readingFt: 57, kinds: [kind] });
      }),
    );
  });
});

const isDefect = (draft: { readonly kind: EntryDraft['kind'] }) => draft.kind === 'defect';
const firm = fc.constantFrom(
  'roots 57 60% in the barrel',
  'clay 27 6 in',
  'standing water 43 to 52 3.3 in',
  'tee 12 at 3 o’clock',
  'offset half an inch at 35',
  'no roots at 30',
  'hairline crack at the crown 31',
  'main, seen 92.5',
);

describe('looks in one breath', () => {
  it.each([
    'no roots no offset 20 to 40',
    'no roots 20 to 40 and no offset',
    '20 to 40 no roots, no offset',
  ])('%s: are over one stretch', (say) => {
    expect(logged(say)).toEqual([
      { kind: 'clear', pass: 'out', readingFt: 20, toReadingFt: 40, kinds: ['roots', 'offset'] },
    ]);
  });
});

describe('what is said beside a thing', () => {
  it('never changes what is logged of it', () => {
    const asides = fc.constantFrom(
      'let me back up a little',
      'the dog is barking',
      "I'd line that",
      'needs to be jetted',
      'heading toward the main',
      'it was cut last spring',
      "don't flush that",
      'customer wants a copy',
    );
    fc.assert(
      fc.property(firm, asides, (say, aside) => {
        const alone = logged(say);
        const both = logged(`${say}; ${aside}`);
        expect(both.filter(({ kind }) => kind !== 'advice')).toEqual(alone);
        const turned = logged(`${aside}; ${say}`);
        expect(turned.filter(({ kind }) => kind !== 'advice')).toEqual(alone);
      }),
    );
  });

  it('comes in any order, where each part says its own footage', () => {
    const sort = (drafts: readonly object[]) => drafts.map((one) => JSON.stringify(one)).sort();
    fc.assert(
      fc.property(firm, firm, (one, other) => {
        if (one === other || one.startsWith('main') || other.startsWith('main')) return;
        expect(sort(logged(`${one}; ${other}`))).toEqual(sort(logged(`${other}; ${one}`)));
      }),
    );
  });

  it('advice, plans and aims log nothing as seen', () => {
    const frames = fc.constantFrom(
      (name: string) => `I'd get the ${name} cut`,
      (name: string) => `let's look for ${name}`,
      (name: string) => `customer is worried about ${name}`,
      (name: string) => `going to check for ${name}`,
      (name: string) => `couldn't find the ${name}`,
    );
    fc.assert(
      fc.property(frames, names, sizes, (frame, { name }, size) => {
        expect(logged(frame(name) + size).filter(isDefect)).toEqual([]);
      }),
    );
  });
});

describe('questions', () => {
  it('ask what the counter reads at home, and offer the zero', () => {
    const asked = readLine('home', { ...HERE, zeroFt: 1.5 })!;
    expect(asked.drafts).toEqual([]);
    expect(asked.choices).toEqual([
      { label: 'the zero, 1.5 ft', drafts: [{ kind: 'home', pass: 'back', readingFt: 1.5 }] },
    ]);
    expect(readLine('home 0.3', HERE)!.drafts).toMatchObject([{ readingFt: 0.3 }]);
  });

  it('offer what an impossible number may have been', () => {
    const asked = readLine('standing water 28 in deep', { ...HERE, boreHereIn: 3 })!;
    expect(asked).toMatchObject({ drafts: [], isRefused: true });
    expect(asked.choices.map(({ label }) => label)).toEqual(['2.8 in', 'at 28 ft']);
  });

  it('ask whether a fraction is of the foot or an inch, and take neither', () => {
    const asked = readLine('water from 30 to 36 1/4', HERE)!;
    expect(asked.choices.map(({ drafts }) => drafts[0])).toMatchObject([
      { readingFt: 30, toReadingFt: 36.25 },
      { readingFt: 30, toReadingFt: 36, depthIn: 0.25 },
    ]);
    expect(readLine('water from 30 to 36 1/4 ft', HERE)!.choices).toEqual([]);
  });

  it('that the inspector asks log nothing', () => {
    expect(read('is that a root?').kept).toBe('note');
    expect(read('roots 30?').drafts).toMatchObject([{ defect: 'roots', certainty: 'suspected' }]);
  });

  it('ask about a footage far from a counter that runs by itself', () => {
    const live = { ...HERE, liveCounterFt: 40 };
    expect(readLine('roots 66', live)!).toMatchObject({ drafts: [], isRefused: true });
    expect(readLine('roots 64', live)!.drafts).toHaveLength(1);
    expect(readLine('roots 66', HERE)!.drafts).toHaveLength(1);
  });
});

describe('a place only spoken of', () => {
  it.each([
    'the pipe in the yard is in really good condition',
    'put in a cleanout by the foundation',
    'now from the side of the house',
  ])('is no change of the ground and no feature: %s', (say) => {
    const kinds = read(say).drafts.map(({ kind }) => kind);
    expect(kinds).not.toContain('zone');
    expect(kinds).not.toContain('feature');
  });
});

describe('advice without a place of its own', () => {
  it('is over the thing that it was said of', () => {
    expect(read('belly from 40 to 46, 1 inch deep, should be dug up').drafts[1]).toMatchObject({
      kind: 'advice',
      readingFt: 40,
      toReadingFt: 46,
      does: 'dig',
    });
  });
});

describe('what is told', () => {
  it.each<[string, object]>([
    ['roots were cut this morning', { run: { cleanedBefore: 'cut' } }],
    ['zeroed at the rim', { run: { zero: { at: 'rim', readingFt: 0 } } }],
    // What the zero lies at was not said, and the size of the opening is no reading.
    ['zeroed at the 4 inch cleanout', { run: { zero: { readingFt: 0 } } }],
    ['built in 1952', { property: { yearBuilt: 1952 } }],
    ['this house was built in sixty two', { property: { yearBuilt: 1962 } }],
    ['the house is vacant', { property: { occupancy: 'vacant' } }],
  ])('%s: goes where it is kept, and logs nothing', (say, facts) => {
    const { facts: told, drafts } = read(say);
    expect(told).toMatchObject(facts);
    if ('run' in facts) expect(told.run).toEqual(facts.run);
    expect(drafts).toEqual([]);
  });

  it('long ago is history, and no cleaning before this run', () => {
    const { facts } = read('they cut the roots two years ago');
    expect(facts.run).toBeUndefined();
    expect(facts.property!.history).toEqual([
      { what: 'cleaned', note: 'they cut the roots two years ago' },
    ]);
  });

  it('is added to the history, each with its words', () => {
    const { facts } = read('they cut the roots last year; seller says it backed up in 2019');
    expect(facts.property!.history).toEqual([
      { what: 'cleaned', note: 'they cut the roots last year' },
      { what: 'backup', note: 'seller says it backed up in 2019' },
    ]);
  });

  it('of the water is how the run began, only before anything is seen', () => {
    expect(read('no water running').facts).toEqual({ run: { waterAtStart: 'none' } });
    const standing = entries({ kind: 'defect', defect: 'crack', readingFt: 12 });
    const later = read('no water running', { standing });
    expect(later.facts).toEqual({});
    expect(later.drafts).toMatchObject([{ kind: 'water', state: 'none' }]);
  });
});

describe('a size or a side said for itself', () => {
  it('is of what was said before it, and no second thing', () => {
    expect(logged('roots at 57; 40%')).toEqual(logged('roots at 57 40%'));
    expect(logged('roots at 57. In the barrel.')).toEqual(logged('roots at 57 in the barrel'));
  });

  it('is of the defect that was logged last, and else it is asked what has it', () => {
    const water = {
      kind: 'defect',
      defect: 'standing-water',
      readingFt: 24,
      toReadingFt: 31,
    } as const;
    const [logged] = entries(water);
    const sized = readLine('2 in deep', { ...HERE, counterFt: 31, standing: [logged!] })!;
    expect(sized.drafts).toMatchObject([{ ...water, depthIn: 2, replaces: logged!.id }]);
    expect(sized.drafts[0]).not.toHaveProperty('open');
    expect(readLine('2 in deep', HERE)!).toMatchObject({
      drafts: [],
      missing: ['what is 2 in deep'],
    });
  });

  it.each([
    ['downstream', 'clay 27 6 in upstream side', 'near'],
    ['downstream', 'clay 27 6 in downstream side', 'far'],
    ['upstream', 'clay 27 6 in upstream side', 'far'],
  ] as const)('looking %s, %s is the %s side', (facing, say, side) => {
    expect(read(say, { facing }).drafts).toMatchObject([{ kind: 'material', side }]);
  });
});
