import { describe, expect, it } from 'vitest';
import { mostTrusted, placeGroup } from './place-group';
import type { Sighting } from './sighting';

type Seen = {
  readonly run: string;
  readonly at: number;
  readonly sigmaFt: number;
  readonly pass?: 'out' | 'back';
  readonly oneEnded?: boolean;
  /** Station and σ of the tie that holds it. */
  readonly tie?: readonly [number, number];
};

/** A sighting two feet long about `at`, by a run of that name. */
function seen({ run, at, sigmaFt, pass = 'out', oneEnded, tie }: Seen): Sighting {
  const place = (stationFt: number) => ({ stationFt });
  const axis = {
    run: { id: run },
    words: { tieOf: () => (tie ? { stationFt: tie[0], sigmaFt: tie[1] } : undefined) },
    log: { byId: new Map([[`${run} ${at}`, { id: `${run} ${at}` }]]) },
    placeOfEntry: () => ({ from: place(at), to: place(at) }),
  };
  return {
    axis: axis as unknown as Sighting['axis'],
    entryId: `${run} ${at}`,
    pass,
    span: { fromFt: at - 1, toFt: at + 1 },
    sigmaFt,
    readingSigmaFt: sigmaFt,
    ...(oneEnded === undefined ? {} : { oneEnded }),
  };
}
const trusted = (trustPass: 'out' | 'back', ...group: Seen[]) =>
  mostTrusted(group.map(seen), trustPass).entryId;

describe('the sighting that is trusted', () => {
  it.each<[string, string, Seen[]]>([
    ['the only one', 'A 10', [{ run: 'A', at: 10, sigmaFt: 9 }]],
    [
      'of one run, its trusted pass, even where it is less sure',
      'A 11',
      [
        { run: 'A', at: 10, sigmaFt: 0.2 },
        { run: 'A', at: 11, sigmaFt: 0.9, pass: 'back' },
      ],
    ],
    [
      'of one run and one pass, the surer',
      'A 11',
      [
        { run: 'A', at: 10, sigmaFt: 0.9, pass: 'back' },
        { run: 'A', at: 11, sigmaFt: 0.2, pass: 'back' },
      ],
    ],
    [
      'of one run, the one with both its ends before any pass',
      'A 10',
      [
        { run: 'A', at: 10, sigmaFt: 0.9 },
        { run: 'A', at: 11, sigmaFt: 0.2, pass: 'back', oneEnded: true },
      ],
    ],
    [
      'of several runs, the surest',
      'B 11',
      [
        { run: 'A', at: 10, sigmaFt: 0.9, pass: 'back' },
        { run: 'B', at: 11, sigmaFt: 0.2, pass: 'back' },
      ],
    ],
    [
      'of several runs, each by its trusted pass: an untrusted one counts only against its own run',
      'B 12',
      [
        { run: 'A', at: 10, sigmaFt: 0.1 },
        { run: 'A', at: 11, sigmaFt: 0.9, pass: 'back' },
        { run: 'B', at: 12, sigmaFt: 0.5 },
      ],
    ],
    [
      'of several runs, one with both its ends before a surer one',
      'A 10',
      [
        { run: 'A', at: 10, sigmaFt: 0.9, pass: 'back' },
        { run: 'B', at: 11, sigmaFt: 0.2, pass: 'back', oneEnded: true },
      ],
    ],
    [
      'of runs that are as sure as one another, the first by name, whatever order they came in',
      'A 10',
      [
        { run: 'B', at: 11, sigmaFt: 0.2, pass: 'back' },
        { run: 'A', at: 10, sigmaFt: 0.2, pass: 'back' },
      ],
    ],
  ])('is %s', (_, entryId, group) => {
    expect(trusted('back', ...group)).toBe(entryId);
    expect(trusted('back', ...[...group].reverse())).toBe(entryId);
  });

  it('is on the way out where that is the pass to trust', () => {
    const both: Seen[] = [
      { run: 'A', at: 10, sigmaFt: 0.9 },
      { run: 'A', at: 11, sigmaFt: 0.2, pass: 'back' },
    ];
    expect(trusted('out', ...both)).toBe('A 10');
  });
});

describe('where a group lies', () => {
  it('is where its most trusted sighting has it, when nothing ties it', () => {
    const group = [
      seen({ run: 'A', at: 10, sigmaFt: 0.9 }),
      seen({ run: 'B', at: 11, sigmaFt: 0.2 }),
    ];
    expect(placeGroup(group, 'back')).toMatchObject({
      best: { entryId: 'B 11' },
      span: { fromFt: 10, toFt: 12 },
      sigmaFt: 0.2,
    });
  });

  it('is where its tie lies: moved there whole, and as sure as the tie', () => {
    const group = [
      seen({ run: 'A', at: 10, sigmaFt: 0.9, tie: [12.5, 0.4] }),
      seen({ run: 'B', at: 11, sigmaFt: 0.2 }),
    ];
    // The tied sighting stands for the group although another is surer: 10 is moved to 12.5, and both ends with it.
    expect(placeGroup(group, 'back')).toMatchObject({
      best: { entryId: 'A 10' },
      span: { fromFt: 11.5, toFt: 13.5 },
      sigmaFt: 0.4,
    });
  });
});
