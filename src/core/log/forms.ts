import type { DefectKind } from './vocabulary';

/** Forms that a defect may take, worst first: of several said together the worst one stands. */
export const FORMS_OF = {
  roots: ['runner', 'mass', 'fine'],
  crack: ['displaced', 'several', 'open', 'hairline'],
  break: ['invert-missing', 'wall-missing', 'displaced'],
  hole: ['invert-missing', 'wall-missing', 'displaced'],
  offset: ['step-up', 'step-down'],
  'wall-loss': ['invert-gone', 'pitted', 'rough'],
  spalling: ['hole', 'stone-exposed', 'grains'],
  'coupling-failed': ['gasket-in-bore', 'sealed'],
  exfiltration: ['soil-washed', 'run', 'drip', 'seep'],
  infiltration: ['run', 'drip', 'seep'],
} as const satisfies Partial<Record<DefectKind, readonly string[]>>;

/** Every form there is, in kebab case. */
export type DefectForm = (typeof FORMS_OF)[keyof typeof FORMS_OF][number];

/** A form as it was said, read once: no rule, sentence or picture reads the words again. */
export type ReadForm = {
  /** The worst of the forms said; `null` where none was. */
  readonly form: DefectForm | null;
  /** Whether the words say that soil or a void shows. */
  readonly soilVisible: boolean;
  /** Words that Chert does not know of this kind, as they were said; `null` where all were read. */
  readonly unread: string | null;
};

/** Forms in which part of the pipe is not there any more. */
export const WALL_GONE: readonly (DefectForm | null)[] = [
  'invert-missing',
  'wall-missing',
  'invert-gone',
];

/** Other ways in which files write a form: stems of the words, without ending. */
const STEMS: Readonly<Partial<Record<DefectForm, readonly string[]>>> = {
  runner: ['runner'],
  mass: ['mass', 'ball', 'clump'],
  fine: ['fine', 'hair', 'thin'],
  displaced: ['displac', 'shift', 'broken'],
  several: ['several', 'multiple', 'many'],
  open: ['open', 'wide'],
  hairline: ['hair', 'fine', 'thin'],
  'wall-missing': ['wall', 'missing', 'piece'],
  'invert-missing': ['invert', 'bottom'],
  'step-up': ['up'],
  'step-down': ['down', 'drop'],
  'invert-gone': ['invert', 'gone', 'missing', 'hole', 'through'],
  pitted: ['pit'],
  rough: ['rough', 'corro'],
  hole: ['hole'],
  'stone-exposed': ['stone', 'aggregate'],
  grains: ['grain', 'sand'],
  'gasket-in-bore': ['gasket', 'rubber', 'bore'],
  sealed: ['seal', 'tight'],
  'soil-washed': ['wash'],
  run: ['run', 'gush', 'stream'],
  drip: ['drip'],
  seep: ['seep', 'weep', 'damp'],
};
const SOIL = ['soil', 'void'];
/** Words that turn what follows them round: "not displaced" is no displacement. */
const NOT = ['no', 'not', 'without', 'isnt', 'never'];

/** The forms that a kind may take, worst first; none where its kind has none. */
export function formsOf(kind: DefectKind): readonly DefectForm[] {
  return (FORMS_OF as Partial<Record<DefectKind, readonly DefectForm[]>>)[kind] ?? [];
}

/** Reads a form as files and people write it ("Hairline, displaced"; "invert_missing"). */
export function readForm(kind: DefectKind, said: string | undefined): ReadForm {
  const text = said?.trim() ?? '';
  if (text === '') return { form: null, soilVisible: false, unread: null };
  const words = text
    .toLowerCase()
    .replace(/['’]/g, '')
    .split(/[^a-z]+/)
    .filter(Boolean);
  const spoken = words.filter((_, at) => !NOT.includes(words[at - 1] ?? ''));
  const says = (stems: readonly string[]) =>
    stems.some((stem) => spoken.some((word) => word.startsWith(stem)));
  const form = formsOf(kind).find((one) => says(STEMS[one]!)) ?? null;
  const soilVisible = says(SOIL);
  return { form, soilVisible, unread: form === null && !soilVisible ? text : null };
}
