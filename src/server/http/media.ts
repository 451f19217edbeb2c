import { type Media, MediaGone } from '../media/media';
import { refuseUnknown } from './answer';

/** What stands where a still was: browsers show it in the still's place, though the answer says 410. */
const GONE = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 320 180" role="img"><title>This still is gone</title><rect width="320" height="180" fill="#E6DAC2"/><text x="160" y="96" text-anchor="middle" font-family="sans-serif" font-size="18" fill="#23282C">This still is gone</text></svg>`;

/**
 * Answers with a still or a voice note; where its file is missing, with a picture that says so.
 *
 * @param read reads it; `null` when there is none.
 * @param cache how long it may be kept.
 */
export async function answerMedia(
  read: () => Promise<Media | null>,
  cache: string,
): Promise<Response> {
  const headers = { 'x-robots-tag': 'noindex' };
  try {
    const media = await read();
    if (!media) throw refuseUnknown('still');
    return new Response(new Uint8Array(media.bytes), {
      headers: { ...headers, 'content-type': media.type, 'cache-control': cache },
    });
  } catch (error) {
    if (!(error instanceof MediaGone)) throw error;
    return new Response(GONE, {
      status: 410,
      headers: { ...headers, 'content-type': 'image/svg+xml', 'cache-control': 'no-store' },
    });
  }
}
