import type { Severity, SeverityRow } from './grade';

/** The row of a kind with one grade, whatever its size; `text` is the fact in words. */
export const fixedAt = (kind: string, severity: Severity, text: string): SeverityRow => ({
  base: () => ({
    severity,
    because: [{ rule: `severity-${kind}`, text: `${text}: ${severity}` }],
    missing: null,
  }),
});
