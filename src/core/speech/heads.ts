import type { Term } from './terms';

/** Words that name a thing or say what is done: what a clause is about. */
const HEADS = [
  'defect',
  'feature',
  'material',
  'zone',
  'surface',
  'unseen',
  'blind',
  'sees',
  'water',
];
const HEAD_ACTS = ['home', 'locate', 'stopped', 'test', 'setup'];
/** Words over a clause that begin a statement of their own. */
export const OPENERS = ['not', 'intended', 'past', 'toward', 'good', 'flows', 'zeroed'];
/** Said beside another thing, these only say more about it. */
export const WEAK: readonly string[] = [
  'something',
  'water',
  'lip',
  'rust',
  'leak',
  'pool',
  'waste',
];

export const has = ({ senses }: Term, tags: readonly string[]) =>
  tags.some((tag) => senses[tag] !== undefined);

/** Whether a term names what a clause is about. */
export const isHead = (term: Term): boolean =>
  (has(term, HEADS) && !WEAK.includes(term.text)) ||
  HEAD_ACTS.includes(term.senses['act'] ?? '') ||
  ['main', 'tank'].includes(term.senses['end'] ?? '');

/** Whether a term carries nothing. */
export const isIdle = ({ kind, senses }: Term): boolean =>
  kind === 'mark' ||
  (senses['idle'] !== undefined &&
    Object.keys(senses).every((tag) => tag === 'idle' || tag === 'from' || tag === 'serves'));
