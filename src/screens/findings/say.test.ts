import { describe, expect, it } from 'vitest';
import { assess } from '#core/assess';
import { compareJudgements } from '#core/judge/compare';
import { defect, line, lineIn, pool } from '#core/testing/rules';
import { becauseOfRule, nameCause, sayFacts, sayPlace, sayRejudged } from './say';

const first = (...said: Parameters<typeof line>[0]) => assess(line(said)).findings[0]!;
const { names } = assess(line([]));

describe('what the screen says of a finding', () => {
  it('is where it lies, from one end to the other or at a point', () => {
    expect(sayPlace(first(pool()), names)).toBe('30 to 36 ft');
    expect(sayPlace(first(defect('crack')), names)).toBe('at 30 ft');
  });

  it('is every fact that was logged, and none that was not', () => {
    const facts = Object.fromEntries(
      sayFacts(
        first(
          defect('roots', {
            extentRatio: 0.3,
            locus: 'joint',
            clockFrom: 10,
            clockTo: 2,
            holdsDebris: true,
          }),
        ),
        names,
      ),
    );
    expect(facts).toMatchObject({
      Share: '30%',
      'Comes in at': 'joint',
      Clock: '10 to 2',
      'Holds debris': 'yes',
      Side: 'owner',
    });
    expect(facts).not.toHaveProperty('Depth');
    expect(facts).not.toHaveProperty('Soil visible');
  });

  it('is what became of it between two judgements', () => {
    const fiber = (material: string) =>
      assess(lineIn(material, 4, [defect('deformation', { extentRatio: 0.08 })]));
    const said = compareJudgements(fiber('abs'), fiber('bituminous-fiber')).map(sayRejudged);
    expect(said[0]).toMatch(/^Finding 101, material at 0 ft: new\. This pipe is \d+ years old/);
    expect(said[1]).toBe(
      'Finding 1, deformation at 30 ft: ABS → bituminous fiber, watch it → repair.',
    );
    expect(compareJudgements(fiber('bituminous-fiber'), fiber('abs')).map(sayRejudged).at(-1)).toBe(
      'Finding 101, material at 0 ft: gone.',
    );
  });

  it('gives the rule behind a reason, and the trade’s names of causes', () => {
    expect(becauseOfRule('pool-held')!.because).toContain('digging would cure nothing');
    expect(becauseOfRule('severity-roots')).toBeNull();
    expect([nameCause('belly'), nameCause('roots')]).toEqual(['Belly', 'Roots']);
  });
});
