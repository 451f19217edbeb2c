import { type Check, sayAt } from '../check';

/** A size said by a word: it grades, and a still or a number would grade better. */
export const sizeByWord: Check = {
  code: 'size-by-word',
  level: 'warning',
  stand: 'reel',
  find: (context) =>
    context.findings
      .filter(({ facts }) => facts.byWord !== null)
      .map((finding) => ({
        message: `Finding ${finding.number}, ${finding.kind} ${sayAt(context, finding)}, has its size only by a word (${finding.facts.byWord}).`,
        action: 'Take a still, or log the size as a number.',
        runIds: finding.runIds,
        entryIds: finding.entryIds,
      })),
};
