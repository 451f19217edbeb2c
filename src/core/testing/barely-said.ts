import { assess } from '../assess';
import type { Assessment } from '../judge/assessment';
import type { AccessPoint } from '../model/job/access-point';
import type { Inspection } from '../model/job/inspection';
import type { Run } from '../model/job/run';
import { composeReport } from '../report/compose';
import { composeDocuments } from '../report/documents';
import { CLAY, inspectionOf, MAIN_AT_60, runOf, type Said } from './build';
import { accessOf } from './joined';

export const back = { pass: 'back' as const };
export const home = (readingFt: number | null, more: Partial<Said> = {}): Said => ({
  kind: 'home',
  readingFt,
  ...back,
  ...more,
});
export const zone = (name: string, readingFt: number, more: Partial<Said> = {}): Said => ({
  kind: 'zone',
  zone: name,
  side: 'far',
  readingFt,
  ...more,
});
export const water = (state: string, more: Partial<Said> = {}): Said => ({
  kind: 'water',
  state,
  ...more,
});
export const feature = (name: string, readingFt: number, more: Partial<Said> = {}): Said => ({
  kind: 'feature',
  feature: name,
  readingFt,
  ...more,
});

export type Setup = {
  readonly run?: Partial<Run> & { readonly waterAtStart?: Run['waterAtStart'] | undefined };
  readonly access?: Partial<AccessPoint>;
  readonly job?: Partial<Inspection['job']>;
  readonly property?: Partial<Inspection['property']>;
};

/** A 60 ft run in 6 in clay to the main, of which nothing is said beyond these entries. */
export function of(
  said: readonly Said[],
  { run = {}, access = {}, job = {}, property = {} }: Setup = {},
): Assessment {
  const { waterAtStart: _none, ...bare } = runOf([CLAY, ...said, MAIN_AT_60]);
  const whole = { ...bare, ...run };
  const accessPoints = [accessOf('A', access)];
  return assess(inspectionOf([whole], { accessPoints, job, property }));
}

export const codes = ({ checks }: Assessment) => checks.map(({ code }) => code);
export const headline = (assessment: Assessment) => composeReport(assessment).headline;
export const wordsOf = (assessment: Assessment) => JSON.stringify(composeReport(assessment).blocks);
export const paper = (assessment: Assessment) => JSON.stringify(composeDocuments(assessment));
