import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoInspection } from '../../testing/demo-inspections';
import { applyEdits, doMeet, type Edit, editsOf, sameJson, valueAt } from './edits';
import { checkEdits } from './facts';
import type { Inspection } from './inspection';

const alder = demoInspection('alder-bend');
const [access] = alder.accessPoints;
const [{ entries: _entries, ...setup }] = alder.runs as [Inspection['runs'][number]];
const tree = (id: string, where: string) => ({ id, what: 'tree', where });

describe('what a screen changes', () => {
  it('becomes the fields that differ, and no others', () => {
    const property = { ...alder.property, yearBuilt: 1950, bathrooms: null };
    expect(editsOf(alder, { what: 'facts', facts: { property } })).toEqual([
      { path: ['property', 'yearBuilt'], value: 1950 },
      { path: ['property', 'bathrooms'] },
    ]);
    const zero = { ...setup.zero, dropFt: 12 };
    expect(editsOf(alder, { what: 'run', setup: { ...setup, zero } })).toEqual([
      { path: ['runs', 'R1', 'zero', 'dropFt'], value: 12 },
    ]);
    expect(editsOf(alder, { what: 'access', access: { ...access!, usable: false } })).toEqual([
      { path: ['accessPoints', access!.id, 'usable'], value: false },
    ]);
    expect(editsOf(alder, { what: 'run', setup })).toEqual([]);
  });

  it('sets each part of a list by itself', () => {
    const one = applyEdits(alder, [
      { path: ['property', 'surroundings'], value: [tree('t1', 'by the drive')] },
    ]);
    const here = editsOf(one, {
      what: 'facts',
      facts: { property: { surroundings: [tree('t1', 'by the drive'), tree('t2', 'gate')] } },
    });
    const there = editsOf(one, {
      what: 'facts',
      facts: { property: { surroundings: [tree('t1', 'by the walk')] } },
    });
    expect(here).toEqual([
      { path: ['property', 'surroundings', '@t2'], value: tree('t2', 'gate') },
    ]);
    const both = applyEdits(one, [...here, ...there]);
    expect(both.property.surroundings).toEqual([tree('t1', 'by the walk'), tree('t2', 'gate')]);
    expect(valueAt(both, ['property', 'surroundings', '@t1', 'where'])).toBe('by the walk');
  });

  it('leaves a log where it is, and what belongs to the record', () => {
    const after = applyEdits(alder, [
      { path: ['runs', 'R1', 'facing'], value: 'upstream' },
      { path: ['runs', 'R1', 'entries'], value: [] },
      { path: ['job', 'id'], value: 'other' },
      { path: ['runs', 'R9', 'facing'], value: 'upstream' },
    ]);
    expect(after.runs[0]).toEqual({ ...alder.runs[0], facing: 'upstream' });
    expect(after.runs).toHaveLength(alder.runs.length);
    expect(after.job.id).toBe(alder.job.id);
  });
});

const value = fc.oneof(
  fc.constantFrom(1950, 'x', null, true),
  fc.dictionary(fc.constantFrom('a', 'b', 'c'), fc.constantFrom(1, 'y', [1, 2], { d: 1 })),
  fc.uniqueArray(fc.record({ id: fc.constantFrom('p', 'q', 'r'), n: fc.constantFrom(1, 2) }), {
    selector: ({ id }) => id,
  }),
);
const facts = fc.dictionary(fc.constantFrom('one', 'two', 'three'), value, { maxKeys: 3 });
const withFacts = (property: object) =>
  ({ ...alder, property: { ...alder.property, ...property } }) as Inspection;

describe('edits, over facts made by chance', () => {
  it('take one state to another, and say nothing when laid again', () => {
    fc.assert(
      fc.property(facts, facts, (from, to) => {
        const before = withFacts(from);
        const gone = Object.fromEntries(Object.keys(from).map((key) => [key, null]));
        const change = { property: { ...gone, ...to } as never };
        const after = applyEdits(before, editsOf(before, { what: 'facts', facts: change }));
        // `null` takes a field out at the door of a screen.
        const kept = Object.entries(to).filter(([, one]) => one !== null);
        const wanted = withFacts(Object.fromEntries(kept)).property;
        // The order of a list's parts is not kept where both have the same ones changed.
        const plain = (one: unknown) =>
          JSON.parse(
            JSON.stringify(one, (_, inner: unknown) =>
              Array.isArray(inner)
                ? inner.toSorted((a, b) => (JSON.stringify(a) < JSON.stringify(b) ? -1 : 1))
                : inner,
            ),
          ) as unknown;
        expect(sameJson(plain(after.property), plain(wanted))).toBe(true);
      }),
    );
  });

  it('of two people who change different fields both stand, in either order', () => {
    fc.assert(
      fc.property(facts, facts, facts, (from, one, other) => {
        const before = withFacts(from);
        const edit = (to: object) => editsOf(before, { what: 'facts', facts: { property: to } });
        const mine = edit(one);
        const theirs = edit(other).filter(({ path }) => !mine.some((it) => doMeet(it.path, path)));
        const ab = applyEdits(before, [...mine, ...theirs]);
        const ba = applyEdits(before, [...theirs, ...mine]);
        for (const { path } of [...mine, ...theirs] as Edit[])
          expect(valueAt(ab, path)).toEqual(valueAt(ba, path));
      }),
    );
  });
});

describe('edits of unknown shape', () => {
  it.each<[string, unknown, string]>([
    ['no list', 7, 'edits: expected a list of at most 1000 edits'],
    ['no path', [{}], 'edits[0].path: expected a path of 2 to 12 keys'],
    ['another section', [{ path: ['format', 'x'], value: 1 }], 'edits[0].path'],
    [
      'a bad value',
      [{ path: ['property', 'yearBuilt'], value: 'old' }],
      'property.yearBuilt: expected a number',
    ],
    [
      'a needed field taken out',
      [{ path: ['property', 'address'] }],
      'property.address: expected a value here',
    ],
    [
      'a run taken out',
      [{ path: ['runs', 'R1'] }],
      'edits[0].value: expected an object, got nothing',
    ],
    [
      'a part that is text',
      [{ path: ['ties', 'T1'], value: 'x' }],
      'edits[0].value: expected an object',
    ],
    [
      'a part under another id',
      [{ path: ['decisions', 'd'], value: { id: 'e', kind: 'k', reason: '' } }],
      'decisions.d.id: expected d',
    ],
    [
      'a run from nowhere',
      [{ path: ['runs', 'R7'], value: { ...setup, id: 'R7', accessPointId: 'Z' } }],
      'runs[1].accessPointId',
    ],
    ['a prototype', [{ path: ['property', '__proto__'], value: { polluted: 1 } }], ''],
  ])('%s', (_, edits, says) => {
    const outcome = checkEdits(alder, edits);
    const said = outcome.ok
      ? ''
      : outcome.faults
          .map((one) => `${one.path}: expected ${one.expected}, got ${one.got}`)
          .join('\n');
    expect(said).toContain(says);
    expect(outcome.ok).toBe(says === '');
    expect(({} as { polluted?: number }).polluted).toBeUndefined();
  });
});
