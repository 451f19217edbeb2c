import { localInstant } from '#client/time';
import { sayTimeOf } from '#core/base/clock';
import { sayDay } from '#core/report/calendar';

/**
 * Pages that tell what only the server knows: the list of jobs, what was issued and sent. Those of a log are brought up
 * to date from the device's own store.
 */
const TELLS_MORE = /^\/(?:$|jobs\/[^/]+\/(?:report|issued\/))/;

/** "Tue 3 Nov, 9:05 am" in the reader's own time: a page may have been kept for weeks. */
function sayWhen(at: Date): string {
  const instant = localInstant(at);
  return `${sayDay(instant.slice(0, 10))}, ${sayTimeOf(instant)}`;
}

/**
 * A page that was kept, as it is shown while the server does not answer: with a line above it that says of when it is,
 * where it tells what may have changed since. Nobody issues twice because an old page says that nothing is issued.
 */
export async function tellAge(path: string, kept: Response): Promise<Response> {
  const at = Date.parse(kept.headers.get('date') ?? '');
  if (!TELLS_MORE.test(path) || Number.isNaN(at)) return kept;
  const line = `<p class="kept-page" role="status">The server does not answer. This page is from ${sayWhen(new Date(at))}: what was issued, sent or booked since is not on it.</p>`;
  const html = (await kept.text()).replace(/<body[^>]*>/, (body) => `${body}${line}`);
  const headers = new Headers(kept.headers);
  // Of the text as it came, not as it is now.
  for (const name of ['content-encoding', 'content-length', 'etag']) headers.delete(name);
  return new Response(html, { status: kept.status, headers });
}
