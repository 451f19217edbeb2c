import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { parseCallout } from '../../speech/parse';
import { calloutContext } from '../../testing/callouts';
import { canBeLogged } from './can-be-logged';
import { checkEntry } from './entry.schema';

const lines = ['lines', 'held-out', 'held-out-2', 'held-out-3', 'held-out-4'].flatMap((name) =>
  readFileSync(`bench/speech/${name}.txt`, 'utf8')
    .split('\n')
    .flatMap((row) => row.split(' | ')[1] ?? []),
);
const asEntry = (draft: object) => ({ id: 'x', at: '2026-11-03T09:00:00-08:00', ...draft });

describe('what the reader makes of a line', () => {
  const draftsOf = (line: string) => parseCallout(line, calloutContext())?.drafts ?? [];

  it('is taken by the log wherever the screen lets it through, over every line of the corpora and mixtures of them', () => {
    const mixed = fc
      .tuple(
        fc.constantFrom(...lines),
        fc.constantFrom(...lines),
        fc.constantFrom(' ', ', ', ' 99999999 '),
      )
      .map(([a, b, between]) => a + between + b);
    const isTaken = (line: string) =>
      draftsOf(line)
        .filter(canBeLogged)
        .every((draft) => checkEntry(asEntry(draft)).ok);
    expect(lines.filter((line) => !isTaken(line))).toEqual([]);
    fc.assert(fc.property(mixed, isTaken));
  });

  it('is held back where a number or a text is beyond all measure', () => {
    const draft = { kind: 'note', pass: 'out', readingFt: 12, note: 'x' } as const;
    expect(canBeLogged(draft)).toBe(true);
    expect(canBeLogged({ ...draft, readingFt: 1e6 })).toBe(false);
    expect(canBeLogged({ ...draft, note: 'x'.repeat(20_001) })).toBe(false);
  });
});
