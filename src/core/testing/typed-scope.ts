import { roundTo } from '../base/numbers';

/**
 * Thirty observations of one scope as a quick inspector types them, with the footage beside each and what
 * each must come to. Keys are counted as pressed: one for each character, one for Enter.
 */
export const TYPED_SCOPE: readonly (readonly [
  say: string,
  atFt: string,
  want: Record<string, unknown>,
])[] = [
  ['water on', '13', { kind: 'water', state: 'running' }],
  ['cast iron 4 in', '13', { kind: 'material', material: 'cast-iron', diameterIn: 4 }],
  ['scale 20%', '14.5', { defect: 'scale', extentRatio: 0.2 }],
  ["tee 3 o'clock", '16', { feature: 'tee', clock: 3 }],
  ['wall', '18', { feature: 'wall' }],
  ['clay 6 in', '22', { material: 'vitrified-clay', diameterIn: 6 }],
  ['roots 10% joint', '25.5', { defect: 'roots', extentRatio: 0.1, locus: 'joint' }],
  ['tree', '26', { kind: 'surface', what: 'tree' }],
  ['offset 1/2 in', '31', { defect: 'offset', offsetIn: 0.5 }],
  ['hairline crack', '33.5', { defect: 'crack', form: 'hairline' }],
  ['gap 1/2 in', '35', { defect: 'gap', gapIn: 0.5 }],
  ['driveway', '38', { kind: 'zone', zone: 'driveway' }],
  ['bend 45 left', '41', { feature: 'bend', angleDeg: 45, turns: 'left' }],
  ['water', '43', { defect: 'standing-water', open: true }],
  ['murky', '46', { kind: 'unseen', cause: 'murky' }],
  ['strip', '54', { kind: 'zone', zone: 'strip' }],
  ['roots 60% barrel', '57', { defect: 'roots', extentRatio: 0.6, locus: 'barrel' }],
  ['flag', '59', { kind: 'flag' }],
  ['pl', '64', { feature: 'property-line' }],
  ['pvc 6 in lip', '66', { material: 'pvc', diameterIn: 6, joint: 'lip' }],
  ['debris 10%', '69', { defect: 'debris', extentRatio: 0.1 }],
  ['wye left', '73.5', { feature: 'wye', clock: 9 }],
  ['street', '75', { kind: 'zone', zone: 'street' }],
  ['main, seen', '92', { kind: 'end', reason: 'main', confirmedBy: 'sight' }],
  ['drained', '92', { kind: 'water', state: 'drained' }],
  ['grease 30%', '88.5', { defect: 'grease', extentRatio: 0.3 }],
  [`locate 4'8" 6 ft from garage`, '57', { kind: 'locate', depthIn: 56 }],
  ['break top', '49', { defect: 'break', clockFrom: 12 }],
  ['flush toilet clears', '20', { kind: 'flow-test', result: 'clears' }],
  ['home 13', '13', { kind: 'home' }],
];

/** The same with its footage typed; a locate takes a bare number for its depth, so there it follows "at". */
export const withFootage = (say: string, atFt: string) =>
  say.startsWith('locate') ? say.replace('locate', `locate at ${atFt}:`) : `${say} ${atFt}`;

/** Keys an observation takes on average, Enter included. */
export function meanKeys(typed: readonly string[]): number {
  return roundTo(typed.reduce((sum, one) => sum + one.length + 1, 0) / typed.length, 1);
}
