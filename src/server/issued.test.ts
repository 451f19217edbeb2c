import { describe, expect, it } from 'vitest';
import { writeInspectionFile } from '#core/interchange/inspection-file';
import type { Inspection } from '#core/model/job/inspection';
import { demoInspection } from '#core/testing/demo-inspections';
import { fileMessage, findAttachment, listOutbox } from './delivery/outbox';
import { storeEdits } from './edits';
import { loadInspection, storeInspection } from './inspections';
import { issueReport, type IssueWish, type Print } from './issue-report';
import { findIssuedFile, listIssued, loadFrozen, verifyIssued } from './issued';
import { listEarlier } from './jobs';
import { storeMedia } from './media/media';
import { hashOfStill } from './media/stills';
import { StoreTrouble } from './media/store';
import { createShare, findShared, listShares, revokeShare } from './shares';
import { freshDatabase } from './testing/fresh-database';
import { CHERT } from './testing/people';
import { PNG, withStill } from './testing/with-still';
const NOW = '2026-11-06T22:05:30.500Z';
const NOW_MS = Date.parse(NOW);
const its = freshDatabase();

let changes = 0;
/** Sets a field of the job as a device would. */
const set = (path: readonly string[], value: unknown) =>
  storeEdits(
    its.db,
    JOB,
    {
      id: `c${(changes += 1)}`,
      device: 'D',
      saidAt: NOW,
      base: 1,
      edits: [{ path, value }],
      caller: CHERT,
    },
    NOW,
  );

/** A printer that prints only what can be told apart: the real one has tests of its own. */
const print: Print = async ({ title, footer, blocks, stills }) =>
  Buffer.from(JSON.stringify([title, footer, blocks.length, [...stills.keys()]]));
const put = (inspection: Inspection) => storeInspection(its.db, inspection, '2026-11-03T00:00:00Z');
const issue = (jobId: string, wish: Partial<IssueWish> = {}) =>
  issueReport(its.db, its.stores, jobId, { reason: '', limits: '', ...wish }, print, NOW_MS);
const verify = (jobId: string, number: number) =>
  verifyIssued(its.db, jobId, number, hashOfStill(its.db, its.stores, jobId));
/** The database as somebody with the file in hand can write it. */
const tamper = (sql: string, ...values: unknown[]) => {
  for (const name of [
    'issued_are_never_edited',
    'issued_files_are_never_edited',
    'issued_files_are_never_deleted',
  ])
    its.db.exec(`DROP TRIGGER IF EXISTS ${name}`);
  its.db.prepare(sql).run(...values);
};

const alder = demoInspection('alder-bend');
const JOB = alder.job.id;
const keepStill = () =>
  storeMedia(
    its.db,
    its.stores,
    { jobId: JOB, id: 'p1' },
    { type: 'image/png', bytes: PNG },
    'now',
  );

describe('issuing', () => {
  it('freezes tree, PDFs, calendar and inspection file under one seal, in the job’s own time', async () => {
    put(alder);
    const issued = await issue(JOB);
    expect(issued).toMatchObject({ number: 1, issuedAt: '2026-11-06T14:05:30-08:00', reason: '' });
    expect(issued.seal).toMatch(/^[0-9a-f]{64}$/);
    for (const name of [
      'report.json',
      'inspection.chert.json',
      'calendar.ics',
      'buyer.pdf',
      'agent.pdf',
      'contractor.pdf',
    ])
      expect(findIssuedFile(its.db, JOB, 1, name)!.bytes.length).toBeGreaterThan(20);
    expect(loadFrozen(its.db, JOB, 1)!.headline).toBe(issued.headline);
    expect(findIssuedFile(its.db, JOB, 1, 'inspection.chert.json')!.bytes.toString()).toBe(
      writeInspectionFile(loadInspection(its.db, JOB)!),
    );
    expect(await verify(JOB, 1)).toEqual([]);
  });

  it('keeps the numbers of findings, whatever is logged later', async () => {
    put(alder);
    await issue(JOB);
    const [decision] = loadInspection(its.db, JOB)!.decisions as unknown as { numbers: object }[];
    expect(Object.values(decision!.numbers).sort()).toEqual([1, 2, 3, 4, 5, 6]);
  });

  it('is refused while something holds it back, unless the reason is stated; the report prints it', async () => {
    const tern = demoInspection('tern-street');
    put(tern);
    await expect(issue(tern.job.id)).rejects.toMatchObject({
      status: 409,
      code: 'open-points',
      faults: [{ path: 'tie-misfit' }],
    });
    expect(listIssued(its.db, tern.job.id)).toEqual([]);
    await issue(tern.job.id, { limits: 'the buyer needs it today' });
    const text = JSON.stringify(loadFrozen(its.db, tern.job.id, 1)!.documents.buyer);
    expect(text).toContain(
      'This report goes out with open points. The reason given: the buyer needs it today.',
    );
  });

  it('is amended by a new version that says what changed; the old one stays as it was', async () => {
    put(alder);
    await issue(JOB);
    const old = findIssuedFile(its.db, JOB, 1, 'report.json')!.bytes.toString();
    set(['settings', 'report', 'prices'], false);
    await expect(issue(JOB)).rejects.toMatchObject({ code: 'no-reason' });
    await issue(JOB, { reason: 'the client wants no prices' });
    const [, , changes] = loadFrozen(its.db, JOB, 2)!.documents.buyer;
    expect(changes).toMatchObject({
      kind: 'list',
      title: 'Version 2: what changed since version 1',
    });
    const items = (changes as unknown as { items: string[] }).items;
    expect(items[0]).toBe('the client wants no prices.');
    expect(items.join('\n')).toMatch(/Finding 3: no price, was \$[\d.k–]+, with 1\./);
    expect(findIssuedFile(its.db, JOB, 1, 'report.json')!.bytes.toString()).toBe(old);
    expect(listIssued(its.db, JOB).map(({ number }) => number)).toEqual([2, 1]);
    expect([await verify(JOB, 1), await verify(JOB, 2)]).toEqual([[], []]);
  });

  it('issues nothing when the job was changed while it was printed', async () => {
    put(alder);
    const meddle: Print = async (wishes) => {
      set(['job', 'client'], 'Somebody else');
      return print(wishes);
    };
    await expect(
      issueReport(its.db, its.stores, JOB, { reason: '', limits: '' }, meddle, NOW_MS),
    ).rejects.toMatchObject({ code: 'changed-meanwhile' });
    expect(listIssued(its.db, JOB)).toEqual([]);
  });

  it('holds a look against an earlier one on the same property', async () => {
    put(alder);
    const later = {
      ...alder,
      job: { ...alder.job, id: 'later', scheduledFor: '2027-02-01T09:00:00-08:00' },
      settings: { report: { comparedWith: JOB } },
    };
    put(later);
    expect([listEarlier(its.db, 'later'), listEarlier(its.db, JOB)]).toEqual([[JOB], []]);
    await issue('later');
    expect(JSON.stringify(loadFrozen(its.db, 'later', 1)!.documents.buyer)).toContain(
      'Before and after: since 3 November 2026',
    );
  });
});

describe('a frozen version', () => {
  it('cannot be edited or deleted', async () => {
    put(alder);
    await issue(JOB);
    for (const sql of [
      "UPDATE issued SET headline = 'x'",
      'DELETE FROM issued',
      "UPDATE issued_files SET bytes = x'00'",
      'DELETE FROM issued_files',
    ])
      expect(() => its.db.exec(sql)).toThrow(/frozen/);
  });

  it.each<[string, string, unknown[], RegExp]>([
    [
      'a letter of the tree',
      "UPDATE issued_files SET bytes = CAST(replace(CAST(bytes AS TEXT), 'Repair two', 'Repair one') AS BLOB) WHERE name = 'report.json'",
      [],
      /report\.json has been changed/,
    ],
    [
      'a file and its hash with it',
      "UPDATE issued_files SET bytes = x'00', sha256 = '6e340b9cffb37a989ca544e6bb780a2c78901d3fb33738768511a30617afa01d' WHERE name = 'buyer.pdf'",
      [],
      /not those of its seal/,
    ],
    [
      'the time of issue',
      "UPDATE issued SET issued_at = '2026-11-01T00:00:00Z'",
      [],
      /not those of its seal/,
    ],
    [
      'a file left out',
      "DELETE FROM issued_files WHERE name = 'agent.pdf'",
      [],
      /not those of its seal/,
    ],
  ])('shows that it was tampered with: %s', async (_, sql, values, says) => {
    put(alder);
    await issue(JOB);
    tamper(sql, ...values);
    expect((await verify(JOB, 1)).join()).toMatch(says);
  });

  it('shows that a still was changed, and one that is gone', async () => {
    put(withStill);
    await keepStill();
    await issue(JOB);
    expect(loadFrozen(its.db, JOB, 1)!.stills.map(({ id }) => id)).toEqual(['p1']);
    expect(await verify(JOB, 1)).toEqual([]);
    expect(await verifyIssued(its.db, JOB, 1, async () => 'other')).toEqual([
      'a still is gone or has been changed',
    ]);
    expect(await verifyIssued(its.db, JOB, 1, async () => null)).toHaveLength(1);
    const unreachable = async () => {
      throw new StoreTrouble('no answer');
    };
    expect(await verifyIssued(its.db, JOB, 1, unreachable)).toEqual([
      'its stills cannot be reached now, and were not looked at',
    ]);
  });
});

describe('a link', () => {
  const link = (id: string, expiresAt: string) => ({
    id,
    label: 'b',
    reader: 'buyer' as const,
    createdAt: '2026-11-06',
    expiresAt,
  });
  it('opens its job until it expires or is taken back, and no other secret does', () => {
    put(alder);
    const secret = createShare(its.db, JOB, link('L', '2026-12-06T00:00:00.000Z'));
    expect(secret).toMatch(/^[\w-]{43}$/);
    const at = (day: string) => Date.parse(`${day}T00:00:00Z`);
    const other = `${secret.slice(0, -1)}${secret.endsWith('A') ? 'B' : 'A'}`;
    expect(findShared(its.db, secret, at('2026-11-07'))).toEqual({ jobId: JOB, reader: 'buyer' });
    expect(findShared(its.db, other, at('2026-11-07'))).toBeNull();
    expect(findShared(its.db, secret, at('2026-12-06'))).toBeNull();
    // The machine's clock is set back: what has expired stays expired.
    expect(findShared(its.db, secret, at('2026-11-07'))).toBeNull();
    const later = createShare(its.db, JOB, link('M', '2027-12-06T00:00:00.000Z'));
    expect(findShared(its.db, later, at('2026-12-07'))).not.toBeNull();
    expect(revokeShare(its.db, JOB, 'M', '2026-12-08')).toBe(true);
    expect(revokeShare(its.db, JOB, 'M', '2026-12-08')).toBe(false);
    expect(findShared(its.db, later, at('2026-12-09'))).toBeNull();
    expect(
      listShares(its.db, JOB)
        .map(({ id }) => id)
        .sort(),
    ).toEqual(['L', 'M']);
  });

  it('is not kept: the database has a hash of it only', () => {
    put(alder);
    const secret = createShare(its.db, JOB, link('L', '2026-12-06'));
    expect(JSON.stringify(its.db.prepare('SELECT * FROM share_links').all())).not.toContain(secret);
  });
});

it('the outbox keeps a message with its attachments, and nothing leaves', () => {
  put(alder);
  const attachments = [{ name: 'buyer.pdf', type: 'application/pdf', bytes: Buffer.from('pdf') }];
  const message = { to: 'a@b.example', subject: 'S', text: '<b>hi</b>', attachments };
  fileMessage(its.db, message, {
    id: 'M1',
    jobId: JOB,
    at: '2026-11-06T22:00:00Z',
    isWaiting: false,
  });
  expect(listOutbox(its.db, { jobId: JOB })).toMatchObject([
    {
      to: 'a@b.example',
      text: '<b>hi</b>',
      state: 'kept',
      attachments: [{ name: 'buyer.pdf', size: 3 }],
    },
  ]);
  expect(listOutbox(its.db, { jobId: 'another' })).toEqual([]);
  expect(findAttachment(its.db, 'M1', 0)!.bytes.toString()).toBe('pdf');
  expect(findAttachment(its.db, 'M1', 1)).toBeNull();
});
