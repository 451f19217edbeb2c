import type { Years } from '../catalogue/material';
import type { Material } from '../catalogue/materials/index';
import { materialOf } from '../catalogue/materials/kinds';
import type { Property } from '../model/job/property';
import type { Settings } from '../model/job/settings';

/** What the figures below rest on; shown beside them. */
export const SERVICE_LIFE_SOURCE = 'Chert’s planning assumption, November 2026';

/** How old a pipe probably is, against how long its kind usually serves. */
export type PipeAge = {
  readonly laid: Years;
  readonly ageYears: Years;
  readonly lifeYears: Years;
  /** Past its usual life even at its youngest, within it even at its oldest, or neither for sure. */
  readonly standing: 'past' | 'within' | 'may-be-past';
};

/**
 * Reckons the likely age of a pipe: laid with the house or later, in years when its material was laid.
 *
 * @param year of the inspection.
 * @returns `null` when the material is unknown. Without the house's year the material's own years stand.
 */
export function likelyAge(
  material: Material,
  lined: boolean,
  property: Pick<Property, 'yearBuilt'>,
  year: number,
  lives: Settings['usualLives'],
): PipeAge | null {
  const key = lined ? 'liner' : material;
  const usual = materialOf(key).service;
  if (!usual) return null;
  const firstYear = Math.max(usual.laid.from, property.yearBuilt ?? usual.laid.from);
  // A pipe older than its material's last year came with an older house; one younger, with a repair.
  const laid = {
    from: Math.min(firstYear, year),
    to: Math.min(Math.max(usual.laid.to ?? year, firstYear), year),
  };
  const ageYears = { from: year - laid.to, to: year - laid.from };
  const lifeYears = lives[key] ?? usual.life;
  const isPast = ageYears.from > lifeYears.to;
  const isWithin = ageYears.to <= lifeYears.from;
  return {
    laid,
    ageYears,
    lifeYears,
    standing: isPast ? 'past' : isWithin ? 'within' : 'may-be-past',
  };
}
