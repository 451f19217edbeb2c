import type { Settings } from '../job/settings';
import type { Material } from '../log/vocabulary';
import type { Property } from '../job/property';

/** A span of years, whole numbers. */
export type Years = { readonly from: number; readonly to: number };

/** When a material was commonly laid as a sewer, and how long it usually serves. */
export type ServiceLife = {
  /** `to` is `null` where it is still laid. */
  readonly laid: { readonly from: number; readonly to: number | null };
  readonly life: Years;
};

/** What the figures below rest on; shown beside them. */
export const SERVICE_LIFE_SOURCE = 'Chert’s planning assumption, November 2026';

/**
 * Years in which each material was commonly laid for house sewers, and the years it usually serves.
 * Planning figures of our own, wide on purpose; the lives can be changed in a job's settings.
 */
export const SERVICE_LIVES: Partial<Record<Material, ServiceLife>> = {
  'vitrified-clay': { laid: { from: 1880, to: 1985 }, life: { from: 50, to: 100 } },
  'cast-iron': { laid: { from: 1870, to: 1985 }, life: { from: 50, to: 90 } },
  'ductile-iron': { laid: { from: 1955, to: null }, life: { from: 60, to: 100 } },
  concrete: { laid: { from: 1900, to: 1985 }, life: { from: 50, to: 80 } },
  'asbestos-cement': { laid: { from: 1930, to: 1985 }, life: { from: 50, to: 70 } },
  'bituminous-fiber': { laid: { from: 1940, to: 1975 }, life: { from: 30, to: 50 } },
  abs: { laid: { from: 1960, to: null }, life: { from: 50, to: 100 } },
  pvc: { laid: { from: 1965, to: null }, life: { from: 60, to: 100 } },
  hdpe: { laid: { from: 1985, to: null }, life: { from: 50, to: 100 } },
  'galvanized-steel': { laid: { from: 1900, to: 1965 }, life: { from: 40, to: 60 } },
  lead: { laid: { from: 1850, to: 1940 }, life: { from: 60, to: 100 } },
  liner: { laid: { from: 1985, to: null }, life: { from: 30, to: 50 } },
};

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
  const usual = SERVICE_LIVES[key];
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
