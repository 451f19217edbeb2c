import { mediaTypeOf, videoTypeOf } from '#core/interchange/media-type';
import { pieceOf } from '#core/interchange/recording-piece';
import { database } from '#server/database';
import { noteDeed } from '#server/deeds';
import { answer, Refusal, refuseConflict } from '#server/http/answer';
import { readBytes } from '#server/http/body';
import { endpoint } from '#server/http/endpoint';
import { BODY_LIMITS } from '#server/http/limits';
import { answerMedia } from '#server/http/media';
import { knownJobId, refuseMethod } from '#server/http/params';
import { storeMedia } from '#server/media/media';
import { mediaStores } from '#server/media/places';

/** The type of what was sent: a piece in the middle of a recording tells none by itself. */
function typeOf(id: string, bytes: Uint8Array): string | null {
  const piece = pieceOf(id);
  if (!piece) return mediaTypeOf(bytes);
  return piece.number === 0 ? videoTypeOf(bytes) : 'application/octet-stream';
}

/** Stores a still, a voice note or a piece of a recording under the id the device gave it. */
export const PUT = endpoint(async (context) => {
  const bytes = await readBytes(context.request, BODY_LIMITS.media);
  const jobId = knownJobId(context);
  const id = context.params['mediaId'] ?? '';
  const type = typeOf(id, bytes);
  if (type === null) {
    throw new Refusal(
      415,
      'bad-type',
      'Expected a JPEG or PNG still, a short sound, or a WebM, MP4 or Ogg video. The content is something else; nothing was stored. Take the still again, or save the video as MP4.',
    );
  }
  const media = { type, bytes };
  const now = new Date().toISOString();
  const { outcome, ...step } = await storeMedia(
    database(),
    mediaStores(),
    { jobId, id },
    media,
    now,
  );
  if (outcome === 'conflict') throw refuseConflict('still');
  if (outcome === 'stored' && !pieceOf(id)) {
    const detail = type.startsWith('audio/') ? 'a voice note' : 'a still';
    noteDeed(database(), jobId, { what: 'still', detail }, context.locals.who, now);
  }
  return answer({ outcome, type, ...step }, outcome === 'stored' ? 201 : 200);
});

export const GET = endpoint((context) => {
  const id = context.params['mediaId'] ?? '';
  // An id never gets other content: what was seen once can be kept.
  const kept = 'private, max-age=31536000, immutable';
  return answerMedia(database(), mediaStores(), knownJobId(context), id, kept);
});

export const ALL = endpoint(() => {
  throw refuseMethod('GET or PUT');
});
