import type { FeatureKind, Material, UnseenCause, Zone } from '../../log/vocabulary';
import type { Sayings } from './phrases';

/** How inspectors name what a pipe is made of. No brands: those are an inspector's own words. */
export const MATERIAL_SAYINGS: Sayings<Material> = {
  'vitrified-clay':
    'vitrified clay|clay|clay {pipe|tile}|vcp|terra cotta|terracotta|vitrified clay pipe',
  'ductile-iron': 'ductile|ductile iron|dip',
  'cast-iron': 'cast iron|cast|iron|ci|cast iron pipe|iron pipe',
  'asbestos-cement': 'asbestos|asbestos cement|ac pipe|acp|asbestos pipe',
  concrete: 'concrete|cement|cement pipe|concrete pipe',
  'bituminous-fiber':
    'bituminous [fiber]|tar paper|tarpaper|{tar paper|tarpaper|fiber|fibre|pitch fiber|wood pulp} pipe|pitch fiber|fiber|fibre',
  abs: 'abs|black plastic|abs pipe',
  pvc: 'pvc|white plastic|plastic|pvc pipe|sdr 35|sdr 26|schedule 40|sch 40|green pipe',
  hdpe: 'hdpe|polyethylene|poly',
  'galvanized-steel': 'galvanized|galvanised|galvanized steel|galvanised steel|galv|steel',
  lead: 'lead|lead pipe',
  liner: 'liner|lined|cured liner|cured in place [pipe|liner]|cipp',
  unknown: 'unknown material|material unknown|unknown pipe|{cant|cannot} tell material',
};

export const FEATURE_SAYINGS: Sayings<FeatureKind> = {
  'property-line-cleanout': 'property line {cleanout|clean out|co}',
  'property-line': 'property line|boundary|lot line|pl|property boundary',
  'main-tap': 'main tap|tap at [main|city main|public main]|tap|saddle|tap at main',
  'test-tee': 'test tee',
  cleanout: 'cleanout|clean out|co|cleanouts|c o',
  reducer: 'reducer|reduces|reduction|size change|goes down to',
  tee: 'tee|tees|t|branch|branch connection|connection|branch line|lateral connection',
  wye: 'wye|wyes|y',
  bend: 'bend|bends|elbow|ell|sweep|turn|turns|curve|curves|bends|90 bend',
  drop: 'drop|vertical drop|drops|goes vertical',
  trap: 'trap|p trap|house trap',
  riser: 'riser|risers',
  coupling: 'coupling|sleeve|no hub [coupling]|band|banded coupling|shielded coupling|connector',
  vent: 'vent|vent stack',
  wall: 'wall|foundation|foundation wall|house wall|footing',
  join: 'join|joins|junction|meets [line]|joins {other|main|house} line',
  'access-point': 'access|access point',
  tank: 'tank|septic tank',
  'upstream-end': 'upstream end|upper end|end of the line upstream|dead end',
};

export const ZONE_SAYINGS: Sayings<Zone> = {
  'under-house': '{under|below|beneath} {house|slab|building|home|floor}|house|slab|building',
  crawlspace: 'crawlspace|crawl space|crawl',
  basement: 'basement|cellar',
  patio: 'patio|deck',
  driveway: 'driveway|drive|drive way',
  strip: 'strip|parkway|verge|tree lawn|planting strip|grass strip',
  walk: 'walk|sidewalk|side walk|walkway|footpath|public walk',
  street: 'street|road|roadway|alley',
  yard: 'yard|{front|back|side} yard|lawn|garden|grass',
};

/** Things outside the pipe. */
export const SURFACE_SAYINGS: Sayings = {
  'sunken-ground':
    '{sunken|sunk|settled|sinking} {ground|soil|yard|pavement|spot|area}|sinkhole|sink hole|ground [has] {sunk|settled|sinking}|depression in {ground|yard}',
  'wet-ground':
    'wet {ground|spot|soil|yard|patch}|{ground|soil|yard} [is] {wet|soggy|soft|soft and wet}|soggy ground',
  'buried-cleanout': 'buried {cleanout|clean out|co}',
  'missing-cleanout': 'missing {cleanout|clean out|co}|no cleanout',
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
