import type { Said } from '../../../testing/build';
import { accessOf } from '../../../testing/joined';
import { defect, line, lineIn, pool, type RuleCase } from '../../../testing/rules';

const pipe = (material: string, diameterIn: number, readingFt: number, more = {}): Said => ({
  kind: 'material',
  side: 'far',
  material,
  diameterIn,
  readingFt,
  ...more,
});
const locate = (readingFt: number, more: Record<string, unknown> = {}): Said => ({
  kind: 'locate',
  depthIn: 49,
  readingFt,
  ...more,
});
const tee = (readingFt: number, serves?: string): Said => ({
  kind: 'feature',
  feature: 'tee',
  readingFt,
  ...(serves ? { serves } : {}),
});
const invert = defect('break', { form: 'invert-missing' });
const crack = (readingFt: number) => defect('crack', { form: 'open', readingFt });
const crawl = { property: { foundation: 'crawlspace' as const } };
const wet: Said = { kind: 'surface', what: 'wet-crawlspace', readingFt: 5 };
const wetGround: Said = { kind: 'surface', what: 'wet-ground', readingFt: 5 };
const vent = { accessPoints: [accessOf('A', { kind: 'roof-vent', diameterIn: 3 })] };
const levels = (fallIn: number): Said[] => [
  locate(5, { groundIn: 100 }),
  locate(55, { groundIn: 100, depthIn: 49 + fallIn }),
];

export const STRUCTURE_CASES: Readonly<Record<string, readonly RuleCase[]>> = {
  'wall-missing': [
    {
      fires: line([invert, locate(31, { mark: 'white paint' })]),
      spares: line([defect('break', { form: 'displaced' }), locate(31)]),
      says: /49 in down|50 in down|48 in down/,
    },
    {
      fires: line([invert, locate(31, { mark: 'white paint' })]),
      spares: line([defect('gap', { gapIn: 2 })]),
      says: /marked white paint/,
    },
    {
      fires: line([invert]),
      spares: line([crack(30)]),
      says: /nobody located it/,
    },
  ],
  'lip-catches': [
    {
      fires: line([defect('lip', { lipIn: 0.5 })], {
        property: { history: [{ what: 'backup', note: 'twice' }] },
      }),
      spares: line([defect('offset', { offsetIn: 0.5 })]),
      says: /likely cause of the backups/,
    },
  ],
  'gap-clear': [
    {
      fires: line([defect('gap', { gapIn: 0.7 })]),
      spares: line([defect('gap', { gapIn: 0.7, soilVisible: true })]),
      says: /licensed drain contractor’s opinion/,
    },
    {
      fires: line([defect('offset', { offsetIn: 0.3 })]),
      spares: line([defect('offset', { offsetIn: 0.9 })]),
      says: /nothing is caught/,
    },
  ],
  'iron-condition': [
    {
      fires: lineIn('cast-iron', 4, [defect('break', { form: 'displaced' })]),
      spares: line([defect('break', { form: 'displaced' })]),
      says: /Broken iron is replaced/,
    },
    {
      fires: lineIn('cast-iron', 4, [defect('wall-loss', { form: 'pitted' })]),
      spares: line([defect('wall-loss', { form: 'pitted' })]),
      says: /Replace this stretch/,
    },
    {
      fires: lineIn('cast-iron', 4, [defect('wall-loss', { form: 'rough' })]),
      spares: lineIn('cast-iron', 4, [crack(30)]),
      says: /corroded but flowing/,
    },
    {
      fires: lineIn('cast-iron', 4, [defect('scale', { extentRatio: 0.3, toReadingFt: 40 })]),
      spares: lineIn('cast-iron', 4, [defect('scale', { extentRatio: 0.05, toReadingFt: 40 })]),
      says: /descaling holds it/,
    },
    {
      fires: lineIn('cast-iron', 4, [
        defect('scale', { extentRatio: 0.3, toReadingFt: 40 }),
        defect('wall-loss', { form: 'pitted', readingFt: 35 }),
      ]),
      spares: lineIn('cast-iron', 4, [crack(35)]),
      says: /under this scale is worn/,
    },
  ],
  'fiber-deforms': [
    {
      fires: lineIn('bituminous-fiber', 4, [defect('deformation', { extentRatio: 0.03 })]),
      spares: line([defect('deformation', { extentRatio: 0.03 })]),
      says: /"action":"repair".*it will fail/,
    },
  ],
  'concrete-wear': [
    {
      fires: lineIn('concrete', 6, [defect('spalling', { form: 'grains' })]),
      spares: line([crack(30)]),
      says: /acceptable wear/,
    },
    {
      fires: lineIn('concrete', 6, [defect('spalling', { form: 'stone-exposed' })]),
      spares: lineIn('pvc', 6, [defect('spalling', { form: 'stone-exposed' })]),
      says: /line or replace/,
    },
    {
      fires: lineIn('concrete', 6, [], {
        job: { localRules: [{ material: 'concrete', says: 'Concrete laterals are refused.' }] },
      }),
      spares: line([], {
        job: { localRules: [{ material: 'concrete', says: 'Concrete laterals are refused.' }] },
      }),
      says: /Concrete laterals are refused/,
    },
  ],
  'asbestos-cement': [
    {
      fires: line([pipe('asbestos-cement', 6, 40)]),
      spares: line([]),
      says: /Sound pipe of this kind is sound.*licensed abatement/,
    },
  ],
  'lined-pipe': [
    {
      fires: line([
        pipe('vitrified-clay', 6, 20, { lined: true }),
        tee(30),
        defect('foreign-object'),
      ]),
      spares: line([tee(30), defect('foreign-object')]),
      says: /pieces of liner at a tee are expected.*cut open there/,
    },
  ],
  'reduces-downstream': [
    {
      fires: line([pipe('vitrified-clay', 4, 30)]),
      spares: line([pipe('pvc', 6, 30)]),
      says: /narrows from 6 to 4 in/,
    },
  ],
  'wrong-layout': [
    {
      fires: line(levels(-4)),
      spares: line(levels(20)),
      says: /too little fall for gravity/,
    },
    {
      fires: line(levels(-4)),
      spares: line([...levels(-4), pool({ readingFt: 10, toReadingFt: 50 })]),
      says: /fault of the layout/,
    },
  ],
  'past-service-life': [
    {
      fires: lineIn('bituminous-fiber', 4, [], { property: { yearBuilt: 1955 } }),
      spares: lineIn('pvc', 4, [], { property: { yearBuilt: 2015 } }),
      says: /Plan for replacing it/,
    },
  ],
  'close-together': [
    {
      fires: line([crack(20), crack(24), crack(28)]),
      spares: line([crack(20), crack(24)]),
      says: /one of 3 structural defects from 20 to 28 ft/,
    },
    {
      fires: line([crack(20), crack(23.8), crack(27.6)]),
      spares: line([crack(20), crack(24.2), crack(28)]),
      says: /one length, one repair/,
    },
  ],
  'deposit-below-tee': [
    {
      fires: line([tee(26, 'kitchen'), defect('grease', { extentRatio: 0.2 })]),
      spares: line([tee(25.8, 'kitchen'), defect('grease', { extentRatio: 0.2 })]),
      says: /Run the kitchen and watch the tee/,
    },
    {
      fires: line([tee(29), defect('debris', { extentRatio: 0.2 })]),
      spares: line([tee(31), defect('debris', { extentRatio: 0.2 })]),
      says: /is that its source/,
    },
  ],
  'upkeep-needs-cleanout': [
    {
      fires: line([defect('grease', { extentRatio: 0.2 })], vent),
      spares: line([defect('grease', { extentRatio: 0.2 })]),
      says: /No cleanout that a jet can use/,
    },
  ],
  'wet-crawlspace': [
    {
      fires: line([wet, { kind: 'flow-test', fixture: 'tub', result: 'clears' }], crawl),
      spares: line([wet, { kind: 'flow-test', fixture: 'tub', result: 'backs-up' }], crawl),
      says: /ground water, irrigation and gutters/,
    },
    { fires: line([wet], crawl), spares: line([wetGround]), says: /Run each fixture/ },
  ],
  'material-suspected': [
    {
      fires: line([
        pipe('vitrified-clay', 6, 20, { certainty: 'suspected' }),
        defect('roots', { extentRatio: 0.2 }),
      ]),
      spares: line([pipe('vitrified-clay', 6, 20), defect('roots', { extentRatio: 0.2 })]),
      says: /confirm or correct the material/,
    },
    {
      fires: line([
        pipe('bituminous-fiber', 6, 20, { certainty: 'suspected' }),
        defect('deformation', { extentRatio: 0.2 }),
      ]),
      spares: line([pipe('bituminous-fiber', 6, 20, { certainty: 'suspected' }), defect('vermin')]),
      says: /the judgement rests on it/,
    },
  ],
  'leaks-out': [
    {
      fires: line([defect('exfiltration'), defect('gap', { gapIn: 1, readingFt: 30.5 })]),
      spares: line([defect('exfiltration'), defect('gap', { gapIn: 1, readingFt: 40 })]),
      says: /finding \d lies at the same spot and may be where it leaks/,
    },
    {
      fires: line([defect('exfiltration'), { ...wetGround, readingFt: 25 }]),
      spares: line([defect('exfiltration'), wetGround]),
      says: /the wet ground over it may be a sign that it has leaked/,
    },
  ],
};
