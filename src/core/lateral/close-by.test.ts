import { expect, it } from 'vitest';
import { methodById } from '../planning/methods/index';
import { bedOf, siteOf } from '../planning/site';
import { whyNotOver } from '../planning/ways';
import { assessmentOf, type Said } from '../testing/build';

const YARD: Said = { kind: 'zone', zone: 'yard', side: 'far', readingFt: 0 };

/** Why 2 ft of the line from a station may not be burst. */
function whyNoBurst(atFt: number, said: readonly Said[], changes = {}): string | null {
  const site = siteOf(assessmentOf([YARD, ...said], changes));
  const span = { fromFt: atFt, toFt: atFt + 2 };
  return whyNotOver(site, methodById('burst'), bedOf(site, 'main-line'), span);
}

it('nothing is burst within 3 ft of a footing, by the footage it was given', () => {
  const footing: Said = { kind: 'surface', what: 'footing', readingFt: 30, offsetFt: 1 };
  expect(whyNoBurst(30, [])).toBeNull();
  expect(whyNoBurst(32, [footing])).toMatch(/a footing lies within 3 ft/);
  expect(whyNoBurst(40, [footing])).toBeNull();
  expect(whyNoBurst(30, [{ ...footing, offsetFt: 3 }])).toBeNull();
});

it('without a footage, nothing of the house line is burst until the walk has one', () => {
  const property = {
    surroundings: [{ id: 's', what: 'buried-utility', where: 'by the drive' }],
  };
  expect(whyNoBurst(10, [], { property })).toMatch(/a buried utility lies within 3 ft/);
  const given: Said = { kind: 'surface', what: 'buried-utility', readingFt: 50, seenOnWalk: 's' };
  expect(whyNoBurst(10, [given], { property })).toBeNull();
});
