import { Refusal, refuseUnknown } from '#server/http/answer';
import { endpoint } from '#server/http/endpoint';
import { refuseMethod, requireJobId } from '#server/http/params';
import { whereGone } from '#server/media/recordings';
import { findRecording, readClip } from '#server/services/media';

/** The longest clip, ms: it is made in memory. */
const MOST_MS = 120_000;

/** Answers with a part of a recording as a file of its own: `?from=…&to=…`, ms from its beginning. */
export const GET = endpoint(async (context) => {
  const { call } = context.locals;
  const jobId = requireJobId(context);
  const stored = findRecording(call, jobId, context.params['recordingId'] ?? '');
  if (!stored) throw refuseUnknown('recording');
  const [from, to] = ['from', 'to'].map((name) =>
    Number(context.url.searchParams.get(name) ?? Number.NaN),
  ) as [number, number];
  if (!(from >= 0 && to > from && to - from <= MOST_MS))
    throw new Refusal(
      400,
      'bad-input',
      `Expected ?from and ?to in ms, at most ${MOST_MS} apart, got ${context.url.search || 'none'}. Ask again with both.`,
    );
  const clip = await whereGone(() => readClip(call, jobId, stored, from, to));
  if (!clip)
    throw new Refusal(
      409,
      'no-clip',
      'A clip can be cut only of a recording that Chert made. Cut it from the video itself.',
    );
  return new Response(clip, {
    headers: {
      'content-type': stored.type,
      'content-disposition': `attachment; filename="clip-${Math.round(from / 1000)}s.webm"`,
      'cache-control': 'private, no-cache',
      'x-robots-tag': 'noindex',
    },
  });
});

export const ALL = endpoint(() => {
  throw refuseMethod('GET');
});
