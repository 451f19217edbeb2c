import { type Material } from '../../catalogue/materials/index';

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

/** Only a buyer can ask a seller, and only before closing: a job is for a purchase unless it says otherwise. */
export const isForPurchase = ({ purpose = 'purchase' }: Pick<Job, 'purpose'>): boolean =>
  purpose === 'purchase';
