import { type Check, sayAt } from '../check';

/** A finding graded without its size. */
export const sizeMissing: Check = {
  code: 'size-missing',
  level: 'warning',
  stand: 'reel',
  find: (context) =>
    context.findings
      .filter(({ missing }) => missing !== null)
      .map((finding) => ({
        message: `Finding ${finding.number}, ${finding.kind} ${sayAt(context, finding)}: ${finding.missing} was not logged.`,
        action: 'Log the size; until then the grade is provisional.',
        runIds: finding.runIds,
        entryIds: finding.entryIds,
      })),
};
