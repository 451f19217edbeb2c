import type { DefectKind } from '../../log/vocabulary';
import type { BaseGrade, DefectFacts, Severity, SeverityRow } from '../grade';
import { failBySoil, gradeUnsized, showsSoil } from './bounds';

/** A form of a defect: its canonical name, other ways it is written, and the grade it takes. */
export type Form = {
  readonly name: string;
  /** Matched against the form as logged, in kebab case. */
  readonly matches: RegExp;
  readonly severity: Severity;
  readonly text: string;
};

const form = (name: string, matches: RegExp, severity: Severity, text: string): Form => ({
  name,
  matches,
  severity,
  text,
});

/** The forms that each defect may take, worst first: the first match grades it. */
export const FORMS: Partial<Record<DefectKind, readonly Form[]>> = {
  crack: [
    form('displaced', /displac|broken/, 'failed', 'the crack is displaced: the wall has moved'),
    form('several', /several|multiple|many/, 'major', 'several cracks'),
    form('open', /open/, 'moderate', 'an open crack'),
    form('hairline', /hair|fine/, 'slight', 'a hairline crack'),
  ],
  break: [
    form('invert-missing', /invert/, 'failed', 'the bottom of the pipe is missing'),
    form('wall-missing', /wall|missing/, 'major', 'part of the wall is missing'),
    form('displaced', /displac/, 'major', 'broken wall has moved out of place'),
  ],
  hole: [
    form('invert-missing', /invert/, 'failed', 'the bottom of the pipe is missing'),
    form('wall-missing', /wall|missing/, 'major', 'part of the wall is missing'),
    form('displaced', /displac/, 'major', 'the wall round the hole has moved'),
  ],
  'wall-loss': [
    form('invert-gone', /invert|gone|missing|hole/, 'failed', 'the bottom of the pipe is gone'),
    form('pitted', /pit/, 'major', 'the bottom of the pipe is pitted'),
    form('rough-in-water', /rough.*water/, 'major', 'the bottom is rough and holds water'),
    form('rough', /rough|corro/, 'moderate', 'the bottom of the pipe is rough'),
  ],
  spalling: [
    form('hole', /hole/, 'failed', 'the concrete is worn through'),
    form('stone-exposed', /stone|aggregate/, 'moderate', 'the stone in the concrete shows'),
    form('grains', /grain|sand/, 'slight', 'the concrete sheds grains'),
  ],
  'coupling-failed': [
    form('gasket-in-bore', /gasket|rubber|bore/, 'major', 'gasket or rubber hangs into the bore'),
    form('sealed', /seal/, 'moderate', 'the coupling has failed but is still sealed'),
  ],
  infiltration: [
    form('run', /run|gush|stream/, 'major', 'ground water runs in'),
    form('drip', /drip/, 'moderate', 'ground water drips in'),
    form('seep', /seep|weep|damp/, 'slight', 'ground water seeps in'),
  ],
};

const UNSIZED: Partial<Record<DefectKind, Severity>> = {
  crack: 'moderate',
  break: 'major',
  hole: 'major',
  'wall-loss': 'moderate',
  spalling: 'slight',
  'coupling-failed': 'moderate',
  infiltration: 'moderate',
};

/** Kinds that fail when soil or a void shows. */
const FAIL_BY_SOIL: readonly DefectKind[] = ['crack', 'break', 'hole', 'coupling-failed'];

function gradeForm(facts: DefectFacts): BaseGrade {
  const rule = `severity-${facts.kind}`;
  if (FAIL_BY_SOIL.includes(facts.kind) && showsSoil(facts)) return failBySoil(rule);
  const forms = FORMS[facts.kind] ?? [];
  const found = forms.find(
    (candidate) => facts.form !== null && candidate.matches.test(facts.form),
  );
  if (!found) {
    const known = [...forms].reverse().map(({ name }) => name);
    const missing =
      facts.form === null
        ? `its form (${known.join(', ')})`
        : `a form that Chert knows (${known.join(', ')}; "${facts.form}" is not one)`;
    return gradeUnsized(rule, UNSIZED[facts.kind]!, missing);
  }
  const held = facts.kind === 'wall-loss' && found.name === 'rough' && facts.inStandingWater;
  const severity = held ? 'major' : found.severity;
  const text = held ? 'the bottom is rough and water stands on it' : found.text;
  return { severity, because: [{ rule, text: `${text}: ${severity}` }], missing: null };
}

/** Defects that are graded by what they look like. */
export const byForm: SeverityRow = {
  kinds: ['crack', 'break', 'hole', 'wall-loss', 'spalling', 'coupling-failed', 'infiltration'],
  base: gradeForm,
};
