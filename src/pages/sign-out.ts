import type { APIRoute } from 'astro';
import { database } from '#server/database';
import { endSession, SESSION_COOKIE } from '#server/people/sessions';

/** Signs this device out: a form posts here. What the device holds stays on it. */
export const POST: APIRoute = ({ locals, cookies, redirect }) => {
  const { who } = locals;
  if (who) endSession(database(), who.id, who.sessionId, new Date().toISOString());
  cookies.delete(SESSION_COOKIE, { path: '/' });
  return redirect('/sign-in', 303);
};
