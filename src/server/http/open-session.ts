import type { AstroCookies } from 'astro';
import {
  DEVICE_COOKIE,
  newDeviceId,
  readDeviceCookie,
  writeDeviceCookie,
} from '../people/device-cookie';
import { SESSION_COOKIE, SESSION_DAYS } from '../people/sessions';
import type { ServiceCall } from '../services/service';
import { openSession as begin } from '../services/sign-in';

const DAY_S = 86_400;
/** How long a device is known after the last time that somebody signed in on it, days. */
const DEVICE_DAYS = 730;

/** Whether a browser speaks to Chert by HTTPS: then its cookies go no other way. */
const isSecure = () => process.env['CHERT_ORIGIN']?.startsWith('https:') === true;

type Context = {
  readonly cookies: AstroCookies;
  readonly locals: { readonly call: ServiceCall };
};

/** The device that asks, where Chert has signed its cookie. */
export const deviceIdOf = ({ cookies, locals }: Context): string | null =>
  readDeviceCookie(locals.call.db, cookies.get(DEVICE_COOKIE)?.value);

/** Signs somebody in on the device that asks, in place of whoever was signed in there. */
export function openSession(context: Context, accountId: string): void {
  const { cookies, locals } = context;
  const { call } = locals;
  const deviceId = deviceIdOf(context) ?? newDeviceId(call.nowMs);
  const device = { id: deviceId, name: call.source.device };
  const replaces = cookies.get(SESSION_COOKIE)?.value ?? null;
  const { secret } = begin(call, accountId, device, replaces);
  const shared = { path: '/', httpOnly: true, sameSite: 'lax', secure: isSecure() } as const;
  cookies.set(SESSION_COOKIE, secret, { ...shared, maxAge: SESSION_DAYS * DAY_S });
  cookies.set(DEVICE_COOKIE, writeDeviceCookie(call.db, deviceId), {
    ...shared,
    maxAge: DEVICE_DAYS * DAY_S,
  });
}
