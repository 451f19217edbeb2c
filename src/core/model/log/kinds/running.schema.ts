import { flag, length, line, oneOf } from '../../../base/joi';
import { AIDS, CONFIRMATIONS, END_REASONS } from '../../../catalogue/vocabulary';

export const setupKeys = { head: line(), aid: oneOf(AIDS), headLevels: flag() };
export const endKeys = {
  reason: oneOf(END_REASONS).required(),
  confirmedBy: oneOf(CONFIRMATIONS).required(),
  remainderFt: length(),
};
export const homeKeys = { accepted: flag() };
