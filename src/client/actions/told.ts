import type { Doing } from '#client/job-on-device';
import type { Inspection } from '#core/model/job/inspection';
import type { Run } from '#core/model/job/run';
import type { EntryDraft } from '#core/model/log/entry';
import type { Understood } from '#core/speech/kept';
import type { ToldFacts } from '#core/speech/statements/statement';
import type { Place } from './counter';

/** What was told stands in the log with its words as well, as a note where it was said. */
export function toldDrafts(
  { drafts, facts }: Understood,
  { pass, counterFt }: Pick<Place, 'pass'> & { readonly counterFt: number | null },
  said: string,
): readonly EntryDraft[] {
  const isTold = drafts.length === 0 && Object.keys(facts).length > 0;
  return isTold ? [{ kind: 'note', pass, readingFt: counterFt, note: said.trim() }] : [];
}

/** What is told of the run goes into its set-up; of the house, into its facts. History is added to. */
export function toldDoing(inspection: Inspection, run: Run, facts: ToldFacts): readonly Doing[] {
  const doing: Doing[] = [];
  if (facts.run) {
    const { entries: _entries, ...setup } = run;
    const { zero, cleanedBefore, ...more } = facts.run;
    // "it was cleaned" does not undo that somebody knows how.
    const isKnown = cleanedBefore === 'unknown' && ['cut', 'jetted'].includes(setup.cleanedBefore);
    doing.push({
      what: 'run',
      setup: {
        ...setup,
        ...more,
        ...(cleanedBefore === undefined || isKnown ? {} : { cleanedBefore }),
        ...(zero === undefined ? {} : { zero: { ...setup.zero, ...zero } }),
      },
    });
  }
  const { history, ...house } = facts.property ?? {};
  const property = {
    ...house,
    ...(history === undefined
      ? {}
      : { history: [...(inspection.property.history ?? []), ...history] }),
  };
  if (Object.keys(property).length > 0) doing.push({ what: 'facts', facts: { property } });
  return doing;
}
