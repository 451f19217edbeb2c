import Joi from 'joi';

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

const INSTANT =
  /^(\d{4}-\d{2}-\d{2})T([01]\d|2[0-3]):[0-5]\d(:[0-5]\d(\.\d{1,9})?)?(Z|[+-]([01]\d|2[0-3]):[0-5]\d)$/;
const DAY = /^\d{4}-\d{2}-\d{2}$/;

/** Whether the text is a day of the calendar, `YYYY-MM-DD` (30 February is not). */
export function isDay(text: string): boolean {
  if (!DAY.test(text)) return false;
  const atMs = Date.parse(`${text}T00:00:00Z`);
  return Number.isFinite(atMs) && new Date(atMs).toISOString().startsWith(text);
}

/** Whether the text is an instant, ISO 8601 with its offset. */
export function isInstant(text: string): boolean {
  const match = INSTANT.exec(text);
  return match !== null && isDay(match[1]!);
}

function textThat(holds: (text: string) => boolean, rule: string): Joi.StringSchema {
  return Joi.string().custom((value: string, helpers) =>
    holds(value) ? value : helpers.error(rule),
  );
}

/** An id: any text that is not empty. */
export const id = () => Joi.string().min(1).max(200);
/** One line of text a person typed. */
export const line = (max = 300) => Joi.string().allow('').max(max);
/** One line of text that may not be empty. */
export const words = (max = 300) => Joi.string().min(1).max(max);
/** A paragraph a person typed. */
export const prose = () => Joi.string().allow('').max(20_000);
/** A length in feet or a size in inches, 0 or more. */
export const length = () => Joi.number().min(0).max(100_000);
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
