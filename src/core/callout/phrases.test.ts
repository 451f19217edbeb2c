import { describe, expect, it } from 'vitest';
import { checkEntry } from '../log/entry';
import { logged, minute } from '../testing/build';
import type { CalloutContext } from './draft';
import { parseCallout } from './parse';

/** The counter stands at 40 ft on the way out, in a 4 in pipe. */
const HERE: CalloutContext = {
  counterFt: 40,
  pass: 'out',
  boreHereIn: 4,
  standing: [],
  openIds: new Set(),
};
type Row = readonly [say: string, want: Record<string, unknown>];
const d = (defect: string, readingFt: number, more: object = {}) => ({ kind: 'defect', defect, readingFt, ...more }); // prettier-ignore
const f = (feature: string, readingFt: number, more: object = {}) => ({ kind: 'feature', feature, readingFt, ...more }); // prettier-ignore
const m = (material: string, readingFt: number, more: object = {}) => ({ kind: 'material', material, readingFt, ...more }); // prettier-ignore

const TABLES: Readonly<Record<string, readonly Row[]>> = {
  'numbers and units': [
    ['crack at forty two and a half', d('crack', 42.5)],
    ['crack at a hundred and six', d('crack', 106)],
    ['crack at one hundred twelve point five', d('crack', 112.5)],
    ['crack thirty one point two five', d('crack', 31.25)],
    [`crack at 37'6"`, d('crack', 37.5)],
    ['crack at 37 feet 6 inches', d('crack', 37.5)],
    ['crack at 37 ft 6', d('crack', 37)],
    ['crack at 31½', d('crack', 31.5)],
    ['crack 44 1/4', d('crack', 44.25)],
    ['crack @ 22.5', d('crack', 22.5)],
    ['crack at about 60', d('crack', 60)],
    ['crack around the 60 foot mark', d('crack', 60)],
    ['offset half an inch', d('offset', 40, { offsetIn: 0.5 })],
    ['offset three quarters of an inch', d('offset', 40, { offsetIn: 0.75 })],
    ['offset an inch and a half', d('offset', 40, { offsetIn: 1.5 })],
    ['offset one and a half inches', d('offset', 40, { offsetIn: 1.5 })],
    ['offset 1 1/2"', d('offset', 40, { offsetIn: 1.5 })],
    ['offset ⅜ in', d('offset', 40, { offsetIn: 0.375 })],
    ['35.5 offset an eighth of an inch', d('offset', 35.5, { offsetIn: 0.125 })],
    ['gap 3/4 33', d('gap', 33, { gapIn: 0.75 })],
    ['gap 34 1/2"', d('gap', 40, { gapIn: 34.5 })],
    ['gap two inches wide at 18', d('gap', 18, { gapIn: 2 })],
    ['lip quarter inch 66', d('lip', 66, { lipIn: 0.25 })],
    ['lip a quarter inch high', d('lip', 40, { lipIn: 0.25 })],
    ['grease 20 percent', d('grease', 40, { extentRatio: 0.2 })],
    ['grease twenty per cent', d('grease', 40, { extentRatio: 0.2 })],
    ['grease two thirds', d('grease', 40, { extentRatio: 0.667 })],
    ['grease half the pipe', d('grease', 40, { extentRatio: 0.5 })],
    ['roots 40 to 50%', d('roots', 40, { extentRatio: 0.5 })],
  ],
  stretches: [
    ['belly 61 - 68, 2 in', d('standing-water', 61, { toReadingFt: 68, depthIn: 2 })],
    ['belly between 61 and 68 half full', d('standing-water', 61, { toReadingFt: 68, fillRatio: 0.5 })],
    ['sag from 61 to 68', d('standing-water', 61, { toReadingFt: 68 })],
    ['standing water starts at 43', d('standing-water', 43, { open: true })],
    ['water from 43', d('standing-water', 43, { open: true })],
    ['water starts here', d('standing-water', 40, { open: true })],
    ['scale from here to 55', d('scale', 40, { toReadingFt: 55 })],
    ['scale from 30', d('scale', 30, { open: true })],
    ['grease 12 19', d('grease', 12, { toReadingFt: 19 })],
    ['puddle 70 2 inches deep', d('standing-water', 70, { depthIn: 2, open: true })],
    ['low spot 8 ft long at 30, 1.5 in', d('standing-water', 30, { lengthFt: 8, depthIn: 1.5 })],
    ['water holding 52 to 60 ft, 3 in deep', d('standing-water', 52, { toReadingFt: 60, depthIn: 3 })],
    ['full of water 44 to 50', d('standing-water', 44, { toReadingFt: 50 })],
    ['channeling from 4 to 16 pitted', d('wall-loss', 4, { toReadingFt: 16, form: 'pitted' })],
    ['roots from 31 to 36 at every joint 10%', d('roots', 31, { toReadingFt: 36, locus: 'joint', extentRatio: 0.1 })],
    ['mud 48 thru 51 a third', d('debris', 48, { toReadingFt: 51, extentRatio: 0.333 })],
  ],
  'where round the bore': [
    ["roots 10 to 2 o'clock", d('roots', 40, { clockFrom: 10, clockTo: 2 })],
    ['roots 2 to 11 60% in the barrel', d('roots', 40, { clockFrom: 2, clockTo: 11, locus: 'barrel', extentRatio: 0.6 })],
    ['crack 9:30 along', d('crack', 40, { clockFrom: 9.5, direction: 'along' })],
    ['crack at the top', d('crack', 40, { clockFrom: 12 })],
    ['hole in the invert', d('hole', 40, { clockFrom: 6 })],
    ['hole on the left side at 22', d('hole', 22, { clockFrom: 9 })],
    ['hole right side 22', d('hole', 22, { clockFrom: 3 })],
    ['crack at 3, 96 ft', d('crack', 96, { clockFrom: 3 })],
    ["infiltration seeping at 11 o'clock 57", d('infiltration', 57, { clockFrom: 11, form: 'seep' })],
    ['deformed 10 to 2, 15%', d('deformation', 40, { clockFrom: 10, clockTo: 2, extentRatio: 0.15 })],
  ],
  structure: [
    ['hairline crack', d('crack', 40, { form: 'hairline' })],
    ['open crack around', d('crack', 40, { form: 'open', direction: 'round' })],
    ['multiple cracks 22', d('crack', 22, { form: 'several' })],
    ['cracked lengthwise', d('crack', 40, { direction: 'along' })],
    ['crack displaced, dirt showing', d('crack', 40, { form: 'displaced', soilVisible: true })],
    ['broken, wall missing', d('break', 40, { form: 'wall-missing' })],
    ['break 61 invert gone', d('break', 61, { form: 'invert-missing' })],
    ['chunk missing at 61', d('break', 61)],
    ['hole 12 ft', d('hole', 12)],
    ['collapsed 63', d('collapse', 63)],
    ['pipe is crushed', d('collapse', 40)],
    ['dropped joint 2 inches 28', d('offset', 28, { offsetIn: 2 })],
    ['joint displaced half an inch', d('offset', 40, { offsetIn: 0.5 })],
    ['misaligned joint 1 in', d('offset', 40, { offsetIn: 1 })],
    ['open joint 1 in 29', d('gap', 29, { gapIn: 1 })],
    ['joint is open, can see dirt', d('gap', 40, { soilVisible: true })],
    ['separated joint 2"', d('gap', 40, { gapIn: 2 })],
    ['egg shaped 20%', d('deformation', 40, { extentRatio: 0.2 })],
    ['hump 52', d('deformation', 52)],
    ['heaved at 52', d('deformation', 52)],
    ['tap sticking in 1 in', d('intruding-tap', 40, { extentRatio: 0.25 })],
    ['protruding tap 30% 77', d('intruding-tap', 77, { extentRatio: 0.3 })],
    ['invert gone 14 to 22', d('wall-loss', 14, { toReadingFt: 22, form: 'invert-gone' })],
    ['bottom is pitted', d('wall-loss', 40, { form: 'pitted' })],
    ['corroded, rough', d('wall-loss', 40, { form: 'rough' })],
    ['spalling stone exposed', d('spalling', 40, { form: 'stone-exposed' })],
    ['concrete is shedding grains', d('spalling', 40, { form: 'grains' })],
    ['failed coupling', d('coupling-failed', 40)],
    ['coupling slipped 66', d('coupling-failed', 66)],
    ['rubber gasket hanging down', d('coupling-failed', 40)],
    ['step up half inch 47', d('lip', 47, { lipIn: 0.5 })],
  ],
  'water and what is in the bore': [
    ['dripping at the joint 57', d('infiltration', 57, { form: 'drip', locus: 'joint' })],
    ['groundwater running in', d('infiltration', 40, { form: 'run' })],
    ['high water mark 2 in', d('residue-line', 40, { depthIn: 2 })],
    ['fine roots at joint 31 5%', d('roots', 31, { form: 'fine', locus: 'joint', extentRatio: 0.05 })],
    ['root mass 33 fills the pipe', d('roots', 33, { form: 'mass', extentRatio: 1 })],
    ['runner 20', d('roots', 20, { form: 'runner' })],
    ['roots holding paper', d('roots', 40, { holdsDebris: true })],
    ['roots through the wall, no joint', d('roots', 40, { locus: 'barrel' })],
    ['heavy scale 40%', d('scale', 40, { extentRatio: 0.4, note: 'heavy' })],
    ['rust 10%', d('scale', 40, { extentRatio: 0.1 })],
    ['wipes 44', d('debris', 44)],
    ['toilet paper', d('debris', 40)],
    ['sludge a quarter', d('debris', 40, { extentRatio: 0.25 })],
    ['calcium 71 10%', d('mineral', 71, { extentRatio: 0.1 })],
    ['a toy at 18', d('foreign-object', 18)],
    ['rats', d('vermin', 40)],
    ["don't know what this is", d('unidentified', 40)],
    ['something here', d('unidentified', 40)],
    ['gas line across the pipe', d('utility-crossing', 40)],
    ['cable through the sewer 52', d('utility-crossing', 52)],
    ['debris, our own hose', d('debris', 40, { ourDoing: true })],
    ['offset 1 in measured', d('offset', 40, { sizeBasis: 'measured' })],
  ],
  doubt: [
    ['looks like a crack', d('crack', 40, { certainty: 'suspected' })],
    ['crack?', d('crack', 40, { certainty: 'suspected' })],
    ['maybe a belly 52 to 60', d('standing-water', 52, { certainty: 'suspected' })],
    ['roots, not sure', d('roots', 40, { certainty: 'suspected' })],
    ["can't tell, crack", d('crack', 40, { certainty: 'cannot-tell' })],
    ['crack for sure', d('crack', 40, { certainty: 'confirmed' })],
    ['i think it is clay', m('vitrified-clay', 40, { certainty: 'suspected' })],
  ],
  'pipe and ground': [
    ['27 clay', m('vitrified-clay', 27, { side: 'far', diameterIn: 4 })],
    ['6 inch clay', m('vitrified-clay', 40, { diameterIn: 6 })],
    ['clay tile 6" 27', m('vitrified-clay', 27, { diameterIn: 6 })],
    ['terra cotta', m('vitrified-clay', 40)],
    ['goes from iron to pvc at 9.5', m('pvc', 9.5)],
    ['iron this side 9.5', m('cast-iron', 9.5, { side: 'near' })],
    ['sdr 35 6 in', m('pvc', 40, { diameterIn: 6 })],
    ['schedule 40 4 in 12', m('pvc', 12, { diameterIn: 4 })],
    ['white plastic with a sleeve', m('pvc', 40, { joint: 'coupling' })],
    ['pvc smooth 55', m('pvc', 55, { joint: 'smooth' })],
    ['ductile iron 6 in', m('ductile-iron', 40, { diameterIn: 6 })],
    ['black plastic', m('abs', 40)],
    ['tar paper pipe 4 in', m('bituminous-fiber', 40)],
    ['ac pipe 6 in', m('asbestos-cement', 40, { diameterIn: 6 })],
    ['liner starts 24', m('liner', 24)],
    ['lined clay', m('liner', 40)],
    ['galvanized 2 in', m('galvanized-steel', 40, { diameterIn: 2 })],
    ['driveway 38', { kind: 'zone', zone: 'driveway', side: 'far', readingFt: 38 }],
    ['under the sidewalk', { kind: 'zone', zone: 'walk', readingFt: 40 }],
    ['the house ends at 18', { kind: 'zone', zone: 'under-house', side: 'near', readingFt: 18 }],
    ['front yard from here', { kind: 'zone', zone: 'yard', side: 'far', readingFt: 40 }],
    ['parkway 70', { kind: 'zone', zone: 'strip', readingFt: 70 }],
  ],
  features: [
    ["tee 12 at 3 o'clock serves kitchen", f('tee', 12, { clock: 3, serves: 'kitchen' })],
    ['tee left 12', f('tee', 12, { clock: 9 })],
    ['wye on the right', f('wye', 40, { clock: 3 })],
    ['tee for the hall bath 52', f('tee', 52, { serves: 'hall bath' })],
    ['tee kitchen sink', f('tee', 40, { serves: 'kitchen sink' })],
    ['bend 45 left at 30', f('bend', 30, { angleDeg: 45, turns: 'left' })],
    ['90 degree bend down', f('bend', 40, { angleDeg: 90, turns: 'down' })],
    ['22 1/2 bend right 27', f('bend', 27, { angleDeg: 22.5, turns: 'right' })],
    ['sweep 18', f('bend', 18)],
    ['cleanout overhead 26', f('cleanout', 26, { clock: 12 })],
    ['property line cleanout 63', f('property-line-cleanout', 63)],
    ['pl 64', f('property-line', 64)],
    ['reducer 6 to 4 at 80', f('reducer', 80)],
    ['test tee 3', f('test-tee', 3)],
    ['p trap 7', f('trap', 7)],
    ['riser 14 ft', f('riser', 14)],
    ['drop 2 ft', f('drop', 40, { dropFt: 2 })],
    ['drop 18 inches at 22', f('drop', 22, { dropFt: 1.5 })],
    ['saddle 92', f('main-tap', 92)],
    ['house wall 6', f('wall', 6)],
    ['no hub coupling 66', f('coupling', 66)],
  ],
  'the run': [
    ['main, seen', { kind: 'end', reason: 'main', confirmedBy: 'sight', readingFt: 40 }],
    ['city sewer 92.5, i can see it', { kind: 'end', reason: 'main', confirmedBy: 'sight', readingFt: 92.5 }],
    ['main, located', { kind: 'end', confirmedBy: 'locate' }],
    ['main i think', { kind: 'end', reason: 'main', confirmedBy: 'none' }],
    ['septic tank 71 seen', { kind: 'end', reason: 'tank', confirmedBy: 'sight', readingFt: 71 }],
    ['lost push 88', { kind: 'end', reason: 'lost-push', readingFt: 88 }],
    ["can't push any farther, 20 ft left", { kind: 'end', reason: 'other', remainderFt: 20 }],
    ['stopped at roots 41', { kind: 'end', reason: 'obstruction', readingFt: 41 }],
    ['did not reach the main, out of cable, 30 ft to go', { kind: 'end', reason: 'lost-push', remainderFt: 30 }],
    ['stopped, sharp bend 17', { kind: 'end', reason: 'bend', readingFt: 17 }],
    ['home 0.4', { kind: 'home', readingFt: 0.4, pass: 'back' }],
    ['back at the cleanout 1.5', { kind: 'home', readingFt: 1.5 }],
    ['skid off', { kind: 'setup', aid: 'none' }],
    ['switched to small head', { kind: 'setup', head: 'small head' }],
    ['water off', { kind: 'water', state: 'draining' }],
    ['shut the water off', { kind: 'water', state: 'draining' }],
    ['run the water from the kitchen sink', { kind: 'water', state: 'running', source: 'kitchen sink' }],
    ['hose off', { kind: 'water', state: 'draining', source: 'hose' }],
    ['the line has drained', { kind: 'water', state: 'drained' }],
    ['flush hall toilet, clears', { kind: 'flow-test', fixture: 'hall toilet', result: 'clears' }],
    ['tub backs up', { kind: 'flow-test', fixture: 'tub', result: 'backs-up' }],
    ['test washer slow', { kind: 'flow-test', fixture: 'washer', result: 'slow' }],
    ["can't see, under water", { kind: 'unseen', cause: 'submerged', open: true }],
    ['foggy lens 44 to 47', { kind: 'unseen', cause: 'dirty-lens', readingFt: 44, toReadingFt: 47 }],
    ['murky from 50', { kind: 'unseen', cause: 'murky', readingFt: 50, open: true }],
    ['went past too fast 20 to 25', { kind: 'unseen', cause: 'too-fast', toReadingFt: 25 }],
    ['flag', { kind: 'flag', readingFt: 40 }],
    ['flag 31 check this', { kind: 'flag', readingFt: 31, note: 'check' }],
    ['note gate code 44', { kind: 'note', readingFt: 40, note: 'gate code 44' }],
  ],
  'from the surface': [
    [`locate 4'1" white x 6'2" from garage corner`, { kind: 'locate', depthIn: 49, mark: 'white x', reference: '6.17 ft from garage corner' }],
    ['locate at 47, depth 4 ft', { kind: 'locate', readingFt: 47, depthIn: 48 }],
    ['locate 52 inches deep', { kind: 'locate', depthIn: 52 }],
    [`locate 4' to 4'6"`, { kind: 'locate', depthIn: 48, depthToIn: 54 }],
    ['locate 5 foot, 9 ft from the porch, 12 ft from the light pole', { depthIn: 60, swings: [{ from: 'porch', distanceFt: 9 }, { from: 'light pole', distanceFt: 12 }] }],
    ['locate blocked by parked car', { kind: 'locate', blockedBy: 'parked car' }],
    ['tree 30, 4 ft off', { kind: 'surface', what: 'tree', readingFt: 30, offsetFt: 4 }],
    ['hedge over the line', { kind: 'surface', what: 'hedge', readingFt: 40 }],
    ['sinkhole 52', { kind: 'surface', what: 'sunken-ground', readingFt: 52 }],
    ['wet ground 52', { kind: 'surface', what: 'wet-ground', readingFt: 52 }],
    ['buried cleanout 12', { kind: 'surface', what: 'buried-cleanout', readingFt: 12 }],
  ],
}; // prettier-ignore

describe.each(Object.entries(TABLES))('%s', (_, rows) => {
  it.each(rows)('%s', (say, want) => {
    const read = parseCallout(say, HERE)!;
    expect(read.drafts[0]).toMatchObject(want);
    expect(read.choices).toEqual([]);
    expect(checkEntry(logged(read.drafts[0]!, 'x', minute(0))).ok).toBe(true);
  });
});

describe('a number that fits two meanings', () => {
  const choicesOf = (say: string, changes: Partial<CalloutContext> = {}) =>
    parseCallout(say, { ...HERE, ...changes })!.choices.map(({ label }) => label);

  it.each<[string, string[]]>([
    ['infiltration at 10', ['at 10 ft', '10 o’clock']],
    ['offset 2', ['2 in', 'at 2 ft']],
    ['clay 6', ['at 6 ft', '6 in']],
    ['offset a quarter', ['a quarter of the bore', 'a quarter in']],
  ])('%s: %j', (say, labels) => {
    expect(choicesOf(say)).toEqual(labels);
  });

  it('is no question when the counter stands there', () => {
    expect(choicesOf('infiltration at 10', { counterFt: 9 })).toEqual([]);
    expect(choicesOf('bend 45', { counterFt: 44 })).toEqual(['45°', 'at 45 ft']);
  });

  it('asks which stretch ends when two are open', () => {
    const base = { at: '2026-11-03T09:00:00Z', pass: 'out', open: true, kind: 'defect' } as const;
    const standing = [
      { ...base, id: 'a', defect: 'standing-water', readingFt: 20 },
      { ...base, id: 'b', defect: 'scale', readingFt: 30 },
    ] as const;
    const read = parseCallout('ends here', { ...HERE, standing, openIds: new Set(['a', 'b']) })!;
    expect(read.drafts).toEqual([{ kind: 'close', pass: 'out', readingFt: 40, closes: 'b' }]);
    expect(read.choices.map(({ drafts }) => (drafts[0] as { closes: string }).closes)).toEqual(['b', 'a']);
  }); // prettier-ignore
});

describe('what an inspector may say besides', () => {
  const first = (say: string, changes: Partial<CalloutContext> = {}) =>
    parseCallout(say, { ...HERE, ...changes })!.drafts[0]!;

  it('takes the side from the pass: beyond on the way out, this side on the way back', () => {
    expect(first('clay 6 in')).toMatchObject({ side: 'far' });
    expect(first('clay 6 in', { pass: 'back' })).toMatchObject({ side: 'near', pass: 'back' });
    expect(first('clay 6 in beyond', { pass: 'back' })).toMatchObject({ side: 'far' });
  });

  it('reads several things in one breath', () => {
    const { drafts } = parseCallout('66 pvc 6 in; offset half an inch then roots 10%', HERE)!;
    expect(drafts).toMatchObject([m('pvc', 66), d('offset', 66), d('roots', 66)]);
  });

  it('knows an inspector’s own words, whole and outside quotes', () => {
    const ownWords = [
      { says: 'spaghetti', means: 'fine roots' },
      { says: 'black jack', means: 'bituminous fiber' },
    ];
    expect(first('Spaghetti 31 10%', { ownWords })).toMatchObject(d('roots', 31, { form: 'fine' }));
    expect(first('black  jack 4 in', { ownWords })).toMatchObject(m('bituminous-fiber', 40));
    expect(first('crack note "spaghetti"', { ownWords })).toMatchObject({ note: 'spaghetti' });
    expect(first('spaghettis', { ownWords })).toMatchObject({ kind: 'flag' });
  });

  it('corrects the last thing said', () => {
    const standing = [{ id: 'e1', at: '2026-11-03T09:00:00Z', pass: 'out', ...d('roots', 31, { extentRatio: 0.2 }) }] as never; // prettier-ignore
    expect(first('make that 35%', { standing })).toMatchObject({ replaces: 'e1', extentRatio: 0.35, readingFt: 31 }); // prettier-ignore
    expect(first('scrap that', { standing })).toMatchObject({ kind: 'retract', retracts: 'e1' });
    expect(first('correct #e1 grease', { standing })).toMatchObject({ replaces: 'e1', defect: 'grease' }); // prettier-ignore
  });
});
