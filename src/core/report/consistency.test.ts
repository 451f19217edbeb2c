import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { assess } from '../assess';
import { totalFt } from '../base/interval';
import { buyerWordsOf } from '../catalogue/defects/kinds';
import type { Assessment } from '../judge/assessment';
import type { Inspection } from '../model/job/inspection';
import { methodById } from '../planning/methods/index';
import { sayRange } from '../planning/money';
import { planToTell, repairOf } from '../planning/repair';
import { DEMO_NAMES, demoInspection } from '../testing/demo-inspections';
import { anyScopedLine } from '../testing/scoped-line';
import type { Block, FindingBlock, HeadlineBlock, ListBlock, TableBlock } from './block';
import { composeReport, mayPass } from './compose';
import { composeDocuments } from './documents';
import { sayWork } from './report-plan';

const of = <K extends Block['kind']>(blocks: readonly Block[], kind: K) =>
  blocks.filter((block): block is Extract<Block, { kind: K }> => block.kind === kind);
const tableOf = (blocks: readonly Block[], title: RegExp): TableBlock | undefined =>
  of(blocks, 'table').find((one) => title.test(one.title));
const listOf = (blocks: readonly Block[], title: string): ListBlock | undefined =>
  of(blocks, 'list').find((one) => one.title === title);

/** Everything that one block says is held against what the others, and the log, say. */
function expectNoContradiction(inspection: Inspection): void {
  const assessment: Assessment = assess(inspection);
  const report = composeReport(assessment);
  const { buyer, agent, contractor } = composeDocuments(assessment);
  const repair = repairOf(assessment);
  const plan = planToTell(repair);
  const found: FindingBlock[] = of(buyer, 'finding');
  const [headline] = of(buyer, 'headline') as [HeadlineBlock];

  // Absences: nothing that is found, suspected or open is called absent.
  const columns = of(buyer, 'columns')[0]!.columns;
  const absent = columns.find(({ title }) => title === 'What was not found')!.items.join(' ');
  for (const kind of assessment.absences) {
    expect(assessment.findings.map((one) => one.kind)).not.toContain(kind);
    expect(found.some(({ title }) => title.startsWith(buyerWordsOf(kind).name))).toBe(false);
  }
  for (const finding of assessment.findings)
    expect(absent).not.toMatch(new RegExp(`\\b${buyerWordsOf(finding.kind).plural}\\b`));
  for (const { defect } of assessment.suspicions)
    expect(absent).not.toMatch(new RegExp(`\\b${buyerWordsOf(defect).plural}\\b`));

  // Verdict.
  const inScope = assessment.findings.filter(({ courtesy }) => !courtesy);
  const calls = (action: string) => inScope.some((one) => one.action === action);
  if (assessment.overall === 'serviceable') {
    expect(['urgent', 'repair', 'look-again', 'upkeep'].some(calls)).toBe(false);
  }
  if (/No work is needed/.test(headline.text))
    expect(found.every(({ price }) => price === null)).toBe(true);
  if (/^Repair /.test(headline.text)) {
    const count = inScope.filter(({ action }) => action === 'repair').length;
    const words = [
      'no',
      'one',
      'two',
      'three',
      'four',
      'five',
      'six',
      'seven',
      'eight',
      'nine',
      'ten',
    ];
    expect(headline.text).toContain(`Repair ${words[count]} spot`);
  }
  if (headline.pass !== null) expect(mayPass(assessment)).toBe(true);

  // Prices: none before a look, none for a courtesy, totals of one plan everywhere.
  for (const { action, price } of found) if (action === 'look-again') expect(price).toBeNull();
  for (const { id, action } of assessment.findings)
    if (action === 'look-again')
      expect(
        plan.works.filter(
          ({ cures }) =>
            cures.includes(id) &&
            !cures.some(
              (other) =>
                assessment.findings.find((one) => one.id === other)!.action !== 'look-again',
            ),
        ),
      ).toEqual([]);
  const cost = tableOf(buyer, /^What it may cost/);
  const paid = plan.works.filter((work) => work.cost.high > 0);
  expect(cost === undefined).toBe(paid.length === 0);
  if (cost && paid.length > 1) {
    expect(cost.rows.at(-1)![2]).toBe(sayRange(plan.cost));
    expect(JSON.stringify(agent)).toContain(sayRange(plan.cost));
  }
  expect(JSON.stringify(contractor)).not.toContain('$');

  // Works: every document names the same ones.
  const asked = listOf(agent, 'What to ask for')!.items.join('\n').toLowerCase();
  const quoted = tableOf(contractor, /^What to quote for/)?.rows ?? [];
  // Nobody quotes for telling somebody.
  const toQuote = plan.works.filter(({ method }) => methodById(method).role !== 'tell');
  expect(quoted).toHaveLength(toQuote.length);
  for (const work of paid) {
    expect(asked).toContain(sayWork(work));
    expect(cost!.rows.some(([what]) => what!.toLowerCase() === sayWork(work))).toBe(true);
  }

  // Lengths: the headline, the words under it and the parts agree with what was reached.
  const reachedFt = Math.round(totalFt(assessment.lateral.reached));
  const all = /All (\d+) (?:feet|foot)/.exec(headline.text);
  if (all) {
    expect(Number(all[1])).toBe(reachedFt);
    expect(headline.lead).toContain(`We saw all ${reachedFt} f`);
    expect(assessment.completeness).toBe('whole');
  }
  const parts = tableOf(buyer, /^Part by part/);
  if (parts) {
    const long = parts.rows.reduce((sum, [from, to]) => sum + Number(to) - Number(from), 0);
    const segments = assessment.lateral.segments.reduce(
      (sum, one) => sum + one.toFt - one.fromFt,
      0,
    );
    expect(Math.abs(long - segments)).toBeLessThan(0.3 + 0.1 * parts.rows.length);
    // "Nothing found" stands over no finding.
    for (const [from, to, , grade] of parts.rows)
      if (grade === 'Nothing found')
        for (const { span, placed, lineId, ourDoing } of assessment.findings)
          if (placed && !ourDoing && lineId === assessment.lateral.lineId)
            expect(span.fromFt >= Number(to) - 0.06 || span.toFt <= Number(from) + 0.06).toBe(true);
  }

  // Footages: each title has the finding's own.
  for (const block of found.flatMap(({ places }) => places)) {
    const finding = assessment.findings.find(({ id }) => id === block.id)!;
    expect(block.number).toBe(finding.number);
    if (!finding.placed) continue;
    const numbers = (/^(?:At )?(\d+)(?: to (\d+))? ft/.exec(block.where) ?? [])
      .slice(1)
      .filter(Boolean)
      .map(Number);
    const { fromFt, toFt } = finding.span;
    if (fromFt >= 0) expect(numbers).toEqual([...new Set([Math.round(fromFt), Math.round(toFt)])]);
  }
  // Plain words.
  expect(report.readsAtGrade).toBeLessThanOrEqual(8);
}

describe('no block contradicts another', () => {
  it.each(DEMO_NAMES)('%s', (name) => expectNoContradiction(demoInspection(name)));

  it('on 500 lines made by chance', () => {
    fc.assert(fc.property(anyScopedLine, expectNoContradiction), { numRuns: 500, seed: 8 });
  }, 60_000);
});
