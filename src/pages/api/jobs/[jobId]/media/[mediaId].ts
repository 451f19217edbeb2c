import { mediaTypeOf, videoTypeOf } from '#core/interchange/media-type';
import { pieceOf } from '#core/interchange/recording-piece';
import { answer, Refusal } from '#server/http/answer';
import { readBytes } from '#server/http/body';
import { endpoint } from '#server/http/endpoint';
import { BODY_LIMITS } from '#server/http/limits';
import { answerMedia } from '#server/http/media';
import { refuseMethod, requireJobId } from '#server/http/params';
import { readMedia, storeMedia } from '#server/services/media';

/** The type of what was sent: a piece in the middle of a recording tells none by itself. */
function typeOf(id: string, bytes: Uint8Array): string | null {
  const piece = pieceOf(id);
  if (!piece) return mediaTypeOf(bytes);
  return piece.number === 0 ? videoTypeOf(bytes) : 'application/octet-stream';
}

/** Stores a still, a voice note or a piece of a recording under the id the device gave it. */
export const PUT = endpoint(async (context) => {
  const bytes = await readBytes(context.request, BODY_LIMITS.media);
  const { mediaId: id = '', jobId = '' } = context.params;
  const type = typeOf(id, bytes);
  if (type === null) {
    throw new Refusal(
      415,
      'bad-type',
      'Expected a JPEG or PNG still, a short sound, or a WebM, MP4 or Ogg video. The content is something else; nothing was stored. Take the still again, or save the video as MP4.',
    );
  }
  const { call } = context.locals;
  const { outcome, ...step } = await storeMedia(call, jobId, id, { type, bytes });
  return answer({ outcome, type, ...step }, outcome === 'stored' ? 201 : 200);
});

export const GET = endpoint((context) => {
  const id = context.params['mediaId'] ?? '';
  // An id never gets other content: what was seen once can be kept.
  const kept = 'private, max-age=31536000, immutable';
  const jobId = requireJobId(context);
  return answerMedia(() => readMedia(context.locals.call, jobId, id), kept);
});

export const ALL = endpoint(() => {
  throw refuseMethod('GET or PUT');
});
