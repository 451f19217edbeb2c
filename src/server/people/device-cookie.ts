import { createHmac } from 'node:crypto';
import type { Database } from 'better-sqlite3';
import { ulid } from 'ulid';
import { prepared } from '../prepared';
import { installationSecret } from '../security/installation-secrets';
import { isSame } from './same-secret';

/** The cookie by which a browser is told from others, signed in or not. */
export const DEVICE_COOKIE = 'chert-device';

const signatureOf = (db: Database, id: string) =>
  createHmac('sha256', installationSecret(db, 'device-key')).update(id).digest('base64url');

/** Writes the cookie of a device. */
export const writeDeviceCookie = (db: Database, id: string): string =>
  `${id}.${signatureOf(db, id)}`;

/** The device that a cookie is of; `null` for one that Chert did not sign. */
export function readDeviceCookie(db: Database, cookie: string | undefined): string | null {
  const [id = '', signature = ''] = cookie?.split('.') ?? [];
  return id !== '' && isSame(signature, signatureOf(db, id)) ? id : null;
}

/** An id for a device that has none. */
export const newDeviceId = (nowMs: number): string => ulid(nowMs);

/** Whether somebody has signed in on a device before. */
export const isKnownDevice = (db: Database, id: string, accountId: string): boolean =>
  prepared<[string, string]>(db, 'SELECT 1 FROM known_devices WHERE id = ? AND account_id = ?').get(
    id,
    accountId,
  ) !== undefined;
