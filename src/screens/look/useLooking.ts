import { useMemo, useState } from 'react';
import { type Row, rowAt, rowsOf } from '#client/actions/look-rows';
import { type Line, linesOf, spokenMarksOf } from '#client/actions/narration';
import type { Assessment } from '#core/judge/assessment';
import type { Inspection } from '#core/model/job/inspection';
import type { Recording } from '#core/model/job/recording';
import type { Run } from '#core/model/job/run';
import { foldLog } from '#core/model/log/fold';
import { markOfWords, marksOf } from '#core/recording/mark';
import {
  footageOf,
  layTimeline,
  type Pace,
  type Standing,
  type Timeline,
} from '#core/recording/timeline';
import type { OwnWord } from '#core/speech/draft';
import type { NarrationOnDevice } from './useNarration';

export type Looking = {
  readonly timeline: Timeline;
  readonly rows: readonly Row[];
  readonly lines: readonly Line[];
  readonly said: readonly number[];
};

/** The farthest that the counter of a run was read. */
const farthestOf = (run: Run) =>
  foldLog(run.entries).standing.reduce(
    (most, { readingFt }) => Math.max(most, readingFt ?? 0),
    run.zero.readingFt,
  );

/** Time and footage of a recording, and the rows and sentences beside it. */
export function useLooking(
  run: Run | null,
  recording: Recording | null,
  { heard, narration }: NarrationOnDevice,
  assessment: Assessment,
  paces: readonly Pace[],
): Looking {
  const part = narration?.part ?? 0;
  const settled = narration?.settled;
  const timeline = useMemo(() => {
    if (!run || !recording) return layTimeline([]);
    const spoken = heard
      ? spokenMarksOf(heard, part).map((one) => markOfWords(one.atMs, one.readingFt, one.pass))
      : [];
    return layTimeline(marksOf(run, recording, spoken), {
      farthestFt: farthestOf(run),
      paces,
    });
  }, [run, recording, heard, part, paces]);
  const rows = useMemo(
    () => (run ? rowsOf(run, recording, timeline, assessment) : []),
    [run, recording, timeline, assessment],
  );
  const lines = useMemo(
    () => (heard && settled ? linesOf(heard, { part, settled }, timeline) : []),
    [heard, part, settled, timeline],
  );
  const said = useMemo(
    () => lines.flatMap(({ fromMs }) => (fromMs === null ? [] : [fromMs])),
    [lines],
  );
  return { timeline, rows, lines, said };
}

export type Chosen = {
  readonly run: Run | null;
  readonly recording: Recording | null;
  readonly chooseRun: (id: string) => void;
  readonly chooseRecording: (id: string) => void;
};

/** The run and the recording that are looked at: the last run that has one, unless another was chosen. */
export function useChosen(inspection: Inspection): Chosen {
  const [runId, chooseRun] = useState<string | null>(null);
  const [recordingId, chooseRecording] = useState<string | null>(null);
  const { runs } = inspection;
  const run =
    runs.find(({ id }) => id === runId) ??
    runs.findLast(({ recordings }) => (recordings?.length ?? 0) > 0) ??
    runs.at(-1) ??
    null;
  const recordings = run?.recordings ?? [];
  const recording = recordings.find(({ id }) => id === recordingId) ?? recordings.at(-1) ?? null;
  return { run, recording, chooseRun, chooseRecording };
}

/** The row under the picture now. */
export const hereIn = (rows: readonly Row[], atMs: number): Row | null => rowAt(rows, atMs);

/** Where the call-out line stands: at the picture's footage, as far as that is known. */
export function standpointOf(here: Standing | null, ownWords: readonly OwnWord[] = []) {
  const counterFt = footageOf(here);
  return {
    counterFt,
    pass: here?.pass ?? ('out' as const),
    ownWords,
    isLive: counterFt !== null,
  };
}
