import { sayFt } from '../../base/numbers';
import type { Check } from '../check';

/** A finding graded without its size. */
export const sizeMissing: Check = {
  code: 'size-missing',
  level: 'warning',
  stand: 'reel',
  find: ({ findings }) =>
    findings
      .filter(({ missing }) => missing !== null)
      .map((finding) => ({
        message: `Finding ${finding.number}, ${finding.kind} at ${sayFt(finding.span.fromFt)} ft: ${finding.missing} was not logged.`,
        action: 'Log the size; until then the grade is provisional.',
        runIds: finding.runIds,
        entryIds: finding.entryIds,
      })),
};
