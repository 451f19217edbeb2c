import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { assess } from '../../assess';
import { anyLog } from '../../testing/arbitrary';
import { inspectionOf, runOf } from '../../testing/build';
import { conclusionsOf, type RuleCase, sceneFrom, wordsOfConclusions } from '../../testing/rules';
import { concludeAll } from '../conclude';
import { ACCESS_CASES } from './access/access.cases';
import { HOUSE_CASES } from './house/house.cases';
import { ORDER_CASES } from './order/order.cases';
import { ROOTS_CASES } from './roots/roots.cases';
import { STRUCTURE_CASES } from './structure/structure.cases';
import { WATER_CASES } from './water/water.cases';
import { RULES } from './index';

const CASES: Readonly<Record<string, readonly RuleCase[]>> = {
  ...ACCESS_CASES,
  ...WATER_CASES,
  ...ROOTS_CASES,
  ...STRUCTURE_CASES,
  ...ORDER_CASES,
  ...HOUSE_CASES,
};
const rows = RULES.flatMap(({ id }) =>
  (CASES[id] ?? []).map((one, index): [string, RuleCase] => [`${id}, case ${index + 1}`, one]),
);

describe('the rules of judgement', () => {
  it('are numbered in their order, each with an id, an if, a then and a because', () => {
    const numbers = RULES.map(({ number }) => number);
    // Some numbers of the trade are kept elsewhere: in a method, a caution or a step.
    expect(numbers).toEqual([...new Set(numbers)].toSorted((a, b) => a - b));
    expect(numbers.slice(0, 51)).toEqual(Array.from({ length: 51 }, (_, at) => at + 1));
    expect(new Set(RULES.map(({ id }) => id)).size).toBe(RULES.length);
    for (const { when, then, because } of RULES)
      for (const text of [when, then, because]) expect(text).toMatch(/^[a-z“].{9,}[^.]$/);
  });

  it('each have cases', () => {
    expect(Object.keys(CASES).sort()).toEqual(RULES.map(({ id }) => id).sort());
  });

  it.each(rows)('%s: speaks where it must, and not where it must not', (name, one) => {
    const id = name.split(',')[0]!;
    const said = wordsOfConclusions(conclusionsOf(id, one.fires));
    expect(said).toMatch(one.says);
    // The other may call for other words of the same rule, never for these.
    expect(wordsOfConclusions(conclusionsOf(id, one.spares))).not.toMatch(one.says);
  });

  it('come to the same whatever order they are asked in', () => {
    fc.assert(
      fc.property(
        anyLog(14),
        fc.shuffledSubarray([...RULES], { minLength: RULES.length }),
        (log, order) => {
          const inspection = inspectionOf([runOf(log)], { property: { yearBuilt: 1950 } });
          const scene = sceneFrom(inspection);
          expect(concludeAll(scene, order)).toEqual(concludeAll(scene, RULES));
        },
      ),
      { numRuns: 60 },
    );
  });

  it('never move a grade of the severity table', () => {
    fc.assert(
      fc.property(anyLog(14), (log) => {
        const inspection = inspectionOf([runOf(log)]);
        const table = new Map(sceneFrom(inspection).findings.map((one) => [one.id, one.severity]));
        for (const { id, severity, kind } of assess(inspection).findings)
          if (kind !== 'layout' && kind !== 'material') expect(severity).toBe(table.get(id));
      }),
      { numRuns: 60 },
    );
  });

  it('say what they say in whole sentences, with no number left out', () => {
    for (const [, one] of rows) {
      const { findings, remarks, advice, questions } = assess(one.fires);
      const sentences = [
        ...findings.flatMap((finding) => finding.advice.map(({ text }) => text)),
        ...remarks.map(({ text }) => text),
        ...advice.map(({ text }) => text),
        ...questions.flatMap(({ text, settledBy }) => [text, settledBy]),
      ];
      for (const text of sentences) {
        expect(text).toMatch(/^[A-Z].*[.?]$/);
        expect(text).not.toMatch(/undefined|null|NaN| {2}|\.\./);
      }
    }
  });
});
