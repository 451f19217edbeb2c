import Joi from 'joi';
import { id, line, oneOf } from '../../base/joi';
import { accessPointSchema } from './access-point.schema';
import { FORMAT, FORMAT_VERSION } from './inspection';
import { jobSchema } from './job.schema';
import { propertySchema } from './property.schema';
import { runSetupSchema } from './run.schema';
import { settingsSchema } from './settings.schema';

const list = (item: Joi.Schema) => Joi.array().items(item).max(10_000);

export const lineSchema = Joi.object({
  id: id().required(),
  label: line().required(),
  joins: id(),
});
export const tieSchema = Joi.object({
  id: id().required(),
  label: line().required(),
  sightings: list(Joi.object({ runId: id().required(), entryId: id().required() })).required(),
});
export const spanSchema = Joi.object({
  fromAccessPointId: id().required(),
  toAccessPointId: id().required(),
  alongFt: Joi.number().min(-100_000).max(100_000).required(),
  basis: oneOf(['taped', 'seen']).required(),
});

/** A decision as this app writes it; files may hold others, which are kept. */
export const decisionSchema = Joi.object({
  id: id().required(),
  kind: line().required(),
  reason: Joi.string().allow('').max(2000).required(),
}).unknown();

/** The whole file except the insides of `entries`, which `checkEntry` reads kind by kind. */
export const inspectionSchema = Joi.object({
  format: oneOf([FORMAT]).required(),
  version: Joi.number().valid(FORMAT_VERSION).required(),
  job: jobSchema.required(),
  property: propertySchema.required(),
  accessPoints: list(accessPointSchema).required(),
  lines: list(lineSchema),
  runs: list(runSetupSchema.append({ entries: Joi.array().max(100_000).required() })).required(),
  ties: list(tieSchema).required(),
  spans: list(spanSchema),
  decisions: list(Joi.object()).required(),
  settings: settingsSchema.required(),
});
