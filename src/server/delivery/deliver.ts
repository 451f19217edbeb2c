import type { Database } from 'better-sqlite3';
import { prepared } from '../prepared';
import { forgetLink, withLink } from './hidden-links';
import { type MailAdapter, NotTaken } from './mail';
import { loadMessage, type MessageState } from './outbox';

/** Minutes to wait after each try that a mail service did not take; after the last it is given up. */
const WAITS_MIN = [1, 5, 15, 60, 240, 720];
/** A message is held by one that sends it for so long, ms: no other may take it up meanwhile. */
const HOLD_MS = 120_000;

const instant = (ms: number) => new Date(ms).toISOString();

/** Takes a waiting message up, so that nobody else sends it at the same time; `false` when it is not to be had. */
function takeUp(db: Database, id: string, nowMs: number): boolean {
  const { changes } = prepared(
    db,
    `UPDATE outbox SET tries = tries + 1, next_try_at = ?
       WHERE id = ? AND state = 'waiting' AND next_try_at <= ?`,
  ).run(instant(nowMs + HOLD_MS), id, instant(nowMs));
  return changes === 1;
}

function note(
  db: Database,
  id: string,
  state: MessageState,
  answer: string,
  nextTryAt: string | null,
): void {
  prepared(db, 'UPDATE outbox SET state = ?, answer = ?, next_try_at = ? WHERE id = ?').run(
    state,
    answer,
    nextTryAt,
    id,
  );
  if (state !== 'waiting') forgetLink(db, id);
}

/**
 * Hands a waiting message to the email service and notes what came of it: sent, bounced for good, to be tried
 * again, or given up. A message that is not waiting, or not yet due, is left alone.
 */
export async function deliver(
  db: Database,
  adapter: MailAdapter,
  id: string,
  nowMs: number,
): Promise<MessageState | null> {
  if (!takeUp(db, id, nowMs)) return loadMessage(db, id)?.state ?? null;
  const message = loadMessage(db, id)!;
  try {
    const sent = { ...message, text: withLink(db, id, message.text) };
    const { answer } = await adapter.send(sent, id);
    note(db, id, 'sent', answer, null);
    return 'sent';
  } catch (error) {
    const why = error instanceof Error ? error.message : String(error);
    const waitMin = WAITS_MIN[message.tries - 1];
    if (error instanceof NotTaken && error.isFinal) note(db, id, 'bounced', why, null);
    else if (waitMin === undefined) note(db, id, 'failed', why, null);
    else note(db, id, 'waiting', why, instant(nowMs + waitMin * 60_000));
    return loadMessage(db, id)!.state;
  }
}

/** Delivers every message that is due, one after the other; returns how many were tried. */
export async function deliverDue(
  db: Database,
  adapter: MailAdapter,
  nowMs: number,
): Promise<number> {
  const due = prepared<[string], { id: string }>(
    db,
    "SELECT id FROM outbox WHERE state = 'waiting' AND next_try_at <= ? ORDER BY next_try_at",
  ).all(instant(nowMs));
  for (const { id } of due) await deliver(db, adapter, id, nowMs);
  return due.length;
}

/** Puts a message that bounced or was given up back in line, to be tried at once; `false` when there is none. */
export function tryAgain(db: Database, id: string, nowMs: number): boolean {
  const { changes } = prepared(
    db,
    `UPDATE outbox SET state = 'waiting', tries = 0, next_try_at = ?
       WHERE id = ? AND state IN ('waiting', 'bounced', 'failed', 'kept')`,
  ).run(instant(nowMs), id);
  return changes === 1;
}
