import { ulid } from 'ulid';
import type { Assessment } from '#core/judge/assessment';
import { stillsOf } from '#core/report/block';
import type { Reader } from '#core/report/documents';
import { noteDeed } from '../deeds';
import { deliver } from '../delivery/deliver';
import { fileMessage } from '../delivery/outbox';
import { smtpAdapter, smtpSettings } from '../delivery/smtp';
import { Refusal, refuseUnknown } from '../http/answer';
import { loadInspection } from '../inspections';
import { timeOf } from '../installation';
import {
  compareWithEarlier,
  issueReport as issue,
  type IssueWish,
  type Print,
} from '../issue-report';
import * as issued from '../issued';
import * as pages from '../issued-page';
import { readMedia } from '../media/media';
import { loadStills } from '../media/stills';
import { noteAccess } from '../security/access-log';
import { personOf } from '../security/caller';
import * as shares from '../shares';
import { firmFor } from '../signer';
import { jobService, service } from './service';

const DAY_MS = 86_400_000;
const NOT_ISSUED = 'not-issued';

/** Every version of a job's report, the latest first. */
export const listIssued = jobService('read', ({ db }, jobId) => issued.listIssued(db, jobId));

/** One file of an issued version; `null` when there is none. */
export const findIssuedFile = jobService('read', ({ db }, jobId, number: number, name: string) =>
  issued.findIssuedFile(db, jobId, number, name),
);

/** An issued version for its page; `null` when there is none. */
export const readIssued = jobService(
  'read',
  (
    { db, stores },
    jobId,
    query: { readonly number: string | null; readonly reader: string | null },
  ) => pages.readIssued(db, stores, jobId, query),
);

/** The firm as it signs a job; `undefined` where nothing is known of it. */
export const firmOfJob = jobService('read', ({ db }, jobId) => {
  const inspection = loadInspection(db, jobId);
  return inspection ? firmFor(db, inspection.job) : undefined;
});

/** What a draft prints beside its own blocks: how the job stands against the earlier one that it names. */
export const compareDraft = jobService('read', ({ db }, _jobId, assessment: Assessment) =>
  compareWithEarlier(db, assessment),
);

/** Stills of a job as they are printed, by their ids. */
export const stillsToPrint = jobService('read', ({ db, stores }, jobId, ids: readonly string[]) =>
  loadStills(db, stores, jobId, ids),
);

/** Issues a job's report: freezes it as the next version. */
export const issueReport = jobService(
  'log',
  async ({ db, stores, caller, nowMs }, jobId, wish: IssueWish, print: Print) => {
    const version = await issue(db, stores, jobId, wish, print, nowMs);
    const deed = { what: 'issued', detail: String(version.number) } as const;
    noteDeed(db, jobId, deed, personOf(caller), new Date(nowMs).toISOString());
    return version;
  },
);

export type MailWish = {
  readonly to: string;
  readonly subject: string;
  readonly text: string;
  readonly attach: readonly string[];
};

/** Sends the issued report: filed in the outbox first, and handed to the mail service where one is set up. */
export const sendReport = jobService(
  'send',
  async ({ db, caller, nowMs }, jobId, { to, subject, text, attach }: MailWish) => {
    const [latest] = issued.listIssued(db, jobId);
    if (!latest)
      throw new Refusal(
        409,
        NOT_ISSUED,
        'Nothing has been issued yet: issue the report, then send it.',
      );
    const attachments = attach.flatMap(
      (name) => issued.findIssuedFile(db, jobId, latest.number, name) ?? [],
    );
    const smtp = smtpSettings(process.env);
    const id = ulid(nowMs);
    const at = new Date(nowMs).toISOString();
    fileMessage(
      db,
      { to, subject, text, attachments },
      { id, jobId, at, isWaiting: smtp !== null },
    );
    noteDeed(db, jobId, { what: 'sent', detail: to }, personOf(caller), at);
    const state = smtp ? await deliver(db, smtpAdapter(smtp), id, nowMs) : 'kept';
    return { id, acceptedAt: at, state };
  },
);

/** The links to a job's report, the latest first: they tell who was sent what. */
export const listShares = jobService('send', ({ db }, jobId) => shares.listShares(db, jobId));

export type ShareWish = { readonly label: string; readonly days: number; readonly reader: Reader };

/** Makes a link to the issued report. Its path is told this once. */
export const createShare = jobService(
  'send',
  ({ db, caller, nowMs: machineMs, source }, jobId, { label, days, reader }: ShareWish) => {
    if (issued.listIssued(db, jobId).length === 0)
      throw new Refusal(
        409,
        NOT_ISSUED,
        'Nothing has been issued yet: a link shows an issued report.',
      );
    const nowMs = timeOf(db, machineMs);
    const link = {
      id: ulid(nowMs),
      label,
      reader,
      createdAt: new Date(nowMs).toISOString(),
      expiresAt: new Date(nowMs + days * DAY_MS).toISOString(),
    };
    const secret = shares.createShare(db, jobId, link);
    const deed = { what: 'link', detail: label || reader } as const;
    const person = personOf(caller);
    noteDeed(db, jobId, deed, person, link.createdAt);
    const noted = { what: 'link-made', accountId: person?.id ?? null, detail: jobId } as const;
    noteAccess(db, noted, source, link.createdAt);
    return { ...link, revokedAt: null, path: `/r/${secret}` };
  },
);

/** Takes a link back. */
export const revokeShare = jobService('send', (call, jobId, id: string): void => {
  const { db, caller, nowMs, source } = call;
  const now = new Date(nowMs).toISOString();
  if (!shares.revokeShare(db, jobId, id, now)) throw refuseUnknown('link that is still open');
  const person = personOf(caller);
  noteDeed(db, jobId, { what: 'link-revoked' }, person, now);
  const noted = { what: 'link-closed', accountId: person?.id ?? null, detail: jobId } as const;
  noteAccess(db, noted, source, now);
});

/** A version that a link shows, for its page; `null` for a link that opens nothing: all such look alike. */
export const readShared = service(
  'open',
  async ({ db, stores, nowMs, source }, secret: string, number: string | null) => {
    const shared = shares.findShared(db, secret, nowMs);
    if (!shared) return null;
    const noted = { what: 'link-opened', accountId: null, detail: shared.jobId } as const;
    noteAccess(db, noted, source, new Date(nowMs).toISOString());
    // The paper that it was made for, and no other.
    return pages.readIssued(db, stores, shared.jobId, { number, reader: shared.reader });
  },
);

const STILL = /^still-(.+)$/;

type SharedFile =
  | { readonly kind: 'file'; readonly file: issued.IssuedFile }
  | { readonly kind: 'still'; readonly read: () => ReturnType<typeof readMedia> };

/** A file that a link opens: the paper it was made for, its calendar, and the stills that it shows; else `null`. */
export const findSharedFile = service(
  'open',
  (
    { db, stores, nowMs },
    secret: string,
    number: string | null,
    name: string,
  ): SharedFile | null => {
    const shared = shares.findShared(db, secret, nowMs);
    if (shared === null) return null;
    const { jobId, reader } = shared;
    const version = issued
      .listIssued(db, jobId)
      .find((one) => number === null || String(one.number) === number);
    if (!version) return null;
    const still = STILL.exec(name)?.[1];
    if (still !== undefined) {
      const blocks = issued.loadFrozen(db, jobId, version.number)?.documents[reader] ?? [];
      return stillsOf(blocks).includes(still)
        ? { kind: 'still', read: () => readMedia(db, stores, jobId, still) }
        : null;
    }
    const isShown = name === `${reader}.pdf` || name === 'calendar.ics';
    const file = isShown ? issued.findIssuedFile(db, jobId, version.number, name) : null;
    return file && { kind: 'file', file };
  },
);
