import Joi from 'joi';
import { day, id, instant, length, line, oneOf, prose, words } from '../../base/joi';
import { type Material, MATERIALS } from '../../catalogue/materials/index';

export const SCOPES = ['lateral', 'lateral-and-building-drain'] as const;
export const PURPOSES = ['purchase', 'authority', 'complaint', 'after-repair'] as const;
export const DAY_BASES = ['calendar', 'working'] as const;
export const RESPONSIBILITIES = ['to-main', 'to-property-line'] as const;
export const PROFILES = ['maintain-first', 'renew-first'] as const;
export type Profile = (typeof PROFILES)[number];

/** What was agreed: for whom, when, what is in scope, by whose rules. */
export type Job = {
  readonly id: string;
  readonly title: string;
  readonly scope: (typeof SCOPES)[number];
  readonly purpose?: (typeof PURPOSES)[number];
  readonly complaint?: string;
  readonly scheduledFor: string;
  readonly inspectionPeriodEndsOn?: string;
  /** Time of day, HH:MM. */
  readonly inspectionPeriodEndsAt?: string;
  readonly dayBasis?: (typeof DAY_BASES)[number];
  readonly inspector: string;
  readonly client: string;
  /** Where the owner's duty ends. */
  readonly responsibility: (typeof RESPONSIBILITIES)[number];
  /** The run whose access has station 0; absent or empty: chosen from the runs. */
  readonly referenceRunId?: string;
  readonly minFallInPerFt?: number;
  readonly localRules?: readonly { readonly material: Material; readonly says: string }[];
  readonly profile: Profile;
};

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
  client: line().required(),
  responsibility: oneOf(RESPONSIBILITIES).required(),
  referenceRunId: Joi.string().allow('').max(200),
  minFallInPerFt: length().max(12),
  localRules: Joi.array()
    .items(Joi.object({ material: oneOf(MATERIALS).required(), says: prose().required() }))
    .max(200),
  profile: oneOf(PROFILES).required(),
});
