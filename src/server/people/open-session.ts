import type { AstroCookies } from 'astro';
import { database } from '../database';
import { beginSession, deviceOf, SESSION_COOKIE, SESSION_DAYS } from './sessions';

const DAY_S = 86_400;

/** Whether a browser speaks to Chert by HTTPS: then its cookie goes no other way. */
const isSecure = () => process.env['CHERT_ORIGIN']?.startsWith('https:') === true;

/** Signs somebody in on the device that asks. */
export function openSession(
  { request, cookies }: { readonly request: Request; readonly cookies: AstroCookies },
  accountId: string,
): void {
  const device = deviceOf(request.headers.get('user-agent'));
  const { secret } = beginSession(database(), accountId, device, new Date().toISOString());
  cookies.set(SESSION_COOKIE, secret, {
    path: '/',
    maxAge: SESSION_DAYS * DAY_S,
    httpOnly: true,
    sameSite: 'lax',
    secure: isSecure(),
  });
}
