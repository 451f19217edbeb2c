import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { calloutContext } from '../../testing/callouts';
import { readLine } from '../read-line';

const draftsOf = (said: string) =>
  (readLine(said, calloutContext({ counterFt: 40 }))?.drafts ?? []).map(
    ({ note: _note, ...draft }) => draft,
  );
const isSighting = ({ kind }: { kind: string }) =>
  ['defect', 'feature', 'material', 'end'].includes(kind);

describe('what is only supposed is not logged as seen', () => {
  it.each([
    "if it gets worse it'll collapse",
    'if those roots grow it will back up',
    'this is where I expected a cleanout',
    'I thought that was a crack',
    "there's supposed to be a cleanout here",
    'there was a belly on the other side too but not this one',
    'this will eventually break',
    "I can see the main from here but I can't get to it",
    "that's a nice picture",
    'is that a crack',
  ])('%s', (said) => {
    expect(draftsOf(said).filter(isSighting)).toEqual([]);
  });

  it.each([
    ["I thought that was roots but it's just paper at 36", 'debris'],
    ["roots at 30, if they get worse they'll block it", 'roots'],
    ["if you look at the top there's a crack", 'crack'],
    ['roots? yep, about 20 percent', 'roots'],
    ['I thought so, roots at 31', 'roots'],
    ['roots were on the other side of the tee', 'roots'],
    ["they didn't use the right coupling there's about a half inch lip", 'lip'],
  ])('%s: only %s', (said, defect) => {
    expect(draftsOf(said).filter(isSighting)).toMatchObject([{ kind: 'defect', defect }]);
  });

  it.each(['roots', 'a crack', 'a hole', 'a break', 'an offset', 'grease'])(
    'nothing under a condition, whatever the condition: %s',
    (thing) => {
      const subjects = fc.constantFrom('it', 'they', 'this', 'that joint', 'somebody', 'the owner');
      const verbs = fc.constantFrom('gets worse', 'lets go', 'finds', 'waits', 'keeps pushing');
      fc.assert(
        fc.property(subjects, verbs, (subject, verb) => {
          const said = `if ${subject} ${verb} there could be ${thing}`;
          expect(draftsOf(said).filter(isSighting)).toEqual([]);
        }),
      );
    },
  );
});

describe('a tap', () => {
  it('at the side comes into this line; one on the main is where it ends', () => {
    expect(draftsOf('tap on the left at 50')).toMatchObject([{ feature: 'tee', clock: 9 }]);
    expect(draftsOf('tap at 88, 3 o’clock')).toMatchObject([{ feature: 'main-tap' }]);
  });
});

describe('what was asked and answered in one breath', () => {
  it.each([
    'roots? nope',
    'roots? no',
    'roots 40, none',
    'I was worried about roots here but there are none',
  ])('%s: looked for and not there', (said) => {
    expect(draftsOf(said)).toMatchObject([{ kind: 'clear', kinds: ['roots'], readingFt: 40 }]);
  });
});

describe('the next place', () => {
  it.each([
    ['offsets at 22, 27 and 33', [22, 27, 33]],
    ['roots at 40, 20 percent, and at 46, 35 percent', [40, 46]],
    ['tee on the left at 18 and on the right at 24', [18, 24]],
    ['roots twenty nine, fifteen', [29]],
  ])('%s', (said, places) => {
    expect(draftsOf(said).map(({ readingFt }) => readingFt)).toEqual(places);
  });
});

describe('numbers that are spoken of', () => {
  it.each([
    ['home reads three tenths', 0.3],
    ['home a tenth over', 0.1],
    ["at 100 and 4 feet there's a hole", 104],
    ["thirty eight's clean", 38],
    ["the separation's about two inches at 22", 22],
  ])('%s', (said, readingFt) => {
    expect(draftsOf(said)[0]).toMatchObject({ readingFt });
  });

  it('a count of something is no hour, and an arc says more than the top', () => {
    expect(draftsOf('the joint where two sections meet, roots')[0]).not.toHaveProperty('clockFrom');
    expect(draftsOf('crack along the top ten to two')).toMatchObject([
      { readingFt: 40, clockFrom: 10, clockTo: 2 },
    ]);
  });

  it('"inch and a half of water" is a depth', () => {
    expect(draftsOf('inch and a half of water from 30 to 36')).toMatchObject([
      { defect: 'standing-water', readingFt: 30, toReadingFt: 36, depthIn: 1.5 },
    ]);
  });
});

describe('advice', () => {
  it.each([
    ["you can't line this", 'liner', true],
    ["don't let anybody put a cutter in it", 'cut', true],
    ["I don't think the whole line needs to be replaced", 'dig', true],
    ["someone's going to have to dig this up", 'dig', undefined],
    ['get the section from 31 to 40 replaced', 'dig', undefined],
  ])('%s', (said, does, not) => {
    const [draft] = draftsOf(said);
    expect(draft).toMatchObject({ kind: 'advice', does });
    expect((draft as { not?: true }).not).toBe(not);
  });

  it('beside a size leaves what was seen', () => {
    expect(draftsOf('roots at 57 40 percent need to be cut')).toMatchObject([
      { defect: 'roots', readingFt: 57, extentRatio: 0.4 },
      { kind: 'advice', does: 'cut' },
    ]);
  });

  it('how deep it lies is no footage', () => {
    expect(draftsOf("I'd dig that, it's about two and a half feet down")).toMatchObject([
      { kind: 'advice', readingFt: 40 },
    ]);
  });
});

describe('where the pipe lies and what it goes to', () => {
  it.each([
    ['out from under the house at 19', { zone: 'under-house', side: 'near', readingFt: 19 }],
    ['sidewalk, left of the drive, at 45', { side: 'far', readingFt: 45 }],
    ['pvc to 8 feet', { material: 'pvc', side: 'near', readingFt: 8 }],
    ['goes to clay 6 in at 23', { material: 'vitrified-clay', side: 'far', readingFt: 23 }],
  ])('%s', (said, want) => {
    expect(draftsOf(said)[0]).toMatchObject(want);
  });
});
