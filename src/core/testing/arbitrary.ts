import fc from 'fast-check';
import { DEFECTS } from '../catalogue/defects/index';
import { FEATURES } from '../catalogue/features/index';
import { MATERIALS } from '../catalogue/materials/index';
import { METHOD_IDS } from '../catalogue/method-ids';
import {
  AIDS,
  CERTAINTIES,
  CONFIRMATIONS,
  END_REASONS,
  FLOW_RESULTS,
  LOCI,
  PASSES,
  SIDES,
  SIZE_WORDS,
  UNSEEN_CAUSES,
  WATER_STATES,
} from '../catalogue/vocabulary';
import { ZONES } from '../catalogue/zones';
import { minute, type Said } from './build';

const feet = fc.integer({ min: 0, max: 700 }).map((tenths) => tenths / 10);
const share = fc.integer({ min: 0, max: 100 }).map((percent) => percent / 100);
const hours = fc.integer({ min: 1, max: 24 }).map((half) => half / 2);
const of = <T>(words: readonly T[]) => fc.constantFrom(...words);
const maybe = <T>(value: fc.Arbitrary<T>) => fc.option(value, { nil: undefined });

const body: fc.Arbitrary<Said> = fc.oneof(
  {
    weight: 5,
    arbitrary: fc.record({
      kind: fc.constant('defect' as const),
      defect: of(DEFECTS),
      toReadingFt: maybe(feet),
      open: maybe(fc.boolean()),
      lengthFt: maybe(feet),
      locus: maybe(of(LOCI)),
      clockFrom: maybe(hours),
      clockTo: maybe(hours),
      depthIn: maybe(feet.map((x) => x / 10)),
      fillRatio: maybe(share),
      extentRatio: maybe(share),
      offsetIn: maybe(share),
      gapIn: maybe(share),
      lipIn: maybe(share),
      form: maybe(of(['open', 'pitted', 'invert-missing', 'run', 'nonsense'])),
      holdsDebris: maybe(fc.boolean()),
      soilVisible: maybe(fc.boolean()),
      ourDoing: maybe(fc.boolean()),
      certainty: maybe(of(CERTAINTIES)),
    }),
  },
  {
    weight: 2,
    arbitrary: fc.record({
      kind: fc.constant('material' as const),
      side: of(SIDES),
      material: of(MATERIALS),
      diameterIn: of([3, 4, 6, 8]),
      lipIn: maybe(share),
      certainty: maybe(of(CERTAINTIES)),
    }),
  },
  fc.record({ kind: fc.constant('zone' as const), side: of(SIDES), zone: of(ZONES) }),
  fc.record({ kind: fc.constant('feature' as const), feature: of(FEATURES), clock: maybe(hours) }),
  fc.record({ kind: fc.constant('water' as const), state: of(WATER_STATES) }),
  fc.record({
    kind: fc.constant('unseen' as const),
    cause: of(UNSEEN_CAUSES),
    toReadingFt: maybe(feet),
    open: maybe(fc.boolean()),
  }),
  fc.record({ kind: fc.constant('locate' as const), depthIn: feet }),
  fc.record({
    kind: fc.constant('flow-test' as const),
    fixture: fc.constant('tub'),
    result: of(FLOW_RESULTS),
  }),
  fc.record({
    kind: fc.constant('end' as const),
    reason: of(END_REASONS),
    confirmedBy: of(CONFIRMATIONS),
    remainderFt: maybe(feet),
  }),
  fc.record({ kind: fc.constant('surface' as const), what: fc.constant('tree') }),
  fc.record({ kind: of(['home', 'flag'] as const) }),
  fc.record({ kind: fc.constant('note' as const), note: of(['all good', 'x', '']) }),
);

/** One entry of any kind, anywhere, at any time, perhaps with no footage. */
const anySaid: fc.Arbitrary<Said> = fc
  .tuple(body, of(PASSES), fc.option(feet), fc.integer({ min: 0, max: 90 }))
  .map(([said, pass, readingFt, at]) => {
    const known: [string, unknown][] = Object.entries({ ...said, pass, readingFt, at: minute(at) });
    return Object.fromEntries(known.filter(([, value]) => value !== undefined)) as Said;
  });

const ids = fc.oneof(
  fc.constantFrom('e1', '01ABC', 'p-7'),
  fc.string({ minLength: 1, maxLength: 8 }).filter((text) => text.trim() === text && text !== ''),
);
const words = fc.oneof(
  fc.constantFrom('garage corner', '6 roots at 31', 'note "x"', 'a=b; then 9\\', '“said”'),
  fc.string({ minLength: 1, maxLength: 20 }).filter((text) => text.trim() === text && text !== ''),
);

/** One draft of any kind with any of the fields it may have, links to other entries included. */
export const anyEntry: fc.Arbitrary<Record<string, unknown>> = fc
  .tuple(
    fc.oneof(
      { weight: 6, arbitrary: body },
      fc.record({ kind: fc.constant('close'), closes: ids }),
      fc.record({ kind: fc.constant('retract'), retracts: ids }),
      fc.record({
        kind: fc.constant('photo'),
        photoIds: fc.array(ids, { minLength: 1, maxLength: 3 }),
      }),
      fc.record({
        kind: fc.constant('setup'),
        head: maybe(words),
        aid: maybe(of(AIDS)),
        headLevels: maybe(fc.boolean()),
      }),
      fc.record({
        kind: fc.constant('feature'),
        feature: of(FEATURES),
        clock: maybe(hours),
        angleDeg: maybe(of([22.5, 30, 45, 90])),
        turns: maybe(words),
        serves: maybe(words),
        dropFt: maybe(feet),
      }),
      fc.record({
        kind: fc.constant('locate'),
        depthIn: feet,
        depthToIn: maybe(feet),
        mark: maybe(words),
        reference: maybe(words),
        groundIn: maybe(feet),
        swings: maybe(
          fc.array(fc.record({ from: words, distanceFt: feet }), { minLength: 2, maxLength: 4 }),
        ),
        position: maybe(fc.record({ latDeg: feet, lonDeg: feet.map((x) => 0 - x / 5) })),
      }),
      fc.record({ kind: fc.constant('locate'), blockedBy: words }),
      fc.record({ kind: fc.constant('water'), state: of(WATER_STATES), source: maybe(words) }),
      fc.record({ kind: fc.constant('flow-test'), fixture: words, result: of(FLOW_RESULTS) }),
      fc.record({
        kind: fc.constant('surface'),
        what: fc.oneof(fc.constantFrom('tree', 'hedge', 'sunken-ground'), words),
        offsetFt: maybe(feet),
      }),
      fc.record({ kind: fc.constant('note'), note: words }),
      fc.record({
        kind: fc.constant('clear'),
        toReadingFt: maybe(feet),
        kinds: maybe(fc.uniqueArray(of(DEFECTS), { minLength: 1, maxLength: 3 })),
      }),
      fc.record({
        kind: fc.constant('advice'),
        text: words,
        does: of([...METHOD_IDS, 'monitor', 'other']),
        not: maybe(fc.constant(true)),
        toReadingFt: maybe(feet),
      }),
      fc.record({
        kind: fc.constant('defect'),
        defect: fc.constant('unidentified'),
        candidates: fc.uniqueArray(of(DEFECTS), { minLength: 2, maxLength: 3 }),
        sizeWord: maybe(of(SIZE_WORDS)),
      }),
    ),
    of(PASSES),
    fc.option(feet),
    fc.record({
      note: maybe(words),
      audioId: maybe(ids),
      certainty: maybe(of(CERTAINTIES)),
      replaces: maybe(ids),
      photoIds: maybe(fc.array(ids, { minLength: 1, maxLength: 2 })),
    }),
  )
  .map(([said, pass, readingFt, more]) => {
    const known = Object.entries({ ...more, ...said, pass, readingFt });
    return Object.fromEntries(known.filter(([, value]) => value !== undefined));
  });

/** A log of up to `most` entries; some correct, close or retract an earlier one. */
export function anyLog(most: number): fc.Arbitrary<Said[]> {
  const link = fc.tuple(
    fc.constantFrom('none', 'none', 'none', 'replaces', 'close', 'retract'),
    fc.nat(),
  );
  return fc.array(fc.tuple(anySaid, link), { maxLength: most }).map((pairs) =>
    pairs.map(([said, [how, pick]], index): Said => {
      if (index === 0 || how === 'none') return said;
      const target = `e${(pick % index) + 1}`;
      if (how === 'replaces') return { ...said, replaces: target };
      const place = { pass: said['pass'], readingFt: said['readingFt'], at: said['at'] };
      return how === 'close'
        ? { kind: 'close', closes: target, ...place }
        : { kind: 'retract', retracts: target, ...place };
    }),
  );
}
