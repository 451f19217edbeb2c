import { describe, expect, it } from 'vitest';
import { entries, runOf, type Said } from '#core/testing/build';
import { passAfter, readingAfter, resumeAt } from './counter';

describe('where a run goes on', () => {
  it.each<[string, Said[], { counterFt: number; pass: 'out' | 'back' }]>([
    ['an empty log: at the zero, on the way out', [], { counterFt: 2, pass: 'out' }],
    ['a point', [{ kind: 'note', note: 'x', readingFt: 31 }], { counterFt: 31, pass: 'out' }],
    [
      'a stretch: at its far end',
      [{ kind: 'defect', defect: 'scale', readingFt: 31, toReadingFt: 38 }],
      { counterFt: 38, pass: 'out' },
    ],
    [
      'the end: on the way back from there',
      [{ kind: 'end', reason: 'main', confirmedBy: 'sight', readingFt: 60 }],
      { counterFt: 60, pass: 'back' },
    ],
    [
      'the way back',
      [{ kind: 'note', note: 'x', readingFt: 44, pass: 'back' }],
      { counterFt: 44, pass: 'back' },
    ],
    [
      'words without a footage: where the last footage was',
      [
        { kind: 'note', note: 'x', readingFt: 31 },
        { kind: 'note', note: 'y', readingFt: null },
      ],
      { counterFt: 31, pass: 'out' },
    ],
  ])('after %s', (_, said, expected) => {
    const zero = { at: 'horizontal', readingFt: 2, dropFt: 0 } as const;
    expect(resumeAt(runOf(said, { zero }))).toEqual(expected);
  });

  it('a tree seen from the surface, or a retraction, moves no camera', () => {
    const [tree, taken] = entries(
      { kind: 'surface', what: 'tree', readingFt: 80 },
      { kind: 'retract', retracts: 'e1', readingFt: 3 },
    );
    expect([readingAfter(tree!), readingAfter(taken!)]).toEqual([null, null]);
    expect(passAfter(tree!, 'out')).toBe('out');
  });
});
