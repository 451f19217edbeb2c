import { type Check, sayAt } from '../check';

/** A finding outside what was agreed: kept as a courtesy. */
export const outsideScope: Check = {
  code: 'outside-scope',
  level: 'warning',
  stand: 'desk',
  find: (context) =>
    context.findings
      .filter(({ courtesy }) => courtesy)
      .map((finding) => ({
        message: `Finding ${finding.number}, ${finding.kind} ${sayAt(context, finding)}, lies outside the agreed scope; it is told as a courtesy.`,
        action: 'Widen the scope of the job, or leave it for information only.',
        runIds: finding.runIds,
        entryIds: finding.entryIds,
      })),
};
