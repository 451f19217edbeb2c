import Joi from 'joi';
import { id, line, oneOf } from '../../base/joi';
import { type AccessPoint, accessPointSchema } from './access-point';
import { type Job, jobSchema } from './job';
import { type Property, propertySchema } from './property';
import { type Run, runSetupSchema } from './run';
import { type Settings, settingsSchema } from './settings';

export const FORMAT = 'chert-inspection';
export const FORMAT_VERSION = 1;

/** One path of pipe. A line that `joins` another is measured on its own axis. */
export type Line = { readonly id: string; readonly label: string; readonly joins?: string };

/** One thing seen in more than one run. */
export type Tie = {
  readonly id: string;
  readonly label: string;
  readonly sightings: readonly { readonly runId: string; readonly entryId: string }[];
};

/** The taped distance between two access points; positive: `to` lies downstream of `from`. */
export type Span = {
  readonly fromAccessPointId: string;
  readonly toAccessPointId: string;
  readonly alongFt: number;
  readonly basis: 'taped' | 'seen';
};

/** The inspector's last word over a computed result. */
export type Decision = {
  readonly id: string;
  readonly kind: string;
  readonly reason: string;
  readonly [key: string]: unknown;
};

/** Everything that is stored as fact about one job. */
export type Inspection = {
  readonly format: typeof FORMAT;
  readonly version: typeof FORMAT_VERSION;
  readonly job: Job;
  readonly property: Property;
  readonly accessPoints: readonly AccessPoint[];
  readonly lines?: readonly Line[];
  readonly runs: readonly Run[];
  readonly ties: readonly Tie[];
  readonly spans?: readonly Span[];
  readonly decisions: readonly Decision[];
  readonly settings: Partial<Settings>;
};

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
