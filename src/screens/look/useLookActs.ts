import { useState } from 'react';
import { ulid } from 'ulid';
import { corrected, entriesAgain, measuredDraft } from '#client/actions/look';
import { acceptedOf, freed, type Line } from '#client/actions/narration';
import { addRecording, changeRecording, setCounter, setMark } from '#client/actions/recordings';
import type { Doing, JobOnDevice } from '#client/job-on-device';
import { storeFile } from '#client/recording/store-file';
import { keepFileHandle } from '#client/store';
import { localInstant } from '#client/time';
import type { Recording } from '#core/model/job/recording';
import type { Run } from '#core/model/job/run';
import type { Entry, EntryDraft } from '#core/model/log/entry';
import { readCounterCsv } from '#core/recording/counter-csv';
import { footageOf, type Standing, type Timeline } from '#core/recording/timeline';
import type { Measuring } from './useMeasuring';
import type { Video } from './useVideo';

type Wishes = {
  readonly job: JobOnDevice;
  readonly installation: string;
  readonly by: string;
  readonly run: Run | null;
  readonly recording: Recording | null;
  readonly video: Video;
  readonly timeline: Timeline;
  readonly here: Standing | null;
};

export type LookActs = ReturnType<typeof useLookActs>;

/** Kinds that a still shows. */
const SHOWN: readonly EntryDraft['kind'][] = ['defect', 'feature', 'flag', 'material', 'end'];

/** What can be done on Look again, and how far what takes long has come. */
export function useLookActs(wishes: Wishes) {
  const { job, installation, by, run, recording, video, timeline, here } = wishes;
  const [progress, setProgress] = useState<string | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const looker = () => ({ by, nowMs: Date.now() });

  /** Storing and reading take their time: what comes of them goes over the run as it is by then. */
  const change = (make: (now: Run) => Doing) => {
    const now = job.latest().runs.find(({ id }) => id === run?.id);
    if (now) job.change(make(now));
  };

  /** Logs what is seen: as of the moment that the picture shows; without a picture it is no second look. */
  const append = (
    drafts: readonly EntryDraft[],
    atMs = video.atMs,
    isHeard = false,
  ): readonly Entry[] => {
    if (!run) return [];
    if (!recording) return job.append(run.id, drafts);
    const { startedAt } = recording;
    const entries = entriesAgain(drafts, { startedAt, atMs }, { ...looker(), isHeard });
    job.change(...entries.map((entry) => ({ what: 'entry' as const, runId: run.id, entry })));
    return entries;
  };
  const correct = (entry: Entry, more: Readonly<Record<string, unknown>>) =>
    run && job.append(run.id, [corrected(entry, more, looker())]);

  /** Adds a video file; the id of its recording. */
  const addVideo = (file: File, isStored: boolean, handle: FileSystemFileHandle | null): string => {
    const id = ulid();
    const made: Recording = {
      id,
      name: file.name.slice(0, 200) || 'video',
      source: 'file',
      place: 'file',
      writtenAt: localInstant(new Date(file.lastModified)),
      bytes: file.size,
    };
    change((now) => addRecording(now, made));
    // A browser that remembers no files asks for it again next time.
    if (handle) void keepFileHandle(id, handle).catch(() => undefined);
    if (isStored) void store(id, file);
    return id;
  };
  const store = async (id: string, file: File) => {
    const jobId = job.inspection.job.id;
    const say = (bytes: number) =>
      setProgress(`Storing ${file.name}: ${Math.round((100 * bytes) / file.size)}%`);
    const stored = await storeFile(jobId, id, file, installation, say);
    setProgress(null);
    if (stored.state === 'stopped')
      setTrouble(`${file.name} is not stored whole: ${stored.why} It stays in its file.`);
    else change((now) => changeRecording(now, id, { place: 'server' }));
  };

  const writeMeasure = async (measuring: Measuring, entry: Entry & { readonly kind: 'defect' }) => {
    if (!run || 'trouble' in measuring.result) return;
    const { frozen } = measuring;
    const photoId =
      frozen.photoId ?? (frozen.blob === null ? null : await job.addMedia(frozen.blob));
    if (photoId === null) return;
    const measure = { ...measuring.measure, photoId };
    job.append(run.id, [measuredDraft(entry, measure, measuring.result, looker())]);
  };

  const addStill = async (entry: Entry | null) => {
    const still = await job.during(video.still());
    if (!still || !run) return;
    const mediaId = await job.addMedia(still);
    if (entry) {
      correct(entry, { photoIds: [...(entry.photoIds ?? []), mediaId] });
      return;
    }
    const readingFt = footageOf(here);
    append([{ kind: 'photo', pass: here?.pass ?? 'out', readingFt, photoIds: [mediaId] }]);
  };

  /** Turns what was accepted of a narration into entries with their times, footages and stills. */
  const logNarration = async (lines: readonly Line[]): Promise<readonly string[]> => {
    if (!run) return [];
    const accepted = acceptedOf(lines, timeline);
    const idOf = new Map<string, string>();
    const logged: string[] = [];
    for (const [index, { id, drafts, atMs }] of accepted.entries()) {
      setProgress(`Logging ${index + 1} of ${accepted.length}`);
      let photoId: string | null = null;
      if (atMs !== null && drafts.some(({ kind }) => SHOWN.includes(kind)) && video.isReady) {
        await video.show(atMs);
        const still = await video.still();
        photoId = still ? await job.addMedia(still) : null;
      }
      const told = drafts.map((draft): EntryDraft => {
        const free = freed(draft, idOf);
        return photoId !== null && SHOWN.includes(free.kind)
          ? { ...free, photoIds: [photoId] }
          : free;
      });
      const [first] = append(told, atMs ?? video.durationMs ?? 0, true);
      if (first) idOf.set(id, first.id);
      logged.push(id);
    }
    setProgress(null);
    return logged;
  };

  return {
    change,
    progress,
    trouble,
    append,
    correct,
    addVideo,
    addStill,
    writeMeasure,
    logNarration: (lines: readonly Line[]) => job.during(logNarration(lines)),
    mark: (readingFt: number, pass: 'out' | 'back') =>
      recording && change((now) => setMark(now, recording, { atMs: video.atMs, readingFt, pass })),
    readCounter: (text: string) => {
      if (!recording) return;
      const read = readCounterCsv(text, recording.startedAt);
      setTrouble('trouble' in read ? read.trouble : null);
      if ('points' in read) change((now) => setCounter(now, recording, read.points));
    },
  };
}
