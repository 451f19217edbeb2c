import type { Inspection } from '../../../model/job/inspection';
import type { Said } from '../../../testing/build';
import { defect, line, lineIn, pool, type RuleCase } from '../../../testing/rules';

const house = (property: Partial<Inspection['property']>, said: readonly Said[] = []) =>
  line(said, { property });
const feature = (name: string, readingFt: number): Said => ({
  kind: 'feature',
  feature: name,
  readingFt,
});
const CLEAN = line([]);
const pvc = (readingFt: number): Said => ({
  kind: 'material',
  side: 'far',
  material: 'pvc',
  diameterIn: 6,
  readingFt,
});
const brokenWith = (property: Partial<Inspection['property']>) =>
  house(property, [defect('break', { form: 'displaced' })]);

export const HOUSE_CASES: Readonly<Record<string, readonly RuleCase[]>> = {
  'fits-years': [
    {
      fires: lineIn('bituminous-fiber', 4, [], { property: { yearBuilt: 1999 } }),
      spares: lineIn('bituminous-fiber', 4, [], { property: { yearBuilt: 1955 } }),
      says: /was hardly laid any more when this house was built \(1999\)/,
    },
    {
      fires: lineIn('pvc', 4, [], { property: { yearBuilt: 1925 } }),
      spares: lineIn('pvc', 4, [], {
        property: { yearBuilt: 1925, history: [{ what: 'repaired', note: 'new line in 2004' }] },
      }),
      says: /newer than this house \(1925\)/,
    },
  ],
  'burst-spacing': [
    {
      fires: line([{ kind: 'surface', what: 'footing', readingFt: 20, offsetFt: 2 }]),
      spares: line([{ kind: 'surface', what: 'footing', readingFt: 20, offsetFt: 3 }]),
      says: /A footing lies close by the line/,
    },
    {
      fires: house({ surroundings: [{ id: 's', what: 'buried-utility', where: 'by the drive' }] }),
      spares: house({ surroundings: [{ id: 's', what: 'tree', where: 'by the drive' }] }),
      says: /A buried utility lies close by the line/,
    },
  ],
  'fiber-serves': [
    {
      fires: lineIn('bituminous-fiber', 4, []),
      spares: lineIn('bituminous-fiber', 4, [defect('deformation', { extentRatio: 0.2 })]),
      says: /serves today and is near its end/,
    },
  ],
  'floor-below-rim': [
    {
      fires: house({ lowestFloor: 'below-rim' }),
      spares: house({ lowestFloor: 'above-rim' }),
      says: /backwater valve/,
    },
    {
      fires: house({ foundation: 'basement' }),
      spares: house({ foundation: 'slab' }),
      says: /was not noted/,
    },
  ],
  surcharge: [
    {
      fires: line([defect('residue-line', { readingFt: 40 })]),
      spares: line([
        defect('residue-line', { readingFt: 40 }),
        defect('roots', { extentRatio: 0.4, readingFt: 50 }),
      ]),
      says: /main fills in wet weather/,
    },
  ],
  'clear-before-price': [
    {
      fires: line([defect('roots', { extentRatio: 0.6 })]),
      spares: line([defect('roots', { extentRatio: 0.5 })]),
      says: /before any price of a repair counts/,
    },
  ],
  'shared-line': [
    {
      fires: house({ sharedLine: true }),
      spares: house({ sharedLine: false }),
      says: /Ask for the easement/,
    },
  ],
  'rain-tied-in': [
    {
      fires: house({ rainTiedIn: true }),
      spares: house({ rainTiedIn: false }),
      says: /often forbidden/,
    },
  ],
  'old-tank': [
    {
      fires: line([feature('tank', 20)]),
      spares: line([feature('tank', 59.5)]),
      says: /old tank lies in this line/,
    },
  ],
  'shielded-coupling': [
    {
      fires: line([pvc(30), defect('offset', { offsetIn: 1, readingFt: 30 })]),
      spares: line([pvc(30), defect('offset', { offsetIn: 1, readingFt: 40 })]),
      says: /shielded coupling/,
    },
  ],
  'permit-history': [
    {
      fires: house({ history: [{ what: 'repaired', note: 'front section' }] }),
      spares: house({
        history: [
          { what: 'repaired', note: 'front section' },
          { what: 'permit', note: 'signed off' },
        ],
      }),
      says: /told of, and no permit/,
    },
  ],
  'proof-at-sale': [
    {
      fires: house({ proofAtSale: true }),
      spares: line([], { property: { proofAtSale: true }, job: { purpose: 'complaint' } }),
      says: /wants proof of the sewer lateral at a sale/,
    },
  ],
  'cleanout-spacing': [
    {
      fires: line([{ kind: 'end', reason: 'main', confirmedBy: 'sight', readingFt: 130 }]),
      spares: CLEAN,
      says: /More than 100 ft of this line lie beyond a cleanout/,
    },
  ],
  'seller-and-cover': [
    {
      fires: brokenWith({ sellerSays: 'no trouble known' }),
      spares: brokenWith({ sellerSays: 'no trouble known', serviceCover: 'none' }),
      says: /Ask for any warranty or service-line cover/,
    },
  ],
  'trap-in-line': [{ fires: line([feature('trap', 20)]), spares: CLEAN, says: /house trap/ }],
  'complaint-answered': [
    {
      fires: line([pool({ fillRatio: 0.5 })], {
        job: { purpose: 'complaint', complaint: 'slow drains' },
      }),
      spares: line([pool({ fillRatio: 0.5 })]),
      says: /The complaint \(“slow drains”\) may be explained by finding 1/,
    },
    {
      fires: line([], { job: { purpose: 'complaint' } }),
      spares: line([pool({ fillRatio: 0.5 })], { job: { purpose: 'complaint' } }),
      says: /Nothing that was seen explains the complaint/,
    },
  ],
  'vacant-flow': [
    {
      fires: house({ occupancy: 'vacant' }),
      spares: house({ occupancy: 'vacant' }, [{ kind: 'water', state: 'running', readingFt: 2 }]),
      says: /nothing can be said of the flow/,
    },
  ],
};
