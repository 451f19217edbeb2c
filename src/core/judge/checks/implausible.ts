import { sayIn } from '../../base/numbers';
import type { SizeField } from '../../catalogue/vocabulary';
import { labelOf } from '../../model/job/labels';
import { allAxes, type Check, type CheckContext, type Issue, sayWhere } from '../check';

type Found = Omit<Issue, 'code' | 'level' | 'stand'>;

const NEXT = 'Correct it: until then it counts as not logged.';

/** Values that cannot be by themselves: farther than a rod, more than the whole, a year to come. */
function listBare(context: CheckContext): Found[] {
  const axes = allAxes(context);
  return context.impossible.flatMap(({ runId, entryId, text }): Found[] => {
    const axis = axes.find(({ run }) => run.id === runId);
    if (!axis)
      return runId === null
        ? [{ message: `The job says ${text}.`, action: NEXT, runIds: [], entryIds: [] }]
        : [];
    const entry = axis.log.heirsOf(entryId ?? '').find(({ id }) => id === entryId);
    if (!entry) return [];
    const what = entry.kind === 'defect' ? entry.defect : entry.kind;
    return [
      {
        message: `Run ${labelOf(axis.run)}: the ${what} at ${sayWhere(axis, entry)} has ${text}.`,
        action: NEXT,
        runIds: [axis.run.id],
        entryIds: [entry.id],
      },
    ];
  });
}

const SAYS: Record<SizeField, string> = {
  depthIn: 'deeper than the pipe is wide',
  fillRatio: 'more than the whole pipe',
  extentRatio: 'more than the whole pipe',
  offsetIn: 'out of line by more than the pipe is wide',
  gapIn: 'wider than any joint opens',
  lipIn: 'higher than the pipe is wide',
};

/** Sizes that only the pipe round them makes impossible. */
function listInPipe({ findings }: CheckContext): Found[] {
  return findings
    .filter(({ facts }) => facts.impossible.length > 0)
    .map(({ number, kind, facts, runIds, entryIds, runNames }) => ({
      message: `Run ${runNames.join(' and ')}: finding ${number}, ${kind}, is said to be ${facts.impossible.map((field) => SAYS[field]).join(' and ')}${facts.boreIn === null ? '' : ` (${sayIn(facts.boreIn)} in)`}.`,
      action: NEXT,
      runIds,
      entryIds,
    }));
}

/** Sizes and footages that cannot be. */
export const implausible: Check = {
  code: 'implausible',
  level: 'blocker',
  stand: 'reel',
  find: (context) => [...listBare(context), ...listInPipe(context)],
};
