import { describe, expect, it } from 'vitest';
import { parseCallout } from '#core/speech/parse';
import { MEANINGS, taught, unknownWords } from './teach';

const HERE = {
  counterFt: 40,
  pass: 'out',
  boreHereIn: 4,
  standing: [],
  openIds: new Set<string>(),
} as const;

describe('teaching a word', () => {
  it('takes the words of a line that nobody knows', () => {
    expect(unknownWords('spaghetti monster at 31')).toBe('spaghetti monster');
    expect(unknownWords('roots at 31')).toBe('');
    expect(unknownWords('')).toBe('');
  });

  it('is understood from then on, whatever it was called', () => {
    for (const { means, name } of Object.values(MEANINGS).flat()) {
      const ownWords = taught([], 'spaghetti', means);
      const read = parseCallout('spaghetti 31', { ...HERE, ownWords })!;
      expect([name, read.kept]).toEqual([name, null]);
      expect(read.drafts[0]).toMatchObject({ readingFt: 31 });
    }
  });

  it('means what was said last', () => {
    const once = taught([{ says: 'Spaghetti', means: 'roots' }], 'spaghetti', 'grease');
    expect(once).toEqual([{ says: 'spaghetti', means: 'grease' }]);
  });
});
