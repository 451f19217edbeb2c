import Joi from 'joi';
import { isDay, isInstant } from './day';
import { MOST_LENGTH, MOST_PROSE } from './most';
import { SAFE_ID, SAFE_ID_WORDS } from './safe-id';

/**
 * The house dialect of Joi: values are never converted (text where a number goes is a fault), every
 * fault is reported, unknown keys are kept.
 */
export const VALIDATION: Joi.ValidationOptions = {
  abortEarly: false,
  convert: false,
  allowUnknown: true,
  errors: { render: false },
};

function textThat(holds: (text: string) => boolean, rule: string): Joi.StringSchema {
  return Joi.string().custom((value: string, helpers) =>
    holds(value) ? value : helpers.error(rule),
  );
}

/** An id: any text that is not empty. */
export const id = () => Joi.string().min(1).max(200);
/** An id that comes to stand in an address, of something new. */
export const safeId = () => Joi.string().pattern(SAFE_ID, SAFE_ID_WORDS);
/** One line of text a person typed. */
export const line = (max = 300) => Joi.string().allow('').max(max);
/** One line of text that may not be empty. */
export const words = (max = 300) => Joi.string().min(1).max(max);
/** A paragraph a person typed. */
export const prose = () => Joi.string().allow('').max(MOST_PROSE);
/** A length in feet or a size in inches, 0 or more. */
export const length = () => Joi.number().min(0).max(MOST_LENGTH);
/** A share of the whole, 0 to 1. */
export const ratio = () => Joi.number().min(0).max(1);
/** A share as somebody said it: over 1 is asked about, not refused. */
export const saidRatio = () => Joi.number().min(0).max(1000);
/** A clock position, 0.5 to 12 in half hours. */
export const clock = () => Joi.number().min(0.5).max(12).multiple(0.5);
export const instant = () => textThat(isInstant, 'chert.instant');
export const day = () => textThat(isDay, 'chert.day');
export const oneOf = (words: readonly string[]) => Joi.string().valid(...words);
export const flag = () => Joi.boolean();
