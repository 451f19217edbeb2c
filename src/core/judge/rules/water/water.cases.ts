import { minute, type Said } from '../../../testing/build';
import { defect, line, lineIn, pool, type RuleCase } from '../../../testing/rules';

const running: Said = { kind: 'water', state: 'running' };
const drained: Said = { kind: 'water', state: 'drained' };
const vacant = { property: { occupancy: 'vacant' as const } };
const lip = (lipIn: number, readingFt = 36): Said => ({
  kind: 'material',
  side: 'far',
  material: 'pvc',
  diameterIn: 6,
  joint: 'lip',
  lipIn,
  readingFt,
});
const at = (readingFt: number, more: Record<string, unknown> = {}) =>
  pool({ readingFt, toReadingFt: readingFt + 4, ...more });
const levels = (fallIn: number): Said[] => [
  { kind: 'locate', depthIn: 40, groundIn: 100, readingFt: 5 },
  { kind: 'locate', depthIn: 40 + fallIn, groundIn: 100, readingFt: 55 },
];
const murk = (more: Record<string, unknown> = {}): Said => ({
  kind: 'unseen',
  cause: 'murky',
  readingFt: 30,
  toReadingFt: 36,
  ...more,
});
const flow = (result: string): Said => ({ kind: 'flow-test', fixture: 'tub', result });
const bare = { fillRatio: undefined };

export const WATER_CASES: Readonly<Record<string, readonly RuleCase[]>> = {
  'water-while-running': [
    {
      fires: line([running, pool()]),
      spares: line([running, drained, pool()]),
      says: /still on its way out/,
    },
  ],
  'residual-water': [
    {
      fires: line([running, drained, pool({ holdsDebris: true })]),
      spares: line([running, pool()]),
      says: /over 6 ft, and catches debris/,
    },
  ],
  'full-bore': [
    {
      fires: line([pool({ fillRatio: 0.95 })]),
      spares: line([pool({ fillRatio: 0.9 })]),
      says: /Replace the whole stretch to grade/,
    },
    {
      fires: line([pool({ fillRatio: 1 })]),
      spares: line([pool({ fillRatio: 1 }), lip(2)]),
      says: /stays full/,
    },
  ],
  'shallow-water': [
    {
      fires: line([pool({ fillRatio: 0.095 })]),
      spares: line([pool({ fillRatio: 0.095 })], vacant),
      says: /lived in and nothing is caught/,
    },
    {
      fires: line([pool({ fillRatio: 0.05 })]),
      spares: line([pool({ fillRatio: 0.105, toReadingFt: 32 })]),
      says: /no-action/,
    },
    {
      fires: line([pool({ fillRatio: 0.05 })], { property: { occupancy: 'unknown' } }),
      spares: line([pool({ fillRatio: 0.05, holdsDebris: true })], {
        property: { occupancy: 'unknown' },
      }),
      says: /whether the house is lived in/,
    },
  ],
  'pool-held': [
    {
      fires: line([pool({ depthIn: 1.2, fillRatio: undefined }), lip(1)]),
      spares: line([pool({ depthIn: 1.2, fillRatio: undefined })]),
      says: /the lip of 1 in at its downstream end holds it/,
    },
    {
      fires: line([pool({ depthIn: 1.3, fillRatio: undefined }), lip(1)]),
      spares: line([pool({ depthIn: 1.3, fillRatio: undefined }), lip(1, 38.3)]),
      says: /lip and belly compete/,
    },
    {
      fires: line([
        pool(),
        {
          kind: 'material',
          side: 'far',
          material: 'pvc',
          diameterIn: 6,
          joint: 'lip',
          readingFt: 36,
        },
      ]),
      spares: line([
        pool(),
        {
          kind: 'material',
          side: 'far',
          material: 'pvc',
          diameterIn: 6,
          joint: 'smooth',
          readingFt: 36,
        },
      ]),
      says: /How high the lip .* was not logged/,
    },
    {
      fires: line([pool(), defect('roots', { extentRatio: 0.3, readingFt: 37 })]),
      spares: line([pool(), defect('roots', { extentRatio: 0.3, readingFt: 31 })]),
      says: /cut the roots/,
    },
    {
      fires: line([
        pool(),
        defect('roots', { extentRatio: 0.3, clockFrom: 4, clockTo: 8, readingFt: 37 }),
      ]),
      spares: line([
        pool(),
        defect('roots', { extentRatio: 0.3, clockFrom: 10, clockTo: 2, readingFt: 37 }),
      ]),
      says: /cut the roots/,
    },
    {
      fires: line([pool(), defect('offset', { offsetIn: 2, form: 'step up', readingFt: 36.5 })]),
      spares: line([pool(), defect('offset', { offsetIn: 2, readingFt: 36.5 })]),
      says: /step up of 2 in .*holds it/,
    },
    {
      fires: line([
        pool(),
        defect('intruding-tap', { extentRatio: 0.3, clockFrom: 5, readingFt: 36 }),
      ]),
      spares: line([
        pool(),
        defect('intruding-tap', { extentRatio: 0.3, clockFrom: 12, readingFt: 36 }),
      ]),
      says: /cut the tap back/,
    },
    {
      fires: lineIn('pvc', 6, [
        { kind: 'material', side: 'far', material: 'cast-iron', diameterIn: 6, readingFt: 36 },
        pool(),
        defect('scale', { extentRatio: 0.2, readingFt: 36.5, toReadingFt: 50 }),
      ]),
      spares: lineIn('cast-iron', 6, [
        pool(),
        defect('scale', { extentRatio: 0.2, readingFt: 36.5, toReadingFt: 50 }),
      ]),
      says: /take the scale off/,
    },
  ],
  'lip-displaced': [
    {
      fires: line([
        defect('lip', { lipIn: 0.5 }),
        defect('offset', { offsetIn: 0.8 }),
        { kind: 'feature', feature: 'coupling', readingFt: 30.5 },
      ]),
      spares: line([defect('lip', { lipIn: 0.5 }), defect('offset', { offsetIn: 0.8 })]),
      says: /poorly bedded/,
    },
  ],
  'residue-line': [
    {
      fires: line([defect('residue-line'), defect('roots', { extentRatio: 0.3, readingFt: 41 })]),
      spares: line([defect('roots', { extentRatio: 0.3, readingFt: 41 })]),
      says: /Look to finding 2 at 40.?\d* ft|Look to finding 2 at 41 ft/,
    },
  ],
  'run-grade-failed': [
    {
      fires: line([at(5), at(20), at(40)]),
      spares: line([
        at(5, { fillRatio: 0.05 }),
        at(20, { fillRatio: 0.05 }),
        at(40, { fillRatio: 0.05 }),
      ]),
      says: /grade of the run has failed/,
    },
    {
      fires: line([at(5), at(20), at(40)]),
      spares: line([at(5), at(20)]),
      says: /3 pools over 12 ft/,
    },
    {
      fires: line([pool({ readingFt: 5, toReadingFt: 36 })]),
      spares: line([pool({ readingFt: 5, toReadingFt: 35 })]),
      says: /one pool over 31 ft/,
    },
    {
      fires: line([at(10), at(20), at(40), ...levels(-4)]),
      spares: line([at(10), at(40), ...levels(-4)]),
      says: /pumped ejection/,
    },
    {
      fires: line([at(10), at(20), at(40), ...levels(30)]),
      spares: line([running, at(10), at(20), at(40), ...levels(30)]),
      says: /The fall is there/,
    },
  ],
  'open-causes': [
    {
      fires: line([running, pool()]),
      spares: line([pool()]),
      says: /"cause":"debris".*"cause":"roots".*"cause":"belly"/,
    },
    {
      fires: line([pool(bare), murk()]),
      spares: line([pool(bare)]),
      says: /"cause":"belly"/,
    },
    {
      fires: lineIn('cast-iron', 4, [
        pool(),
        defect('wall-loss', { form: 'pitted', readingFt: 32 }),
      ]),
      spares: lineIn('cast-iron', 4, [
        pool(),
        defect('wall-loss', { form: 'pitted', readingFt: 42 }),
      ]),
      says: /"cause":"wall-loss".*"cause":"belly"/,
    },
    {
      fires: line([murk({ cause: 'submerged' })]),
      spares: line([murk({ cause: 'too-fast' })]),
      says: /"defect":"standing-water"/,
    },
  ],
  'waste-without-water': [
    {
      fires: line([defect('debris', { extentRatio: 0.1 })]),
      spares: line([defect('debris', { extentRatio: 0.1 }), pool()]),
      says: /unexplained/,
    },
    {
      fires: line([defect('gap', { gapIn: 0.6 })]),
      spares: line([defect('gap', { gapIn: 0.6, holdsDebris: true })]),
      says: /solids are passing/,
    },
  ],
  'scale-water': [
    {
      fires: lineIn('cast-iron', 4, [
        pool({ fillRatio: 0.05 }),
        defect('scale', { toReadingFt: 40 }),
      ]),
      spares: line([pool({ fillRatio: 0.05 }), defect('scale', { toReadingFt: 40 })]),
      says: /expected to move on/,
    },
  ],
  'rises-with-water': [
    { fires: line([flow('backs-up')]), spares: line([flow('clears')]), says: /"defect":"debris"/ },
    {
      fires: line([
        defect('debris', { ourDoing: true, at: minute(1) }),
        { ...flow('slow'), at: minute(5) },
      ]),
      spares: line([flow('not-seen')]),
      says: /Our own head had moved debris/,
    },
  ],
  'clears-briskly': [
    { fires: line([flow('clears')]), spares: line([flow('slow')]), says: /works today/ },
    { fires: line([], vacant), spares: line([]), says: /The house is vacant/ },
    {
      fires: line([pool({ fillRatio: 0.05 })], vacant),
      spares: line([pool({ fillRatio: 0.05 })]),
      says: /"on":"F-R1-e2"/,
    },
  ],
  'belly-cure': [
    {
      fires: line([pool({ fillRatio: 0.5 })]),
      spares: line([running, pool({ fillRatio: 0.5 })]),
      says: /A liner would keep the dip/,
    },
  ],
};
