import type { DefectKind } from '../catalogue/defects/index';
import { type DefectFacts, gradeDefect } from '../catalogue/severity/table';

/** A defect of no size in clay of this diameter, inches, measured and not guessed. */
const plainFacts = (boreIn: number): Omit<DefectFacts, 'kind'> => ({
  depthIn: null,
  fillRatio: null,
  extentRatio: null,
  offsetIn: null,
  gapIn: null,
  lipIn: null,
  form: null,
  unreadForm: null,
  byWord: null,
  impossible: [],
  movesWithWater: false,
  locus: null,
  holdsDebris: false,
  soilVisible: false,
  lengthFt: 5,
  boreIn,
  material: 'vitrified-clay',
  inStandingWater: false,
  eyeSizeIn: 0.5,
  eyeShareRatio: 0.1,
  byEye: false,
});

/** Grades by the table what is said of a defect, in pipe of this diameter, inches. */
export const gradeIn =
  (boreIn: number) =>
  (kind: DefectKind, facts: Partial<DefectFacts> = {}) =>
    gradeDefect({ kind, ...plainFacts(boreIn), ...facts });
