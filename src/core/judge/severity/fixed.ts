import type { DefectKind } from '../../log/vocabulary';
import type { Severity, SeverityRow } from '../grade';

const FIXED: Partial<Record<DefectKind, readonly [Severity, string]>> = {
  collapse: ['failed', 'the pipe has collapsed'],
  'utility-crossing': ['failed', 'another utility runs through the sewer: stop, do not cut or jet'],
  'residue-line': ['slight', 'a line of residue shows that water stood higher before'],
  vermin: ['slight', 'animals have been in the pipe'],
  unidentified: ['moderate', 'something that could not be named'],
};

/** Defects with one grade, whatever their size. */
export const fixedGrade: SeverityRow = {
  kinds: ['collapse', 'utility-crossing', 'residue-line', 'vermin', 'unidentified'],
  base: (facts) => {
    const [severity, text] = FIXED[facts.kind]!;
    return {
      severity,
      because: [{ rule: `severity-${facts.kind}`, text: `${text}: ${severity}` }],
      missing: null,
    };
  },
};
