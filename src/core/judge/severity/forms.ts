import { type DefectForm, formsOf } from '../../log/forms';
import type { DefectKind } from '../../log/vocabulary';
import type { BaseGrade, DefectFacts, Severity, SeverityRow } from '../grade';
import { failBySoil, gradeUnsized, showsSoil } from './bounds';

type Row = readonly [severity: Severity, text: string];
type Forms = Partial<Record<DefectForm, Row>>;

/** The grade that each form of a defect takes, with the fact in words. */
const GRADES = {
  crack: {
    displaced: ['failed', 'the crack is displaced: the wall has moved'],
    several: ['major', 'several cracks'],
    open: ['moderate', 'an open crack'],
    hairline: ['slight', 'a hairline crack'],
  },
  break: {
    'invert-missing': ['failed', 'the bottom of the pipe is missing'],
    'wall-missing': ['major', 'part of the wall is missing'],
    displaced: ['major', 'broken wall has moved out of place'],
  },
  hole: {
    'invert-missing': ['failed', 'the bottom of the pipe is missing'],
    'wall-missing': ['major', 'part of the wall is missing'],
    displaced: ['major', 'the wall round the hole has moved'],
  },
  'wall-loss': {
    'invert-gone': ['failed', 'the bottom of the pipe is gone'],
    pitted: ['major', 'the bottom of the pipe is pitted'],
    rough: ['moderate', 'the bottom of the pipe is rough'],
  },
  spalling: {
    hole: ['failed', 'the concrete is worn through'],
    'stone-exposed': ['moderate', 'the stone in the concrete shows'],
    grains: ['slight', 'the concrete sheds grains'],
  },
  'coupling-failed': {
    'gasket-in-bore': ['major', 'gasket or rubber hangs into the pipe'],
    sealed: ['moderate', 'the coupling has failed but is still sealed'],
  },
  exfiltration: {
    'soil-washed': ['major', 'sewage leaks out and has washed soil away'],
    run: ['major', 'sewage runs out'],
    drip: ['moderate', 'sewage drips out'],
    seep: ['slight', 'sewage seeps out'],
  },
  infiltration: {
    run: ['major', 'ground water runs in'],
    drip: ['moderate', 'ground water drips in'],
    seep: ['slight', 'ground water seeps in'],
  },
} as const satisfies Partial<Record<DefectKind, Forms>>;

type Formed = keyof typeof GRADES;

const UNSIZED: Record<Formed, Severity> = {
  crack: 'moderate',
  break: 'major',
  hole: 'major',
  'wall-loss': 'moderate',
  spalling: 'slight',
  'coupling-failed': 'moderate',
  exfiltration: 'moderate',
  infiltration: 'moderate',
};

/** Kinds that fail when soil or a void shows. */
const FAIL_BY_SOIL: readonly DefectKind[] = ['crack', 'break', 'hole', 'coupling-failed'];

function gradeForm(facts: DefectFacts): BaseGrade {
  const kind = facts.kind as Formed;
  const rule = `severity-${kind}`;
  if (FAIL_BY_SOIL.includes(kind) && showsSoil(facts)) return failBySoil(rule);
  if (kind === 'exfiltration' && facts.soilVisible) {
    const [severity, text] = GRADES.exfiltration['soil-washed'];
    return { severity, because: [{ rule, text: `${text}: ${severity}` }], missing: null };
  }
  const graded: Forms = GRADES[kind];
  const row = facts.form === null ? undefined : graded[facts.form];
  if (!row) {
    const known = [...formsOf(kind)].reverse().join(', ');
    const missing =
      facts.unreadForm === null
        ? `its form (${known})`
        : `a form that Chert knows (${known}; “${facts.unreadForm}” is not one)`;
    return gradeUnsized(rule, UNSIZED[kind], missing);
  }
  const isHeld = kind === 'wall-loss' && facts.form === 'rough' && facts.inStandingWater;
  const [severity, text]: Row = isHeld
    ? ['major', 'the bottom is rough and water stands on it']
    : row;
  return { severity, because: [{ rule, text: `${text}: ${severity}` }], missing: null };
}

/** Defects that are graded by what they look like. */
export const byForm: SeverityRow = { kinds: Object.keys(GRADES) as Formed[], base: gradeForm };
