import { useEffect, useMemo, useState } from 'react';
import { assessed } from '#core/assess';
import { roundTo } from '#core/base/numbers';
import type { Pass } from '#core/catalogue/vocabulary';
import type { Assessment } from '#core/judge/assessment';
import type { Finding } from '#core/judge/finding';
import type { Lateral } from '#core/lateral/lateral';
import { segmentAt } from '#core/lateral/segments';
import type { RunAxis } from '#core/measure/placement';
import { placeStretches } from '#core/measure/stretch';
import type { Inspection } from '#core/model/job/inspection';
import type { Run } from '#core/model/job/run';
import type { Entry } from '#core/model/log/entry';
import type { CalloutContext, OwnWord } from '#core/speech/draft';
import type { Understood } from '#core/speech/parse';
import { readLine } from '#core/speech/read-line';

const NO_WORDS: readonly OwnWord[] = [];

export type Scope = {
  readonly assessment: Assessment;
  readonly axis: RunAxis | null;
  /** The line that the run is on, once it has a place there. */
  readonly lateral: Lateral | null;
  readonly open: readonly Entry[];
  readonly headFt: number | null;
  readonly context: CalloutContext;
};

/**
 * Everything the Scope screen shows, computed from the log and the counter.
 *
 * @param isLive whether the counter runs by itself, and is not where somebody last said it was.
 */
export function useScope(
  inspection: Inspection,
  run: Run | null,
  counterFt: number,
  pass: Pass,
  ownWords: readonly OwnWord[] = NO_WORDS,
  isLive = false,
): Scope {
  const assessment = assessed(inspection);
  return useMemo(() => {
    const axes = [assessment.lateral, ...assessment.branches].flatMap((line) => [
      ...line.axes,
      ...line.unplaced,
    ]);
    const axis = axes.find((candidate) => candidate.run.id === run?.id) ?? null;
    const standing = axis?.log.standing ?? [];
    const open = axis
      ? [...placeStretches(axis, 'defect'), ...placeStretches(axis, 'unseen')]
          .filter(({ stillOpen }) => stillOpen)
          .map(({ entry }) => entry)
      : [];
    // In the riser the head is at the access: what it hangs in is no part of the line.
    const headFt = axis?.placed
      ? roundTo(axis.placeAlong(Math.max(0, axis.alongOf(pass, counterFt))), 2)
      : null;
    const lateral =
      [assessment.lateral, ...assessment.branches].find(
        (one) => axis !== null && one.axes.includes(axis),
      ) ?? null;
    const here = headFt === null || !lateral ? null : segmentAt(lateral.segments, headFt);
    return {
      assessment,
      axis,
      lateral,
      open,
      headFt,
      context: {
        counterFt,
        liveCounterFt: isLive ? counterFt : null,
        zeroFt: run?.zero.readingFt ?? 0,
        pass,
        ...(run ? { facing: run.facing } : {}),
        boreHereIn: here?.diameterIn ?? null,
        standing,
        openIds: new Set(open.map(({ id }) => id)),
        ownWords,
      },
    };
  }, [assessment, run, counterFt, pass, ownWords, isLive]);
}

/** What the line's words would log, and how Chert would grade it. */
export type Preview = { readonly understood: Understood; readonly finding: Finding | null };

const PREVIEW_ID = 'preview';

/** Reads the line as it is typed. A thing seen now is graded as if it had been logged now. */
export function usePreview(
  text: string,
  scope: Scope,
  inspection: Inspection,
  run: Run | null,
): Preview | null {
  // The time stands in for "now" at the grade of standing water; it is after everything logged.
  const [nowText, setNowText] = useState('9999-12-31T00:00:00Z');
  useEffect(() => setNowText(new Date().toISOString()), [text]);
  return useMemo(() => {
    const understood = readLine(text, scope.context);
    if (!understood || !run) return null;
    const draft = understood.drafts[0];
    if (draft?.kind !== 'defect') return { understood, finding: null };
    const entry = { ...draft, id: PREVIEW_ID, at: nowText } as Entry;
    const tried = {
      ...inspection,
      runs: inspection.runs.map((one) =>
        one.id === run.id ? { ...one, entries: [...one.entries, entry] } : one,
      ),
    };
    const finding = assessed(tried).findings.find(({ entryIds }) => entryIds.includes(PREVIEW_ID));
    return { understood, finding: finding ?? null };
  }, [text, scope.context, inspection, run, nowText]);
}
