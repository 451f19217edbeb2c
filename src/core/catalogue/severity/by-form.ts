import type { Forms } from '../defect';
import type { DefectForm } from '../forms';
import { failBySoil, gradeUnsized, showsSoil } from './bounds';
import type { Severity, SeverityRow } from './grade';

type Row = readonly [severity: Severity, text: string];

/** What a row of forms does beyond giving each form its grade. */
type Options = {
  /** The grade while no form was logged. */
  readonly unsized: Severity;
  /** What soil or a void that shows means: it fails, or it is a form of its own; nothing where absent. */
  readonly soil?: 'fails' | DefectForm;
  /** Forms that are worse where water stands on them. */
  readonly inStandingWater?: Readonly<Partial<Record<DefectForm, Row>>>;
};

/** The row of a kind that is graded by what it looks like. */
export function byForm(
  kind: string,
  forms: Forms,
  { unsized, soil, inStandingWater = {} }: Options,
): SeverityRow {
  const rule = `severity-${kind}`;
  const known = Object.keys(forms).reverse().join(', ');
  return {
    base: (facts) => {
      const hasSoil = soil !== undefined && showsSoil(facts);
      if (hasSoil && soil === 'fails') return failBySoil(rule);
      const form = hasSoil ? (soil as DefectForm) : facts.form;
      const worse = facts.inStandingWater && form !== null ? inStandingWater[form] : undefined;
      const row = worse ?? (form === null ? undefined : forms[form]?.grade);
      if (row) {
        const [severity, text] = row;
        return { severity, because: [{ rule, text: `${text}: ${severity}` }], missing: null };
      }
      const missing =
        facts.unreadForm === null
          ? `its form (${known})`
          : `a form that Chert knows (${known}; “${facts.unreadForm}” is not one)`;
      return gradeUnsized(rule, unsized, missing);
    },
  };
}
