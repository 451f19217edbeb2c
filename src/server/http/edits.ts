import Joi from 'joi';
import { faultsFromJoi } from '#core/base/fault';
import { id, instant, safeId, VALIDATION } from '#core/base/joi';
import type { SentEdits } from '../edits';
import { refuseFaults } from './answer';
import { readJson } from './body';
import { BODY_LIMITS } from './limits';

/** A clock that is further off is not believed, ms: some thirty years. */
const MOST_AHEAD_MS = 1e12;

const schema = Joi.object<Omit<SentEdits, 'caller'>>({
  id: safeId().required(),
  device: id().required(),
  saidAt: instant().required(),
  base: Joi.number().integer().min(0).required(),
  asOf: instant(),
  aheadMs: Joi.number().integer().min(-MOST_AHEAD_MS).max(MOST_AHEAD_MS),
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
