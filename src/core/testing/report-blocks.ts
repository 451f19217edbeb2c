import { assess } from '../assess';
import type { Inspection } from '../model/job/inspection';
import type { Block } from '../report/block';
import { composeReport } from '../report/compose';
import { CLAY, inspectionOf, MAIN_AT_60, runOf, type Said } from './build';
import { defect } from './rules';

export const YARD: Said = { kind: 'zone', zone: 'yard', side: 'far', readingFt: 0 };
export const roots = (readingFt: number, extentRatio = 0.2, more = {}): Said =>
  defect('roots', { readingFt, extentRatio, locus: 'joint', ...more });
export const jobOf = (
  said: readonly Said[],
  change: (one: Inspection) => Inspection = (one) => one,
) => assess(change(inspectionOf([runOf([CLAY, YARD, ...said, MAIN_AT_60])])));
export const blocksOf = (...args: Parameters<typeof jobOf>) => composeReport(jobOf(...args)).blocks;
export const of = <K extends Block['kind']>(blocks: readonly Block[], kind: K) =>
  blocks.filter((block): block is Extract<Block, { kind: K }> => block.kind === kind);
export const listOf = (blocks: readonly Block[], title: string) =>
  of(blocks, 'list').find((block) => block.title === title)?.items;
