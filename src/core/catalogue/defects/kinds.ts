import type { BuyerWords, DefectSpec } from '../defect';
import type { DefectMark } from '../marks';
import type { DefectTrait } from '../traits';
import { DEFECT_SPECS, type DefectKind, DEFECTS } from './index';

/** What a finding may be: a defect, or what the rules make of the whole. */
export type FindingKind = DefectKind | 'layout' | 'material';

/** The catalogue's page on a kind of defect. */
export const specOf = (kind: DefectKind): DefectSpec => DEFECT_SPECS[kind];

const isDefect = (kind: FindingKind): kind is DefectKind =>
  kind !== 'layout' && kind !== 'material';

/** The page on what a finding is; `null` for what the rules make of the whole. */
export const pageOf = (kind: FindingKind): DefectSpec | null =>
  isDefect(kind) ? specOf(kind) : null;

/** Whether a kind has a trait; what the rules make of the whole has none. */
export const hasTrait = (kind: FindingKind, trait: DefectTrait): boolean =>
  pageOf(kind)?.traits.includes(trait) ?? false;

/** The kinds with a trait, in the order in which they are told. */
export const kindsWith = (trait: DefectTrait): readonly DefectKind[] =>
  DEFECTS.filter((kind) => hasTrait(kind, trait));

/** How a kind is drawn in the simulated picture. */
export const markOf = (kind: DefectKind): DefectMark => specOf(kind).drawnAs;

/** A defect kind in the trade's words ("Standing water"). */
export const nameDefect = (kind: DefectKind): string => specOf(kind).name;

/** The trade's name of a finding: a defect's, or what a rule makes of the whole. */
export const nameFinding = (kind: FindingKind): string =>
  kind === 'layout' ? 'Layout' : kind === 'material' ? 'Material' : nameDefect(kind);

const OF_THE_WHOLE: Record<Exclude<FindingKind, DefectKind>, BuyerWords> = {
  layout: { name: 'How the line is laid', trade: 'layout', plural: 'faults of the layout' },
  material: { name: 'What the pipe is made of', trade: 'material', plural: 'remarks on material' },
};

/** A finding in the buyer's words. */
export const buyerWordsOf = (kind: FindingKind): BuyerWords =>
  isDefect(kind) ? specOf(kind).buyer : OF_THE_WHOLE[kind];
