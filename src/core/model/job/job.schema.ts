import Joi from 'joi';
import { day, id, instant, length, line, oneOf, prose, words } from '../../base/joi';
import { MATERIALS } from '../../catalogue/materials/index';
import { DAY_BASES, PROFILES, PURPOSES, RESPONSIBILITIES, SCOPES } from './job';

const HOUR = /^([01]\d|2[0-3]):[0-5]\d$/;

export const jobSchema = Joi.object({
  id: id().required(),
  title: words().required(),
  scope: oneOf(SCOPES).required(),
  purpose: oneOf(PURPOSES),
  complaint: prose(),
  scheduledFor: instant().required(),
  inspectionPeriodEndsOn: day(),
  inspectionPeriodEndsAt: Joi.string().custom((value: string, helpers) =>
    HOUR.test(value) ? value : helpers.error('chert.hour'),
  ),
  dayBasis: oneOf(DAY_BASES),
  inspector: line().required(),
  assignedTo: id(),
  lengthMin: Joi.number().integer().min(15).max(600),
  fee: line(60),
  invoice: line(60),
  client: line().required(),
  agent: line(),
  attended: line(),
  weather: line(),
  responsibility: oneOf(RESPONSIBILITIES).required(),
  referenceRunId: Joi.string().allow('').max(200),
  minFallInPerFt: length().max(12),
  localRules: Joi.array()
    .items(Joi.object({ material: oneOf(MATERIALS).required(), says: prose().required() }))
    .max(200),
  profile: oneOf(PROFILES).required(),
});
