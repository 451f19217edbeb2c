import { memoOf } from '../base/memo';
import { plainData } from '../base/plain-text';
import type { Assessment } from '../judge/assessment';
import { reportOptions } from '../model/job/settings';
import { planToTell, repairOf } from '../planning/repair';
import { composeAgentPage } from './agent';
import type { Block } from './block';
import { composeReport } from './compose';
import { composeContractorSheet } from './contractor';

/** For whom a document is. */
export const READERS = ['buyer', 'agent', 'contractor'] as const;
export type Reader = (typeof READERS)[number];

export const READER_NAMES: Readonly<Record<Reader, string>> = {
  buyer: 'Buyer’s report',
  agent: 'Page for the agent',
  contractor: 'Contractor’s sheet',
};

export type Documents = Readonly<Record<Reader, readonly Block[]>>;

/** A report with further blocks in it: how it stands against an earlier look comes before the record of this one. */
export function withMore(blocks: readonly Block[], more: readonly Block[]): readonly Block[] {
  const record = blocks.findIndex((block) => block.kind === 'terms');
  return [...blocks.slice(0, record), ...more, ...blocks.slice(record)];
}

/** The three documents of one job, from one computation: none can contradict another. */
export const composeDocuments = memoOf((assessment: Assessment): Documents => {
  const report = composeReport(assessment);
  const repair = repairOf(assessment);
  // What somebody typed may hide what turns Chert's own words round: it is shown.
  return plainData({
    buyer: report.blocks,
    agent: composeAgentPage(report, repair, reportOptions(assessment.settings).prices),
    contractor: composeContractorSheet(assessment, repair.site, planToTell(repair)),
  });
});
