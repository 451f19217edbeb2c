import { type Material } from '../../catalogue/materials/index';

export const SCOPES = ['lateral', 'lateral-and-building-drain'] as const;
export const PURPOSES = ['purchase', 'authority', 'complaint', 'after-repair'] as const;
export type Purpose = (typeof PURPOSES)[number];
export const DAY_BASES = ['calendar', 'working'] as const;
export const RESPONSIBILITIES = ['to-main', 'to-property-line'] as const;
export const PROFILES = ['maintain-first', 'renew-first'] as const;
export type Profile = (typeof PROFILES)[number];

/** What was agreed: for whom, when, what is in scope, by whose rules. */
export type Job = {
  readonly id: string;
  readonly title: string;
  readonly scope: (typeof SCOPES)[number];
  readonly purpose?: Purpose;
  readonly complaint?: string;
  readonly scheduledFor: string;
  readonly inspectionPeriodEndsOn?: string;
  /** Time of day, HH:MM. */
  readonly inspectionPeriodEndsAt?: string;
  readonly dayBasis?: (typeof DAY_BASES)[number];
  readonly inspector: string;
  /** The account of the one whose job it is, where Chert has accounts. */
  readonly assignedTo?: string;
  /** How long it is planned to take, minutes; absent: as Chert reckons. */
  readonly lengthMin?: number;
  /** What it costs the client and the number of its invoice, as text: the books are kept elsewhere. */
  readonly fee?: string;
  readonly invoice?: string;
  readonly client: string;
  /** The buyer's agent, or another who hands the report on. */
  readonly agent?: string;
  /** Who was there while the line was looked at, in words. */
  readonly attended?: string;
  /** The weather of the day and of those before it, in words. */
  readonly weather?: string;
  /** Where the owner's duty ends. */
  readonly responsibility: (typeof RESPONSIBILITIES)[number];
  /** The run whose access has station 0; absent or empty: chosen from the runs. */
  readonly referenceRunId?: string;
  readonly minFallInPerFt?: number;
  readonly localRules?: readonly { readonly material: Material; readonly says: string }[];
  readonly profile: Profile;
};

/** What the look was asked for: for a purchase unless the job says otherwise. */
export const purposeOf = ({ purpose = 'purchase' }: Pick<Job, 'purpose'>): Purpose => purpose;

/** Only a buyer can ask a seller, and only before closing. */
export const isForPurchase = (job: Pick<Job, 'purpose'>): boolean => purposeOf(job) === 'purchase';
