import { describe, expect, it } from 'vitest';
import type { Material } from '../catalogue/materials/index';
import { assessmentOf } from '../testing/build';
import { likelyAge } from './age';

const age = (material: Material, yearBuilt?: number, lined = false) =>
  likelyAge(material, lined, yearBuilt === undefined ? {} : { yearBuilt }, 2026, {});

describe('likely age', () => {
  it.each<[string, ReturnType<typeof age>, object]>([
    [
      'clay of a house of 1956: with the house, or until clay went out',
      age('vitrified-clay', 1956),
      { laid: { from: 1956, to: 1985 }, ageYears: { from: 41, to: 70 }, standing: 'may-be-past' },
    ],
    [
      'plastic at a house of 1926 came later',
      age('pvc', 1926),
      { laid: { from: 1965, to: 2026 }, standing: 'may-be-past' },
    ],
    [
      'fiber pipe is past its life at its youngest',
      age('bituminous-fiber', 1950),
      { ageYears: { from: 51, to: 76 }, standing: 'past' },
    ],
    [
      'new plastic is within its life',
      age('pvc', 2001),
      { laid: { from: 2001, to: 2026 }, standing: 'within' },
    ],
    [
      'clay at a house younger than clay',
      age('vitrified-clay', 1999),
      { laid: { from: 1999, to: 1999 } },
    ],
    [
      'a liner counts as a liner',
      age('vitrified-clay', 1956, true),
      { laid: { from: 1985, to: 2026 } },
    ],
    [
      'without a year the material’s own years stand',
      age('lead'),
      { laid: { from: 1850, to: 1940 } },
    ],
  ])('%s', (_, got, expected) => {
    expect(got).toMatchObject(expected);
  });
  it('is not told of an unknown material', () => expect(age('unknown', 1956)).toBeNull());
  it('goes by the inspector’s own figures where the settings have them', () => {
    const usualLives = { 'vitrified-clay': { from: 20, to: 30 } };
    const changes = { property: { yearBuilt: 1956 }, settings: { usualLives } };
    const [segment] = assessmentOf([], changes).lateral.segments;
    expect(segment!.age).toMatchObject({ lifeYears: { from: 20, to: 30 }, standing: 'past' });
  });
});
