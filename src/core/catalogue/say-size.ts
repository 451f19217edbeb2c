import { roundTo, sayIn, sayPercent } from '../base/numbers';
import type { Forms } from './defect';
import type { Facts } from './severity/grade';
import type { SizeWord } from './vocabulary';

/** A size that was said by a word is told by a word. */
export const AMOUNTS: Record<SizeWord, string> = {
  trace: 'a trace',
  light: 'a little',
  moderate: 'part',
  heavy: 'much',
  full: 'nearly all',
};

/** The share that a thing takes, to follow a verb (" about 40% of the pipe"); empty where none was logged. */
export function sayShare({ extentRatio, byWord }: Facts, of: string): string {
  if (extentRatio === null) return '';
  if (byWord !== null) return ` ${AMOUNTS[byWord]} of the ${of}`;
  return ` about ${sayPercent(extentRatio)} of the ${of}`;
}

/** That soil shows, as a sentence to follow another; empty where it does not. */
export const saySoil = ({ soilVisible }: Facts): string =>
  soilVisible ? ' Soil can be seen.' : '';

/** The sentence of a form, or what is said where no form was logged. */
export const sayForm = (forms: Forms, { form }: Facts, otherwise: string): string =>
  (form === null ? undefined : forms[form]?.sentence) ?? otherwise;

/** A size in inches for a sentence ("0.5 inches", "1 inch"). */
export function sayInches(sizeIn: number): string {
  return `${sayIn(sizeIn)} ${sayIn(sizeIn) === '1' ? 'inch' : 'inches'}`;
}

/** A length in whole feet for a sentence ("8 feet", "1 foot"). */
export function sayFeet(valueFt: number): string {
  const feet = roundTo(valueFt, valueFt < 1 ? 1 : 0);
  return `${feet} ${feet === 1 ? 'foot' : 'feet'}`;
}
