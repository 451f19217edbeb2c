import { methodById } from '../repair/methods/index';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { totalFt } from '../base/interval';
import { derive, type Derived } from '../derive';
import type { Inspection } from '../job/inspection';
import { sayRange } from '../repair/money';
import { repairOf } from '../repair/repair';
import { DEMO_NAMES, demoInspection } from '../testing/demo-inspections';
import { anyScopedLine } from '../testing/scoped-line';
import type { Block, FindingBlock, HeadlineBlock, ListBlock, TableBlock } from './block';
import { composeReport, mayPass } from './compose';
import { composeDocuments } from './documents';
import { planOfReport, sayWork } from './report-plan';
import { FINDING_WORDS } from './words';

const of = <K extends Block['kind']>(blocks: readonly Block[], kind: K) =>
  blocks.filter((block): block is Extract<Block, { kind: K }> => block.kind === kind);
const tableOf = (blocks: readonly Block[], title: RegExp): TableBlock | undefined =>
  of(blocks, 'table').find((one) => title.test(one.title));
const listOf = (blocks: readonly Block[], title: string): ListBlock | undefined =>
  of(blocks, 'list').find((one) => one.title === title);

/** Everything that one block says is held against what the others, and the log, say. */
function expectNoContradiction(inspection: Inspection): void {
  const derived: Derived = derive(inspection);
  const report = composeReport(derived);
  const { buyer, agent, contractor } = composeDocuments(derived, report);
  const repair = repairOf(derived);
  const plan = planOfReport(repair);
  const found: FindingBlock[] = of(buyer, 'finding');
  const [headline] = of(buyer, 'headline') as [HeadlineBlock];

  // Absences: nothing that is found, suspected or open is called absent.
  const columns = of(buyer, 'columns')[0]!.columns;
  const absent = columns.find(({ title }) => title === 'What was not found')!.items.join(' ');
  for (const kind of derived.absences) {
    expect(derived.findings.map((one) => one.kind)).not.toContain(kind);
    expect(found.some(({ title }) => title.startsWith(FINDING_WORDS[kind].name))).toBe(false);
  }
  for (const finding of derived.findings)
    expect(absent).not.toMatch(new RegExp(`\\b${FINDING_WORDS[finding.kind].plural}\\b`));
  for (const { defect } of derived.suspicions)
    expect(absent).not.toMatch(new RegExp(`\\b${FINDING_WORDS[defect].plural}\\b`));

  // Verdict.
  const inScope = derived.findings.filter(({ courtesy }) => !courtesy);
  const calls = (action: string) => inScope.some((one) => one.action === action);
  if (derived.overall === 'serviceable') {
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
  if (headline.pass !== null) expect(mayPass(derived)).toBe(true);

  // Prices: none before a look, none for a courtesy, totals of one plan everywhere.
  for (const { action, price } of found) if (action === 'look-again') expect(price).toBeNull();
  for (const { id, action } of derived.findings)
    if (action === 'look-again')
      expect(
        plan.works.filter(
          ({ cures }) =>
            cures.includes(id) &&
            !cures.some(
              (other) => derived.findings.find((one) => one.id === other)!.action !== 'look-again',
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
  const reachedFt = Math.round(totalFt(derived.lateral.reached));
  const all = /All (\d+) (?:feet|foot)/.exec(headline.text);
  if (all) {
    expect(Number(all[1])).toBe(reachedFt);
    expect(headline.lead).toContain(`We saw all ${reachedFt} f`);
    expect(derived.completeness).toBe('whole');
  }
  const parts = tableOf(buyer, /^Part by part/);
  if (parts) {
    const long = parts.rows.reduce((sum, [from, to]) => sum + Number(to) - Number(from), 0);
    const segments = derived.lateral.segments.reduce((sum, one) => sum + one.toFt - one.fromFt, 0);
    expect(Math.abs(long - segments)).toBeLessThan(0.3 + 0.1 * parts.rows.length);
    // "Nothing found" stands over no finding.
    for (const [from, to, , grade] of parts.rows)
      if (grade === 'Nothing found')
        for (const { span, placed, lineId, ourDoing } of derived.findings)
          if (placed && !ourDoing && lineId === derived.lateral.lineId)
            expect(span.fromFt >= Number(to) - 0.06 || span.toFt <= Number(from) + 0.06).toBe(true);
  }

  // Footages: each title has the finding's own.
  for (const block of found) {
    const finding = derived.findings.find(({ id }) => id === block.id)!;
    expect(block.number).toBe(finding.number);
    if (!finding.placed) continue;
    const numbers = (/(?:at |, )(\d+)(?: to (\d+))? ft/.exec(block.title) ?? [])
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
