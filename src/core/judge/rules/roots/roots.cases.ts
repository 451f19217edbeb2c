import { minute, type Said } from '../../../testing/build';
import { defect, line, lineIn, type RuleCase } from '../../../testing/rules';

const roots = (more: Record<string, unknown> = {}): Said =>
  defect('roots', { extentRatio: 0.15, ...more });
const tree: Said = { kind: 'surface', what: 'tree', readingFt: 20, at: minute(30) };

export const ROOTS_CASES: Readonly<Record<string, readonly RuleCase[]>> = {
  'roots-at-joints': [
    {
      fires: line([roots({ locus: 'joint' })]),
      spares: line([roots({ locus: 'barrel' })]),
      says: /Ask about treating them too/,
    },
  ],
  'roots-in-barrel': [
    {
      fires: line([roots({ locus: 'barrel' })]),
      spares: line([roots({ locus: 'joint' })]),
      says: /"defect":"crack".*"defect":"break".*once the roots are out/,
    },
    {
      fires: line([roots({ locus: 'barrel' })]),
      spares: lineIn('cast-iron', 4, [roots({ locus: 'barrel' })]),
      says: /suspicion/,
    },
  ],
  'roots-in-iron': [
    {
      fires: lineIn('cast-iron', 6, [roots({ locus: 'barrel' })]),
      spares: line([roots({ locus: 'barrel' })]),
      says: /"action":"repair"/,
    },
    {
      fires: lineIn('cast-iron', 6, [roots()]),
      spares: lineIn('cast-iron', 6, [roots({ locus: 'joint' })]),
      says: /at a joint, or through the barrel/,
    },
  ],
  'roots-hold-debris': [
    { fires: line([roots({ holdsDebris: true })]), spares: line([roots()]), says: /catch solids/ },
    {
      fires: line([roots({ form: 'runner' })]),
      spares: line([roots({ form: 'fine' })]),
      says: /runners lie along/,
    },
  ],
  'roots-small-bore': [
    {
      fires: lineIn('vitrified-clay', 5.5, [roots()]),
      spares: lineIn('vitrified-clay', 6, [roots()]),
      says: /in a 5.5 in pipe/,
    },
    {
      fires: line([roots()], { property: { households: 2 } }),
      spares: line([roots()], { property: { households: 1 } }),
      says: /2 households/,
    },
  ],
  'cleaned-before': [
    {
      fires: line([roots()], {}, { cleanedBefore: 'cut' }),
      spares: line([roots()]),
      says: /what remains understates it/,
    },
    {
      fires: line([], {}, { cleanedBefore: 'unknown' }),
      spares: line([]),
      says: /Ask the seller/,
    },
  ],
  'moves-with-water': [
    {
      fires: line([roots({ movesWithWater: true })]),
      spares: line([roots({ note: 'does not move with the water' })]),
      says: /look twice/,
    },
    {
      fires: line([roots({ certainty: 'suspected' })]),
      spares: line([roots()]),
      says: /Are they roots/,
    },
  ],
  'break-explains-roots': [
    {
      fires: line([roots(), defect('break', { readingFt: 30.5, clockFrom: 12 })]),
      spares: line([roots(), defect('break', { readingFt: 33 })]),
      says: /the break there \(finding 2\)/,
    },
    {
      fires: line([roots({ soilVisible: true })]),
      spares: line([roots()]),
      says: /open to the ground/,
    },
  ],
  'planting-over-joints': [
    { fires: line([tree]), spares: lineIn('pvc', 6, [tree]), says: /No action, because no roots/ },
    { fires: line([tree]), spares: line([tree, roots()]), says: /a risk for later/ },
    {
      fires: line([tree, roots({ readingFt: 24 })]),
      spares: line([tree, roots({ readingFt: 31 })]),
      says: /the likely source/,
    },
  ],
  'roots-leak-out': [
    {
      fires: line([roots({ locus: 'joint' })]),
      spares: line([roots({ locus: 'joint', extentRatio: 0.05 })]),
      says: /lets sewage out/,
    },
    {
      fires: line([roots(), defect('gap', { gapIn: 0.3, readingFt: 30.5 })]),
      spares: line([roots(), defect('gap', { gapIn: 0.3, readingFt: 33 })]),
      says: /lets sewage out/,
    },
  ],
};
