import Joi from 'joi';
import { faultsFromJoi, type Outcome } from '../base/fault';
import { id, instant, VALIDATION } from '../base/joi';
import { checkEntry } from '../model/log/entry.schema';
import { UNSENT_FORMAT, type UnsentWork } from './unsent-work';

/** The most changes, and stills, of one file: more than a device holds. */
const MOST_CHANGES = 20_000;
const MOST_MEDIA = 500;

const change = Joi.object({
  what: Joi.string().valid('entry', 'edits', 'media').required(),
  runId: id(),
  // Each is checked as an entry that is sent is; edits are checked against their job.
  entry: Joi.object().unknown(),
  edits: Joi.array(),
  mediaId: id(),
});

const schema = Joi.object<UnsentWork>({
  format: Joi.string().valid(UNSENT_FORMAT).required(),
  version: Joi.number().valid(1).required(),
  installation: id().required(),
  device: id().required(),
  savedAt: instant().required(),
  changes: Joi.array()
    .items(
      Joi.object({
        jobId: id().required(),
        id: id().required(),
        by: id(),
        saidAt: instant().required(),
        base: Joi.number().integer().min(0).required(),
        change: change.required(),
      }),
    )
    .max(MOST_CHANGES)
    .required(),
  media: Joi.array()
    .items(
      Joi.object({
        jobId: id().required(),
        id: id().required(),
        bytes: Joi.string().base64().required(),
      }),
    )
    .max(MOST_MEDIA)
    .required(),
});

/** Checks a file of unsent work: its own shape, and each entry in it. */
export function checkUnsentWork(value: unknown): Outcome<UnsentWork> {
  const { error } = schema.required().validate(value, VALIDATION);
  if (error) return { ok: false, faults: faultsFromJoi(error) };
  const work = value as UnsentWork;
  const faults = work.changes.flatMap(({ change: one }, index) => {
    if (one.what !== 'entry') return [];
    const checked = checkEntry(one.entry, ['changes', index, 'change', 'entry']);
    return checked.ok ? [] : checked.faults;
  });
  return faults.length > 0 ? { ok: false, faults } : { ok: true, value: work };
}
