import { type Material } from '../../catalogue/materials/index';
import { type Thresholds } from '../../catalogue/severity/thresholds';
import type { Firm } from '../firm/firm';
import { CHERT_BOOK, type PriceBook } from '../prices/price-book';
import { type Assumptions } from './assumptions';
import {
  DEFAULT_REPORT_OPTIONS,
  type Holidays,
  NO_HOLIDAYS,
  type ReportOptions,
} from './report-options';

/** What an inspector may change about the computation. Every value has a default. */
export type Settings = {
  /** Out and back sightings closer than this are one thing, feet. */
  readonly mergeFt: number;
  /** Where the cable is taken to have slipped: evenly, or all of it while pushing out. */
  readonly slipOn: 'even' | 'out';
  /** Which pass gives the station where both saw a thing: the back pass pulls a taut cable. */
  readonly trustPass: 'back' | 'out';
  /** Water counts as drained without a remark after this many minutes. */
  readonly minDrainMin: number;
  /** How far an eyeballed inch may be out, inches. */
  readonly eyeSizeIn: number;
  /** How far an eyeballed share may be out. */
  readonly eyeShareRatio: number;
  /** Height of the locator's transmitter over the invert, inches. */
  readonly transmitterHeightIn: number;
  /** How far the transmitter sits behind the lens, inches. */
  readonly transmitterBehindIn: number;
  /** Years that a material usually serves, where the inspector's figures are not Chert's. */
  readonly usualLives: Partial<Record<Material, { readonly from: number; readonly to: number }>>;
  /** Numbers that judgement turns on, where the inspector's are not Chert's. */
  readonly thresholds: Partial<Thresholds>;
  /** How long the buyer plans to keep the house, whole years, 1 to 30. */
  readonly horizonYears: number;
  /** What repairs are priced by. */
  readonly priceBook: PriceBook;
  /** Rates that the futures rest on, where the inspector's are not Chert's. */
  readonly assumptions: Partial<Assumptions>;
  /** What the report shows, where it is not as usual. */
  readonly report: Partial<ReportOptions>;
  /** Who signs the report, and the words that go with it; the inspector's own firm where the job keeps none. */
  readonly firm: Firm;
  /** Days that are kept otherwise than the federal calendar says. */
  readonly holidays: Holidays;
};

/** Settings that a job has of its own: the inspector's settings of today are not laid over them. */
export const OWN_OF_JOB: readonly (keyof Settings)[] = [
  'horizonYears',
  'priceBook',
  'assumptions',
  'report',
  'firm',
  'holidays',
];

/** How far the futures are played. */
export const LONGEST_HORIZON_YEARS = 30;

export const DEFAULT_SETTINGS: Settings = {
  mergeFt: 2,
  slipOn: 'even',
  trustPass: 'back',
  minDrainMin: 5,
  eyeSizeIn: 0.5,
  eyeShareRatio: 0.1,
  transmitterHeightIn: 1,
  transmitterBehindIn: 0,
  usualLives: {},
  thresholds: {},
  horizonYears: 10,
  priceBook: CHERT_BOOK,
  assumptions: {},
  report: {},
  firm: {},
  holidays: NO_HOLIDAYS,
};

/** The settings in force: the defaults with what differs laid over them. */
export function settingsInForce(differing: Partial<Settings>): Settings {
  return { ...DEFAULT_SETTINGS, ...differing };
}

/** What the report shows, in force. */
export function reportOptions({ report }: Pick<Settings, 'report'>): ReportOptions {
  return { ...DEFAULT_REPORT_OPTIONS, ...report };
}
