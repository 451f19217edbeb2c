import type { Database } from 'better-sqlite3';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { demoInspection } from '#core/testing/demo-inspections';
import { storeInspection } from '../inspections';
import { freshDatabase } from '../testing/fresh-database';
import { mailCatcher } from '../testing/mail-catcher';
import { deliver, deliverDue, tryAgain } from './deliver';
import { type MailAdapter, NotTaken } from './mail';
import { fileMessage, listOutbox } from './outbox';
import { smtpAdapter, smtpSettings } from './smtp';

const JOB = 'demo-alder-bend';
const NOW = Date.parse('2026-11-28T12:00:00Z');
const MINUTE = 60_000;
const MESSAGE = {
  to: 'buyer@home.example',
  subject: 'The report',
  text: 'Attached.',
  attachments: [{ name: 'buyer.pdf', type: 'application/pdf', bytes: Buffer.from('%PDF-1.7') }],
};
const its = freshDatabase();
const file = (db: Database, isWaiting = true) =>
  fileMessage(db, MESSAGE, { id: 'M1', jobId: JOB, at: new Date(NOW).toISOString(), isWaiting });
const one = () => listOutbox(its.db, { jobId: JOB })[0]!;
const refusing = (isFinal: boolean): MailAdapter => ({
  send: () => Promise.reject(new NotTaken('452 full', isFinal)),
});

beforeEach(() => {
  storeInspection(its.db, demoInspection('alder-bend'), new Date(NOW).toISOString());
});

describe('a message', () => {
  it('without a mail service is kept, and nothing takes it up', async () => {
    file(its.db, false);
    expect(await deliverDue(its.db, refusing(true), NOW)).toBe(0);
    expect(one().state).toBe('kept');
  });

  it('that is refused for now waits longer each time, and is given up after the last', async () => {
    file(its.db);
    let at = NOW;
    const waits: number[] = [];
    for (let round = 0; round < 6; round += 1) {
      expect(await deliver(its.db, refusing(false), 'M1', at)).toBe('waiting');
      const next = Date.parse(one().nextTryAt!);
      waits.push((next - at) / MINUTE);
      // Before its time nobody tries it.
      expect(await deliverDue(its.db, refusing(true), next - 1)).toBe(0);
      at = next;
    }
    expect(waits).toEqual([1, 5, 15, 60, 240, 720]);
    expect(await deliver(its.db, refusing(false), 'M1', at)).toBe('failed');
    expect(one()).toMatchObject({ tries: 7, answer: '452 full', nextTryAt: null });
  });

  it('that bounces stays bounced until somebody tries it again', async () => {
    file(its.db);
    expect(await deliver(its.db, refusing(true), 'M1', NOW)).toBe('bounced');
    expect(await deliverDue(its.db, refusing(true), NOW + 1e9)).toBe(0);
    expect(tryAgain(its.db, 'M1', NOW)).toBe(true);
    const taking: MailAdapter = { send: () => Promise.resolve({ answer: '250 ok' }) };
    expect(await deliver(its.db, taking, 'M1', NOW)).toBe('sent');
    expect(tryAgain(its.db, 'M1', NOW)).toBe(false);
  });

  it('is sent once, however many take it up at a time', async () => {
    file(its.db);
    let sent = 0;
    const slow: MailAdapter = {
      send: async () => {
        await new Promise((resolve) => setTimeout(resolve, 20));
        sent += 1;
        return { answer: '250 ok' };
      },
    };
    await Promise.all([1, 2, 3].map(() => deliver(its.db, slow, 'M1', NOW)));
    expect([sent, one().state]).toEqual([1, 'sent']);
  });
});

describe('by SMTP', () => {
  let mail: ReturnType<typeof mailCatcher>;
  beforeEach(async () => {
    mail = mailCatcher();
    await mail.start();
  });
  afterEach(() => mail.end());
  const adapter = () =>
    smtpAdapter({
      url: `smtp://127.0.0.1:${mail.port()}`,
      from: 'office@marlpit.example',
    });

  it('arrives with its subject and its attachment', async () => {
    file(its.db);
    expect(await deliver(its.db, adapter(), 'M1', NOW)).toBe('sent');
    expect(mail.caught).toHaveLength(1);
    expect(mail.caught[0]).toMatch(/^Subject: The report\r?$/m);
    expect(mail.caught[0]).toMatch(/^Message-ID: <M1@chert>\r?$/im);
    expect(mail.caught[0]).toContain('filename=buyer.pdf');
    expect(mail.caught[0]).toContain(Buffer.from('%PDF-1.7').toString('base64'));
  });

  it('bounces where there is no such mailbox, and waits where nobody answers', async () => {
    fileMessage(
      its.db,
      { ...MESSAGE, to: 'nobody@home.example' },
      { id: 'M2', jobId: JOB, at: new Date(NOW).toISOString(), isWaiting: true },
    );
    expect(await deliver(its.db, adapter(), 'M2', NOW)).toBe('bounced');
    expect(one().answer).toMatch(/no such mailbox/);
    file(its.db);
    const dead = smtpAdapter({ url: 'smtp://127.0.0.1:1', from: 'a@b.example' });
    expect(await deliver(its.db, dead, 'M1', NOW)).toBe('waiting');
  });
});

describe('the mail server of the environment', () => {
  it('is off unless both are said', () => {
    expect(smtpSettings({})).toBeNull();
    expect(() => smtpSettings({ CHERT_SMTP: 'smtp://h' })).toThrow(/CHERT_MAIL_FROM: expected/);
    expect(() => smtpSettings({ CHERT_SMTP: 'http://h', CHERT_MAIL_FROM: 'a' })).toThrow(/smtp:/);
  });
});
