import { sayGot } from '#core/base/fault';
import { isSafeId, SAFE_ID_WORDS } from '#core/base/safe-id';
import type { ByteSpan } from '#core/interchange/recording-piece';
import { pieceOf } from '#core/interchange/recording-piece';
import { noteDeed } from '../deeds';
import { holdChange } from '../held-work';
import { refuseConflict, refuseFaults, refuseUnknown } from '../http/answer';
import { revEvenRemoved } from '../jobs';
import { noteIfLate } from '../late-work';
import * as media from '../media/media';
import * as recordings from '../media/recordings';
import { personOf } from '../security/caller';
import { jobService } from './service';

/**
 * Stores a still, a voice note or a piece of a recording under the id that its device gave it.
 *
 * @throws a refusal when another has the id.
 */
export const storeMedia = jobService(
  'log',
  async ({ db, stores, caller, nowMs }, jobId, id: string, content: media.Media) => {
    const now = new Date(nowMs).toISOString();
    if (!isSafeId(id))
      throw refuseFaults([{ path: 'mediaId', expected: SAFE_ID_WORDS, got: sayGot(id) }]);
    const rev = revEvenRemoved(db, jobId);
    if (rev === null) throw refuseUnknown('job');
    const bytes = content.bytes.byteLength;
    if (caller?.kind === 'device' && caller.isEnded) {
      const { sha256, place } = await media.keepContent(stores, content.bytes);
      const held = {
        what: 'media',
        mediaId: id,
        type: content.type,
        bytes,
        sha256,
        place,
      } as const;
      holdChange(db, caller, id, held, now);
      return { outcome: 'held' as const, before: rev, rev };
    }
    const stored = await media.storeMedia(db, stores, { jobId, id }, content, now, () =>
      noteIfLate(db, jobId, caller, { kind: 'media', count: 1, bytes }, now),
    );
    if (stored.outcome === 'conflict') throw refuseConflict('still');
    if (stored.outcome === 'stored' && !pieceOf(id)) {
      const detail = content.type.startsWith('audio/') ? 'a voice note' : 'a still';
      noteDeed(db, jobId, { what: 'still', detail }, personOf(caller), now);
    }
    return stored;
  },
);

/** A still or a voice note; `null` when there is none. See `media/media` for what it throws. */
export const readMedia = jobService('read', ({ db, stores }, jobId, id: string) =>
  media.readMedia(db, stores, jobId, id),
);

/** What is here of a recording; `null` when its first piece is not. */
export const findRecording = jobService('read', ({ db }, jobId, recordingId: string) =>
  recordings.findRecording(db, jobId, recordingId),
);

/** What stands in front of a recording; `null` where it needs nothing. */
export const frontOfRecording = jobService(
  'read',
  ({ stores, nowMs }, _jobId, stored: recordings.StoredRecording) =>
    recordings.frontOf(stores, stored, nowMs),
);

/** A part of a recording as it is served: behind its own front where it has one. */
export const readRecording = jobService(
  'read',
  (
    { stores },
    _jobId,
    stored: recordings.StoredRecording,
    front: Awaited<ReturnType<typeof recordings.frontOf>>,
    span: ByteSpan,
  ) =>
    front
      ? recordings.readFronted(stores, stored, front, span)
      : recordings.readRecording(stores, stored, span),
);

/** A part of a recording as a file of its own; `null` where only the whole can be had. */
export const readClip = jobService(
  'read',
  ({ stores }, _jobId, stored: recordings.StoredRecording, fromMs: number, toMs: number) =>
    recordings.readClip(stores, stored, fromMs, toMs),
);
