import { CLAY, inspectionOf, MAIN_AT_60, runOf } from '../../../testing/build';
import { accessOf } from '../../../testing/joined';
import { defect, line, type RuleCase } from '../../../testing/rules';

const stuck = (obstacle: string) =>
  line([], { accessPoints: [accessOf('A'), accessOf('B', { usable: false, obstacle })] });
const rim = (dropFt: number) => line([], {}, { zero: { at: 'rim', readingFt: 0, dropFt } });
const ending = (reason: string, more: Record<string, unknown> = {}) =>
  inspectionOf([
    runOf([CLAY, { kind: 'end', reason, confirmedBy: 'none', readingFt: 40, ...more }]),
  ]);
const grease = defect('grease', { extentRatio: 0.2 });
const cleanout = (certainty: string) =>
  line([grease, { kind: 'feature', feature: 'cleanout', readingFt: 12, certainty }]);

export const ACCESS_CASES: Readonly<Record<string, readonly RuleCase[]>> = {
  'cap-stuck': [
    {
      fires: stuck('the plug would not come without force'),
      spares: stuck('shelves in front of it'),
      says: /access B .*freed with care/,
    },
  ],
  'no-usable-cleanout': [
    {
      fires: line([], { accessPoints: [accessOf('A', { kind: 'roof-vent' })] }),
      spares: line([]),
      says: /Have a cleanout installed/,
    },
    {
      fires: line([], { accessPoints: [accessOf('A', { obstacle: 'lid under soil' })] }),
      spares: line([{ kind: 'surface', what: 'tree', readingFt: 20 }]),
      says: /raised to grade/,
    },
    {
      fires: line([{ kind: 'surface', what: 'buried-cleanout', readingFt: 20 }]),
      spares: line([{ kind: 'surface', what: 'sunken-ground', readingFt: 20 }]),
      says: /the buried cleanout raised to grade/,
    },
  ],
  'zero-at-rim': [
    { fires: rim(14), spares: line([]), says: /14 ft of drop are taken off/ },
    { fires: rim(0), spares: line([]), says: /nobody said how far down/ },
  ],
  'end-not-main': [
    {
      fires: inspectionOf([runOf([CLAY, { ...MAIN_AT_60, confirmedBy: 'none' }])]),
      spares: line([]),
      says: /not confirmed\. Have it located/,
    },
    {
      fires: ending('obstruction', { remainderFt: 25 }),
      spares: line([]),
      says: /About 25 ft .*blockage cleared/,
    },
    { fires: ending('bend'), spares: line([]), says: /remains beyond the end was not logged/ },
  ],
  'inferred-only': [
    { fires: cleanout('suspected'), spares: cleanout('confirmed'), says: /only inferred/ },
    {
      fires: cleanout('suspected'),
      spares: line([
        { kind: 'feature', feature: 'cleanout', readingFt: 12, certainty: 'suspected' },
      ]),
      says: /Locate it from above/,
    },
  ],
  'head-too-big': [
    {
      fires: ending('bend'),
      spares: inspectionOf([
        runOf([
          CLAY,
          { kind: 'setup', head: 'small head', readingFt: 40 },
          { kind: 'end', reason: 'bend', confirmedBy: 'none', readingFt: 40 },
        ]),
      ]),
      says: /smaller head/,
    },
    { fires: ending('lost-push'), spares: ending('obstruction'), says: /end of its push/ },
  ],
};
