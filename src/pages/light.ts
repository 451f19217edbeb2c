import type { APIRoute } from 'astro';
import { backTo } from '#server/http/back';

const YEAR_S = 365 * 24 * 3600;

/** Switches between Daylight and Crawlspace without any script: a form posts here and comes back. */
export const POST: APIRoute = async ({ request, cookies, redirect }) => {
  const form = await request.formData().catch(() => null);
  const light = form?.get('light') === 'crawlspace' ? 'crawlspace' : 'daylight';
  cookies.set('light', light, { path: '/', maxAge: YEAR_S, sameSite: 'lax' });
  return redirect(backTo(form?.get('back')), 303);
};
