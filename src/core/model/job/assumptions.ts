/** Unit of an assumption: a share, a chance in a year, years, feet, dollars, or a plain factor. */
export type AssumptionUnit = 'share' | 'a year' | 'years' | 'ft' | 'dollars' | 'times';

type Row = readonly [value: number, low: number, high: number, unit: AssumptionUnit, says: string];

/**
 * Every rate that the futures rest on: Chert's own planning assumption, and how low and how high it may
 * well be. No study stands behind them; each can be changed, and the answer says which moves it most.
 */
const TABLE = {
  discountRate: [0.03, 0, 0.07, 'share', 'A dollar next year is worth less by'],
  backupCost: [2500, 1000, 7000, 'dollars', 'One backup: emergency call and cleaning up'],
  emergencyFactor: [1.5, 1.1, 2.2, 'times', 'A repair in an emergency costs more by'],
  baseBackup: [
    0.005,
    0.003,
    0.01,
    'a year',
    'Chance of a backup in any line, clean and sound, from what goes down it',
  ],
  upkeepYearsSlight: [3, 2, 5, 'years', 'Slight roots or deposits are cleaned every'],
  upkeepYearsModerate: [2, 1, 3, 'years', 'Moderate roots or deposits are cleaned every'],
  upkeepYearsMajor: [1, 1, 2, 'years', 'Major or failed roots or deposits are cleaned every'],
  clogSlight: [
    0.003,
    0.001,
    0.01,
    'a year',
    'Chance of a backup in the year after a cleaning, slight',
  ],
  clogModerate: [
    0.015,
    0.005,
    0.05,
    'a year',
    'Chance of a backup in the year after a cleaning, moderate',
  ],
  clogMajor: [0.05, 0.02, 0.12, 'a year', 'Chance of a backup in the year after a cleaning, major'],
  clogFailed: [
    0.12,
    0.05,
    0.3,
    'a year',
    'Chance of a backup in the year after a cleaning, failed',
  ],
  clogGrowth: [1.7, 1.3, 2.5, 'times', 'Each year without a cleaning multiplies that chance by'],
  scaleGrowth: [
    1.15,
    1.05,
    1.4,
    'times',
    'The same for scale and mineral deposit, which grow slowly',
  ],
  sharedCause: [
    0.7,
    0.3,
    1,
    'share',
    'Deposits of one kind in one line share their cause (1: two spots clog no oftener than the worst)',
  ],
  descaleYears: [8, 4, 12, 'years', 'Scale and mineral deposit are taken off every'],
  catchModerate: [
    0.02,
    0.005,
    0.05,
    'a year',
    'Chance of a backup at a moderate low stretch or lip',
  ],
  catchMajor: [0.08, 0.03, 0.2, 'a year', 'Chance of a backup at a major low stretch or lip'],
  catchFailed: [0.2, 0.08, 0.5, 'a year', 'Chance of a backup at a failed low stretch or lip'],
  flushYears: [1, 1, 2, 'years', 'A low stretch that flushing holds is flushed every'],
  flushFactor: [
    0.4,
    0.2,
    0.8,
    'times',
    'A low stretch that is flushed in time backs up less often by',
  ],
  breakYearsModerate: [
    40,
    20,
    70,
    'years',
    'Years by which 63 in 100 moderate structural defects give way',
  ],
  breakYearsMajor: [
    15,
    8,
    30,
    'years',
    'Years by which 63 in 100 major structural defects give way',
  ],
  breakYearsFailed: [
    4,
    2,
    10,
    'years',
    'Years by which 63 in 100 failed structural defects give way',
  ],
  breakShape: [
    1.6,
    1,
    2.5,
    'times',
    'How much faster a defect gives way as it ages (1: not at all)',
  ],
  ageShape: [5, 3, 7, 'times', 'How sharply pipe of one kind wears out about its usual life'],
  ageLifeFactor: [1.2, 1, 1.5, 'times', 'Pipe seen sound today lasts beyond its usual life by'],
  ageStretchFt: [50, 30, 100, 'ft', 'One failure of worn-out pipe is reckoned for every'],
  householdFactor: [1.25, 1, 1.6, 'times', 'Each further household multiplies clogging by'],
  smallBoreFactor: [1.4, 1, 2, 'times', 'A pipe of 3 in or less multiplies clogging by'],
  riskMaintain: [
    3000,
    0,
    8000,
    'dollars',
    'What a sure backup would weigh beyond its bill, Maintain first',
  ],
  riskRenew: [
    6000,
    2000,
    12000,
    'dollars',
    'What a sure backup would weigh beyond its bill, Renew first',
  ],
  causeBelly: [1, 0.3, 3, 'times', 'How likely a sunken pipe is, beside other causes'],
  causeOther: [1, 0.3, 3, 'times', 'How likely each other cause is'],
  replaceBeyondFt: [
    2,
    1,
    4,
    'ft',
    'Replacement goes beyond the fault, to sound pipe or to grade, by',
  ],
} as const satisfies Record<string, Row>;

export type AssumptionKey = keyof typeof TABLE;
export type Assumptions = Readonly<Record<AssumptionKey, number>>;
export type Assumption = {
  readonly value: number;
  readonly low: number;
  readonly high: number;
  readonly unit: AssumptionUnit;
  readonly says: string;
};

export const ASSUMPTION_KEYS = Object.keys(TABLE) as AssumptionKey[];
export const ASSUMPTION_TABLE = Object.fromEntries(
  Object.entries(TABLE).map(([key, [value, low, high, unit, says]]) => [
    key,
    { value, low, high, unit, says },
  ]),
) as Readonly<Record<AssumptionKey, Assumption>>;

/** The assumptions in force: Chert's with what differs laid over them. */
export function assumptionsInForce(differing: Partial<Assumptions>): Assumptions {
  const own = Object.fromEntries(ASSUMPTION_KEYS.map((key) => [key, ASSUMPTION_TABLE[key].value]));
  return { ...(own as Assumptions), ...differing };
}
