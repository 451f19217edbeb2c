import { describe, expect, it } from 'vitest';
import { assess } from '../assess';
import { demoInspection } from '../testing/demo-inspections';
import { repairOf } from './repair';

describe('what a look is worth, by hand', () => {
  const { looks, site } = repairOf(assess(demoInspection('heron-court')));
  const look = looks[0]!;

  it('has every cause that is open, each as likely where nothing says otherwise', () => {
    expect(look.paths.map(({ cause }) => cause)).toEqual(['debris', 'roots', 'belly']);
    for (const { chance } of look.paths) expect(chance).toBeCloseTo(1 / 3, 12);
  });

  it('is the best guess now, less the look and a third of each repair that may follow', () => {
    const [debris, roots, belly] = look.paths.map(({ cost }) => cost) as [number, number, number];
    expect(debris).toBe(0);
    expect(look.looking).toBeCloseTo(look.price + roots / 3 + belly / 3, 6);
    // New pipe ends every cause; to clear it and be wrong costs a backup and then the right work.
    const { backupCost } = site.assumptions;
    const clearNow = (roots + backupCost) / 3 + (belly + backupCost) / 3;
    const cutNow = roots + backupCost / 3 + (belly + backupCost) / 3;
    expect(look.guess).toBeCloseTo(Math.min(belly, clearNow, cutNow), 6);
    expect(look.worth).toBeCloseTo(look.guess - look.looking, 6);
  });

  it('says what may follow, with its chance and price', () => {
    expect(look.says).toMatch(
      /^Finding 3 may be debris, roots or belly\. .* What may follow: about 33 times in 100 nothing more; about 33 times in 100 cut the roots, about \$[\d,.k]+; about 33 times in 100 replace it to grade, about \$[\d,.k]+\.$/,
    );
  });
});
