import { readRange } from '#core/interchange/recording-piece';
import { answer, refuseUnknown } from '#server/http/answer';
import { endpoint } from '#server/http/endpoint';
import { MEGABYTE } from '#server/http/limits';
import { refuseMethod, requireJobId } from '#server/http/params';
import { whereGone } from '#server/media/recordings';
import { findRecording, frontOfRecording, readRecording } from '#server/services/media';

/** The most of a recording that is in one answer, bytes: a player asks for the next part by itself. */
const MOST_AT_ONCE = 2 * MEGABYTE;

/** Answers with a part of a recording; with `?about` in the address, with what of it is here; with `?raw`, as it was sent. */
export const GET = endpoint((context) => {
  const { call } = context.locals;
  const jobId = requireJobId(context);
  const stored = findRecording(call, jobId, context.params['recordingId'] ?? '');
  if (context.url.searchParams.has('about'))
    return answer({ bytes: stored?.bytes ?? 0, pieces: stored?.pieces.length ?? 0 });
  if (!stored) throw refuseUnknown('recording');
  return whereGone(async () => {
    // What a device holds more of it goes behind the pieces as they are.
    const isRaw = context.url.searchParams.has('raw');
    const front = isRaw ? null : await frontOfRecording(call, jobId, stored);
    const size = front ? front.front.length + front.rest.to - front.rest.from : stored.bytes;
    const asked = context.request.headers.get('range');
    const span = readRange(asked, size, MOST_AT_ONCE);
    if (!span)
      return new Response(null, { status: 416, headers: { 'content-range': `bytes */${size}` } });
    const bytes = await readRecording(call, jobId, stored, front, span);
    return new Response(bytes, {
      // A player says which part it wants; whoever does not gets all of a short one.
      status: span.from === 0 && span.to === size - 1 && !asked ? 200 : 206,
      headers: {
        'content-type': stored.type,
        'content-range': `bytes ${span.from}-${span.to}/${size}`,
        'accept-ranges': 'bytes',
        'cache-control': 'private, no-cache',
        'x-robots-tag': 'noindex',
      },
    });
  });
});

export const ALL = endpoint(() => {
  throw refuseMethod('GET');
});
