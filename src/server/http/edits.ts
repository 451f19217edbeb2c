import Joi from 'joi';
import { faultsFromJoi } from '#core/base/fault';
import { id, instant, VALIDATION } from '#core/base/joi';
import type { SentEdits } from '../edits';
import { refuseFaults } from './answer';
import { readJson } from './body';
import { BODY_LIMITS } from './limits';

const schema = Joi.object<Omit<SentEdits, 'caller'>>({
  id: id().required(),
  device: id().required(),
  saidAt: instant().required(),
  base: Joi.number().integer().min(0).required(),
  asOf: instant(),
  // What is inside is checked against the job.
  edits: Joi.array().required(),
});

/** Reads the edits that a device sends. */
export async function readEdits(request: Request): Promise<Omit<SentEdits, 'caller'>> {
  const value = await readJson(request, BODY_LIMITS.record);
  const { error } = schema.required().validate(value, VALIDATION);
  if (error) throw refuseFaults(faultsFromJoi(error));
  return value as Omit<SentEdits, 'caller'>;
}
