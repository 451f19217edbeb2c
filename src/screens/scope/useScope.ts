import { useEffect, useMemo, useState } from 'react';
import { assess, assessed } from '#core/assess';
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
import type { Entry, EntryDraft } from '#core/model/log/entry';
import type { CalloutContext, OwnWord } from '#core/speech/draft';
import type { Understood } from '#core/speech/parse';
import { readLine } from '#core/speech/read-line';

export type Scope = {
  readonly assessment: Assessment;
  readonly axis: RunAxis | null;
  /** The line that the run is on, once it has a place there. */
  readonly lateral: Lateral | null;
  readonly open: readonly Entry[];
  readonly headFt: number | null;
  readonly context: CalloutContext;
};

/** Where the counter stands, which way the head goes, and what words mean beside the usual ones. */
export type Standpoint = {
  /** `null` where nobody knows it. */
  readonly counterFt: number | null;
  readonly pass: Pass;
  readonly ownWords: readonly OwnWord[];
  /** Whether the counter runs by itself, and is not where somebody last said it was. */
  readonly isLive: boolean;
};

/** Everything the Scope screen shows, computed from the log and the counter. */
export function scopeOf(inspection: Inspection, run: Run | null, at: Standpoint): Scope {
  const { counterFt, pass, ownWords, isLive } = at;
  const assessment = assessed(inspection);
  const lines = [assessment.lateral, ...assessment.branches];
  const axes = lines.flatMap((line) => [...line.axes, ...line.unplaced]);
  const axis = axes.find((candidate) => candidate.run.id === run?.id) ?? null;
  const open = axis
    ? [...placeStretches(axis, 'defect'), ...placeStretches(axis, 'unseen')]
        .filter(({ stillOpen }) => stillOpen)
        .map(({ entry }) => entry)
    : [];
  // In the riser the head is at the access: what it hangs in is no part of the line.
  const headFt =
    axis?.placed && counterFt !== null
      ? roundTo(axis.placeAlong(Math.max(0, axis.alongOf(pass, counterFt))), 2)
      : null;
  const lateral = lines.find((one) => axis !== null && one.axes.includes(axis)) ?? null;
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
      standing: axis?.log.standing ?? [],
      openIds: new Set(open.map(({ id }) => id)),
      ownWords,
    },
  };
}

/** The same, kept while nothing of it changes. */
export function useScope(inspection: Inspection, run: Run | null, at: Standpoint): Scope {
  const { counterFt, pass, ownWords, isLive } = at;
  return useMemo(
    () => scopeOf(inspection, run, { counterFt, pass, ownWords, isLive }),
    [inspection, run, counterFt, pass, ownWords, isLive],
  );
}

/** What the line's words would log, and how Chert would grade it; the grade comes once nobody types for a moment. */
export type Preview = { readonly understood: Understood; readonly finding: Finding | null };

const PREVIEW_ID = 'preview';
/** Who types on waits for no grade, ms. */
const PAUSE_MS = 250;

/** A grade, with the words and the log that it was given over: over others it says nothing. */
type Graded = {
  readonly said: string;
  readonly inspection: Inspection;
  readonly run: Run;
  readonly finding: Finding | null;
};

/** Reads the line as it is typed. A thing seen now is graded as if it had been logged now. */
export function usePreview(
  text: string,
  context: CalloutContext,
  inspection: Inspection,
  run: Run | null,
): Preview | null {
  const understood = useMemo(() => readLine(text, context), [text, context]);
  const draft = understood?.drafts[0];
  const said = draft?.kind === 'defect' ? JSON.stringify(draft) : '';
  const [graded, setGraded] = useState<Graded | null>(null);
  useEffect(() => {
    if (said === '' || run === null) return undefined;
    const timer = setTimeout(() => {
      setGraded({ said, inspection, run, finding: gradeAsLogged(said, inspection, run.id) });
    }, PAUSE_MS);
    return () => clearTimeout(timer);
  }, [said, inspection, run]);
  if (!understood || !run) return null;
  const isOfNow = graded?.said === said && graded.inspection === inspection && graded.run === run;
  return { understood, finding: isOfNow ? graded.finding : null };
}

/** What a draft would be graded if it were logged now. */
function gradeAsLogged(draft: string, inspection: Inspection, runId: string): Finding | null {
  const at = new Date().toISOString();
  const entry = { ...(JSON.parse(draft) as EntryDraft), id: PREVIEW_ID, at } as Entry;
  const runs = inspection.runs.map((run) =>
    run.id === runId ? { ...run, entries: [...run.entries, entry] } : run,
  );
  const { findings } = assess({ ...inspection, runs });
  return findings.find(({ entryIds }) => entryIds.includes(PREVIEW_ID)) ?? null;
}
