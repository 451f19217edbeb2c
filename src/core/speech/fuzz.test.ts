import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEFECTS } from '../catalogue/defects/index';
import { FEATURES } from '../catalogue/features/index';
import { MATERIALS } from '../catalogue/materials/index';
import { ZONES } from '../catalogue/zones';
import { checkEntry } from '../model/log/entry.schema';
import { sayEntry } from '../model/log/say-entry';
import { entries, logged, minute } from '../testing/build';
import type { CalloutContext } from './draft';
import { parseCallout } from './parse';

const standing = entries(
  { kind: 'material', readingFt: 0, side: 'far', material: 'abs', diameterIn: 4 },
  { kind: 'defect', defect: 'standing-water', readingFt: 43, open: true },
  { kind: 'unseen', cause: 'murky', readingFt: 50, open: true },
  { kind: 'flag', readingFt: 57 },
);
const contexts: fc.Arbitrary<CalloutContext> = fc.record({
  counterFt: fc.option(fc.integer({ min: 0, max: 900 }).map((tenths) => tenths / 10)),
  pass: fc.constantFrom('out', 'back'),
  boreHereIn: fc.option(fc.constantFrom(3, 4, 6)),
  standing: fc.constant(standing),
  openIds: fc.constant(new Set(['e2', 'e3'])),
});

const WORDS = [
  'roots',
  'water',
  'crack',
  'hairline',
  'open',
  'clay',
  'cast iron',
  'pvc',
  'from',
  'to',
  '43',
  '52.5',
  '2',
  '11',
  '60%',
  'half',
  'full',
  '3.3 in',
  '1/2 in',
  '8 ft long',
  'at joint',
  'in the barrel',
  "o'clock",
  'maybe',
  "can't tell",
  'holding debris',
  'soil visible',
  'main',
  'seen',
  'located',
  'not reached',
  '12 ft left',
  'home',
  'flag',
  'note',
  'retract',
  'correct',
  'drained',
  'off',
  'on',
  'tee',
  'bend',
  '45',
  'left',
  'serves kitchen',
  'property line',
  'driveway',
  'locate',
  `4'1"`,
  'white x',
  '6\'2" from garage corner',
  'under water',
  'can see now',
  'flush',
  'clears',
  'tree',
  'skid',
  'twenty seven',
  'point five',
  ',',
  '.',
  '-',
  'and',
  'measured',
  'our doing',
  'this side',
];
const callouts = fc.oneof(
  fc
    .array(fc.constantFrom(...WORDS), { minLength: 1, maxLength: 9 })
    .map((words) => words.join(' ')),
  fc.string({ maxLength: 60 }),
  fc.string({ unit: 'binary', maxLength: 30 }),
);

describe('any call-out at all', () => {
  it('is read without a fault into entries that the log takes, and loses no number and no strange word', () => {
    fc.assert(
      fc.property(callouts, contexts, (text, context) => {
        const read = parseCallout(text, context);
        expect(read === null).toBe(text.trim() === '');
        if (!read) return;
        for (const draft of read.drafts) {
          // Only a missing footage or an unsaid fact may keep it from the log; the chip asks for those.
          const outcome = checkEntry(logged(draft, 'x', minute(0)));
          const faults = outcome.ok ? [] : outcome.faults.map(({ path }) => path);
          if (faults.length > 0) expect(read.missing.length).toBeGreaterThan(0);
          expect(sayEntry(draft).title.length).toBeGreaterThan(0);
        }
        expect(read.drafts.length + read.missing.length).toBeGreaterThan(0);
      }),
      { numRuns: 1000 },
    );
  });

  it('keeps a word that nobody knows, whatever stands round it', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.constantFrom(...WORDS.filter((word) => !/retract|correct|can see/.test(word))),
          { maxLength: 6 },
        ),
        fc.nat({ max: 6 }),
        contexts,
        (words, at, context) => {
          const text = [...words.slice(0, at), 'zorgblatt', ...words.slice(at)].join(' ');
          const kept = JSON.stringify(parseCallout(text, context)!.drafts);
          expect([text, kept.includes('zorgblatt')]).toEqual([text, true]);
        },
      ),
      { numRuns: 500 },
    );
  });

  it('puts a thing at the footage said, else at the counter', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 130, max: 900 }),
        fc.integer({ min: 0, max: 900 }),
        fc.constantFrom(
          'roots 20%',
          'crack hairline',
          'gap 0.5 in',
          'tee',
          'property line',
          'clay 6 in',
        ),
        (said, counter, thing) => {
          const context: CalloutContext = {
            counterFt: counter / 10,
            pass: 'out',
            boreHereIn: 4,
            standing: [],
            openIds: new Set(),
          };
          expect(parseCallout(`${thing} ${said / 10}`, context)!.drafts[0]!.readingFt).toBe(
            said / 10,
          );
          expect(parseCallout(`${said / 10} ft ${thing}`, context)!.drafts[0]!.readingFt).toBe(
            said / 10,
          );
          expect(parseCallout(thing, context)!.drafts[0]!.readingFt).toBe(counter / 10);
        },
      ),
    );
  });
});

describe('the lexicon', () => {
  const context: CalloutContext = {
    counterFt: 20,
    pass: 'out',
    boreHereIn: 4,
    standing: [],
    openIds: new Set(),
  };
  const plain = (code: string) => code.replace(/-/g, ' ');

  it.each(MATERIALS.filter((material) => material !== 'unknown'))(
    'knows %s by its plain name',
    (material) => {
      expect(parseCallout(`30 ${plain(material)} 6 in`, context)!.drafts[0]).toMatchObject({
        kind: 'material',
        material,
        diameterIn: 6,
        readingFt: 30,
      });
    },
  );

  it.each(ZONES)('knows %s by its plain name', (zone) => {
    expect(parseCallout(`${plain(zone)} 30`, context)!.drafts[0]).toMatchObject({
      kind: 'zone',
      zone,
      readingFt: 30,
    });
  });

  it.each(FEATURES.filter((feature) => feature !== 'tank'))(
    'knows %s by its plain name',
    (feature) => {
      expect(parseCallout(`${plain(feature)} 30`, context)!.drafts[0]).toMatchObject({
        kind: 'feature',
        feature,
        readingFt: 30,
      });
    },
  );

  const spoken: Record<string, string> = {
    mineral: 'mineral deposit',
    'coupling-failed': 'failed coupling',
    'wall-loss': 'wall loss',
    'utility-crossing': 'gas line',
  };
  it.each(DEFECTS)('knows %s by its plain name', (defect) => {
    expect(parseCallout(`${spoken[defect] ?? plain(defect)} 30`, context)!.drafts[0]).toMatchObject(
      { kind: 'defect', defect, readingFt: 30 },
    );
  });
});
