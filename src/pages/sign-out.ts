import type { APIRoute } from 'astro';
import { SESSION_COOKIE } from '#server/people/sessions';
import { signOut } from '#server/services/people';

/** Signs this device out: a form posts here. What the device holds stays on it. */
export const POST: APIRoute = ({ locals, cookies, redirect }) => {
  signOut(locals.call);
  cookies.delete(SESSION_COOKIE, { path: '/' });
  return redirect('/sign-in', 303);
};
