import { type Check, sayAt } from '../check';

/** A finding that ends in no advice and in no reason for none. */
export const noAdvice: Check = {
  code: 'no-advice',
  level: 'warning',
  stand: 'desk',
  find: (context) =>
    context.all
      .filter(({ advice, ruling }) => advice.length === 0 || ruling?.reason.trim() === '')
      .map((finding) => ({
        message: `Finding ${finding.number}, ${finding.kind} ${sayAt(context, finding)}, was given another grade or action without a reason.`,
        action: 'Say on Findings why: the buyer is owed advice, or a reason for none.',
        runIds: finding.runIds,
        entryIds: finding.entryIds,
      })),
};
