import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Edit, sameJson, valueAt } from '#core/model/job/edits';
import type { Entry } from '#core/model/log/entry';
import { demoInspection } from '#core/testing/demo-inspections';
import { listEdits, listOverwritten, storeEdits } from './edits';
import { logEntries } from './entries';
import { loadFacts, loadInspection, storeInspection } from './inspections';
import { freshDatabase } from './testing/fresh-database';
import { CHERT } from './testing/people';

const alder = demoInspection('alder-bend');
const RUN = alder.runs[0]!.id;
/** Fields that two devices set at once, and what they may be set to. */
const FIELDS: readonly { readonly path: readonly string[]; readonly values: readonly unknown[] }[] =
  [
    { path: ['job', 'client'], values: ['Lee', 'Moss', 'Orr'] },
    { path: ['property', 'yearBuilt'], values: [1950, 1962, 1985] },
    { path: ['property', 'bathrooms'], values: [1, 2, undefined] },
    {
      path: ['accessPoints', alder.accessPoints[0]!.id, 'place'],
      values: ['by the shed', 'front'],
    },
    { path: ['runs', RUN, 'facing'], values: ['downstream', 'upstream'] },
  ];
const edit = fc.nat({ max: FIELDS.length - 1 }).chain((at) =>
  fc.constantFrom(...FIELDS[at]!.values).map((value): Edit => ({
    path: FIELDS[at]!.path,
    ...(value === undefined ? {} : { value }),
  })),
);
type Deed = {
  readonly device: 'one' | 'two';
  readonly edits: readonly Edit[];
  readonly looks: boolean;
};
/** Both offline, then sending in any order; a device now and then hears what the server has before it goes on. */
const deeds: fc.Arbitrary<Deed[]> = fc.array(
  fc.record({
    device: fc.constantFrom('one' as const, 'two' as const),
    edits: fc.array(edit, { minLength: 1, maxLength: 3 }),
    looks: fc.boolean(),
  }),
  { minLength: 1, maxLength: 12 },
);

const its = freshDatabase();
let jobs = 0;
/** A job of its own for each try. */
function freshJob(): string {
  const id = `job-${(jobs += 1)}`;
  storeInspection(its.db, { ...alder, job: { ...alder.job, id } }, '2026-11-03T00:00:00Z');
  return id;
}
const instant = (step: number) => new Date(Date.UTC(2026, 10, 3, 9, 0, step)).toISOString();
const keyOf = (path: readonly string[]) => path.join(' ');

describe('two devices on one job', () => {
  it('merge by field: the later stands, nothing is lost, and what met unseen is told', () => {
    fc.assert(
      fc.property(deeds, (list) => {
        const jobId = freshJob();
        const start = loadFacts(its.db, jobId)!;
        const seen = { one: start.rev, two: start.rev };
        // The reference: a plain book of what each field was set to, in the order in which it arrived.
        const book = new Map(
          FIELDS.map(({ path }) => [keyOf(path), valueAt(start.inspection, path)]),
        );
        const set: { key: string; value: unknown; device: string; rev: number }[] = [];
        const met: { key: string; value: unknown; over: unknown }[] = [];
        list.forEach(({ device, edits, looks }, step) => {
          const sent = {
            id: `${jobId}-${step}`,
            device,
            saidAt: instant(step),
            base: seen[device],
            caller: CHERT,
          };
          const { rev } = storeEdits(its.db, jobId, { ...sent, edits }, instant(step));
          const before = set.filter((one) => one.rev > seen[device] && one.device !== device);
          for (const { path, value } of edits) {
            const key = keyOf(path);
            if (sameJson(book.get(key), value)) continue;
            const over = before.findLast((one) => one.key === key);
            if (over) met.push({ key, value, over: over.value });
            set.push({ key, value, device, rev });
            book.set(key, value);
          }
          if (looks) seen[device] = loadFacts(its.db, jobId)!.rev;
        });
        const { inspection } = loadFacts(its.db, jobId)!;
        for (const { path } of FIELDS)
          expect(valueAt(inspection, path)).toEqual(book.get(keyOf(path)));
        expect(
          listEdits(its.db, jobId)
            .reverse()
            .map(({ path, value }) => [keyOf(path), value]),
        ).toEqual(set.map(({ key, value }) => [key, value]));
        expect(
          listOverwritten(its.db, jobId)
            .reverse()
            .map(({ path, value, over }) => [keyOf(path), value, over.value]),
        ).toEqual(met.map(({ key, value, over }) => [key, value, over]));
      }),
      { numRuns: 150 },
    );
  });

  it('merge what they logged: every entry of both stands once, in the order of its arrival', async () => {
    const sends = fc.array(
      fc.record({
        device: fc.constantFrom('a', 'b'),
        count: fc.integer({ min: 1, max: 4 }),
        isAgain: fc.boolean(),
      }),
      { minLength: 1, maxLength: 8 },
    );
    await fc.assert(
      fc.asyncProperty(sends, async (list) => {
        const jobId = freshJob();
        const before = loadInspection(its.db, jobId)!.runs[0]!.entries.map(({ id }) => id);
        const wanted: string[] = [];
        let number = 0;
        for (const { device, count, isAgain } of list) {
          const entries = Array.from({ length: count }, (): Entry => ({
            id: `${device}${(number += 1)}`,
            at: instant(number),
            pass: 'out',
            readingFt: number,
            kind: 'note',
            note: device,
          }));
          wanted.push(...entries.map(({ id }) => id));
          // A lost answer: the same is sent once more.
          for (const _ of isAgain ? [0, 1] : [0])
            await logEntries(its.db, jobId, RUN, entries, instant(number));
        }
        const after = loadInspection(its.db, jobId)!.runs[0]!.entries.map(({ id }) => id);
        expect(after).toEqual([...before, ...wanted]);
      }),
      { numRuns: 60 },
    );
  });
});
