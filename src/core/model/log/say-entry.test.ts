import { describe, expect, it } from 'vitest';
import { entries, type Said } from '../../testing/build';
import { ENTRY_KINDS } from './entry.schema';
import { sayEntry } from './say-entry';

const say = (said: Said) => {
  const { title, facts } = sayEntry(entries(said)[0]!);
  return [title, ...facts].join(' · ');
};

const CASES: [Said, string][] = [
  [
    { kind: 'clear', toReadingFt: 40, kinds: ['roots', 'crack'] },
    'Clear · to 40 · no roots, crack',
  ],
  [{ kind: 'advice', does: 'liner', text: 'line it' }, 'Advice · line it'],
  [
    {
      kind: 'defect',
      defect: 'roots',
      clockFrom: 10,
      clockTo: 2,
      extentRatio: 0.6,
      locus: 'barrel',
    },
    'Roots · 60% of the pipe · 10 to 2 · in the barrel',
  ],
  [
    { kind: 'defect', defect: 'standing-water', toReadingFt: 52, depthIn: 3.3, holdsDebris: true },
    'Standing water · to 52 · 3.3 in deep · holds debris',
  ],
  [
    {
      kind: 'defect',
      defect: 'crack',
      form: 'hairline',
      direction: 'along',
      clockFrom: 0.5,
      certainty: 'suspected',
    },
    'Crack · hairline · along · 12:30 o’clock · suspected',
  ],
  [
    { kind: 'defect', defect: 'gap', gapIn: 0.5, soilVisible: true, note: 'sandy' },
    'Gap · 0.5 in wide · soil visible · “sandy”',
  ],
  [
    { kind: 'defect', defect: 'debris', open: true, ourDoing: true, certainty: 'cannot-tell' },
    'Debris · end open · our doing · cannot tell',
  ],
  [
    { kind: 'material', side: 'far', material: 'vitrified-clay', diameterIn: 6 },
    '6 in clay beyond',
  ],
  [
    {
      kind: 'material',
      side: 'near',
      material: 'pvc',
      diameterIn: 4,
      lined: true,
      joint: 'lip',
      lipIn: 0.4,
    },
    '4 in PVC this side · lined · lip · lip 0.4 in',
  ],
  [
    { kind: 'feature', feature: 'tee', clock: 3, serves: 'kitchen' },
    'Tee · 3 o’clock · serves kitchen',
  ],
  [{ kind: 'feature', feature: 'bend', angleDeg: 45, turns: 'left' }, 'Bend · 45° · left'],
  [{ kind: 'feature', feature: 'drop', dropFt: 2 }, 'Drop · 2 ft down'],
  [{ kind: 'zone', zone: 'under-house', side: 'far' }, 'Under the house beyond'],
  [{ kind: 'water', state: 'drained', source: 'tub' }, 'Water drained · tub'],
  [{ kind: 'unseen', cause: 'dirty-lens', open: true }, 'Can’t see · dirty lens · end open'],
  [
    { kind: 'locate', depthIn: 49, mark: 'white x', swings: [{ from: 'pole', distanceFt: 9.25 }] },
    'Locate 4 ft 1 in · white x · 9.3 ft from pole',
  ],
  [{ kind: 'locate', blockedBy: 'a car' }, 'Locate blocked · a car'],
  [{ kind: 'flow-test', fixture: 'tub', result: 'backs-up' }, 'Flow test: tub · backs up'],
  [{ kind: 'setup', head: 'small', aid: 'skid' }, 'Set-up changed · small · aid: skid'],
  [{ kind: 'end', reason: 'main', confirmedBy: 'sight' }, 'Main reached · confirmed by sight'],
  [
    { kind: 'end', reason: 'lost-push', confirmedBy: 'none', remainderFt: 12 },
    'Run ends: lost push · not confirmed · 12 ft left',
  ],
  [{ kind: 'home' }, 'Home'],
  [{ kind: 'surface', what: 'sunken-ground', offsetFt: 4 }, 'Sunken ground · 4 ft to the side'],
  [{ kind: 'close', closes: 'e9' }, 'Stretch ends'],
  [{ kind: 'retract', retracts: 'e9' }, 'Taken back'],
  [{ kind: 'photo', photoIds: ['p'] }, 'Still'],
  [{ kind: 'note', note: 'gate code' }, 'Note · “gate code”'],
  [{ kind: 'flag' }, 'Flag'],
];

describe('sayEntry', () => {
  it.each(CASES)('%j', (said, expected) => {
    expect(say(said)).toBe(expected);
  });

  it('has words for every kind', () => {
    const said = new Set(CASES.map(([{ kind }]) => kind));
    expect(ENTRY_KINDS.filter((kind) => !said.has(kind))).toEqual([]);
  });
});
