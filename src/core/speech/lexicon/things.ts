import { type FeatureKind, FEATURES } from '../../catalogue/features/index';
import { featureOf } from '../../catalogue/features/kinds';
import type { Material } from '../../catalogue/materials/index';
import { ofMaterials } from '../../catalogue/materials/kinds';
import type { UnseenCause } from '../../catalogue/vocabulary';
import { type Zone, zoneOf, ZONES } from '../../catalogue/zones';
import type { Sayings } from './phrases';

/** How inspectors name what a pipe is made of. */
export const MATERIAL_SAYINGS: Sayings<Material> = ofMaterials(({ said }) => said);

/** How they name what belongs in a line, and what lies over it. */
export const FEATURE_SAYINGS: Sayings<FeatureKind> = Object.fromEntries(
  FEATURES.map((feature) => [feature, featureOf(feature).said]),
);
export const ZONE_SAYINGS: Sayings<Zone> = Object.fromEntries(
  ZONES.map((zone) => [zone, zoneOf(zone).said]),
);

/** Things outside the pipe. */
export const SURFACE_SAYINGS: Sayings = {
  'sunken-ground':
    '{sunken|sunk|settled|sinking} {ground|soil|yard|pavement|spot|area}|sinkhole|sink hole|ground [has] {sunk|settled|sinking}|depression in {ground|yard}',
  'wet-ground':
    'wet {ground|spot|soil|yard|patch}|{ground|soil|yard} [is] {wet|soggy|soft|soft and wet}|soggy ground',
  'buried-cleanout': 'buried {cleanout|clean out|co}',
  'missing-cleanout': 'missing {cleanout|clean out|co}|no cleanout',
  'buried-utility':
    'buried {utility|line|cable} {nearby|near|close|beside}|utility marks|buried utility',
  footing: 'footing|footings|foundation footing|retaining wall',
  hedge: 'hedge|hedges|shrub|shrubs|bush|bushes',
  tree: '[big|large|small|old|huge] {tree|trees|oak|maple|pine|willow|elm|palm|stump}|tree stump',
};

/** Why a stretch cannot be seen. */
export const UNSEEN_SAYINGS: Sayings<UnseenCause> = {
  submerged:
    'under water|underwater|submerged|lens [is] under [water]|head under water|camera under water',
  murky: 'murky|murky water|cloudy [water]|muddy [water]|dirty water',
  'dirty-lens':
    '{dirty|fouled|foggy|fogged|greasy|smeared} lens|lens [is] {dirty|fouled|foggy|fogged|smeared|greasy|covered|fogged up}|{grease|mud|dirt} on lens',
  'too-fast': 'too fast|passed too fast|went {past|by} too fast|went past|moving too fast',
};
