/**
 * Every form that a defect may take, in kebab case, with the ways in which people and files write it: stems of
 * the words, without ending.
 */
export const FORM_STEMS = {
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
} as const satisfies Record<string, readonly string[]>;

export type DefectForm = keyof typeof FORM_STEMS;

/** Forms in which part of the pipe is not there any more. */
export const WALL_GONE: readonly (DefectForm | null)[] = [
  'invert-missing',
  'wall-missing',
  'invert-gone',
];
