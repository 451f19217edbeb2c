import { describe, expect, it } from 'vitest';
import { sayFault } from '../../base/fault';
import { entries, type Said } from '../../testing/build';
import { type EntryKind } from './entry';
import { checkEntry, ENTRY_KINDS } from './entry.schema';

/** One good entry of every kind, with every field it may carry. */
const GOOD: Record<EntryKind, Omit<Said, 'kind'>> = {
  flag: {},
  material: { side: 'near', material: 'pvc', diameterIn: 4, lined: true, joint: 'lip', lipIn: 0.3 },
  feature: {
    feature: 'bend',
    clock: 12,
    angleDeg: 45,
    turns: 'left',
    serves: 'kitchen',
    dropFt: 2,
  },
  defect: {
    defect: 'roots',
    toReadingFt: 4,
    open: false,
    lengthFt: 4,
    locus: 'joint',
    clockFrom: 0.5,
    clockTo: 12,
    depthIn: 1,
    fillRatio: 0,
    extentRatio: 1,
    offsetIn: 1,
    gapIn: 1,
    lipIn: 1,
    sizeBasis: 'measured',
    form: 'open',
    direction: 'along',
    holdsDebris: true,
    soilVisible: true,
    ourDoing: true,
  },
  close: { closes: 'e9' },
  water: { state: 'drained', source: 'hose' },
  unseen: { cause: 'murky', toReadingFt: 3 },
  zone: { zone: 'strip', side: 'far' },
  locate: {
    depthIn: 49,
    depthToIn: 52,
    mark: 'x',
    reference: 'garage',
    swings: [
      { from: 'pole', distanceFt: 3 },
      { from: 'post', distanceFt: 4.5 },
    ],
    groundIn: -3,
    position: { latDeg: 10, lonDeg: 20 },
  },
  'flow-test': { fixture: 'tub', result: 'backs-up' },
  setup: { head: 'small', aid: 'skid', headLevels: false },
  end: { reason: 'lost-push', confirmedBy: 'none', remainderFt: 12 },
  home: {},
  surface: { what: 'tree', offsetFt: 4 },
  clear: { toReadingFt: 60, open: true, kinds: ['roots'] },
  advice: { toReadingFt: 60, does: 'liner', text: 'line it' },
  retract: { retracts: 'e9' },
  photo: { photoIds: ['p1'] },
  note: { note: 'gate code' },
};

const COMMON: Omit<Said, 'kind'> = {
  note: 'n',
  photoIds: ['p'],
  audioId: 'a',
  certainty: 'suspected',
  replaces: 'e0',
  somethingNew: { kept: true },
};

function faultsOf(value: unknown): string[] {
  const outcome = checkEntry(value, ['runs', 0, 'entries', 3]);
  return outcome.ok ? [] : outcome.faults.map(sayFault);
}

describe('checkEntry', () => {
  it.each(ENTRY_KINDS)('takes a %s with every field, and keeps unknown keys', (kind) => {
    const [entry] = entries({ kind, ...COMMON, ...GOOD[kind] });
    const outcome = checkEntry(entry);
    expect(outcome).toEqual({ ok: true, value: entry });
  });

  it.each<[string, Record<string, unknown>, string]>([
    ['negative reading', { readingFt: -3 }, 'readingFt: expected a number of 0 or more, got -3'],
    ['text for a number', { readingFt: '27' }, 'readingFt: expected a number, got "27"'],
    [
      'ratio below 0',
      { extentRatio: -0.2 },
      'extentRatio: expected a number of 0 or more, got -0.2',
    ],
    ['clock of 13', { clockFrom: 13 }, 'clockFrom: expected a number of 12 or less, got 13'],
    ['clock off the half hour', { clockTo: 2.2 }, 'clockTo: expected a multiple of 0.5, got 2.2'],
    ['unknown pass', { pass: 'in' }, 'pass: expected one of "out", "back", got "in"'],
    [
      'no reading at all',
      { readingFt: undefined },
      'readingFt: expected a value here, got nothing',
    ],
    ['time without offset', { at: '2026-11-03T09:00:00' }, 'at: expected a time in ISO 8601'],
    ['30 February', { at: '2026-02-30T09:00:00Z' }, 'at: expected a time in ISO 8601'],
    ['empty id', { id: '' }, 'id: expected text that is not empty, got ""'],
    ['a list for text', { note: [1] }, 'note: expected text, got a list of 1'],
  ])('names the path, what was expected and what came: %s', (_, change, expected) => {
    const [entry] = entries({ kind: 'defect', defect: 'roots' });
    const faults = faultsOf({ ...entry, ...change });
    expect(faults).toHaveLength(1);
    expect(faults[0]).toContain(`runs[0].entries[3].${expected}`);
  });

  it.each([null, 7, 'x', [], {}, { kind: 'wormhole' }, { kind: '__proto__' }])(
    'refuses what is no entry: %j',
    (value) => {
      expect(faultsOf(value)).toHaveLength(1);
    },
  );

  it('reports every fault at once', () => {
    const [entry] = entries({
      kind: 'end',
      readingFt: -1,
      reason: 'bored',
      confirmedBy: 'sight',
    });
    expect(faultsOf(entry)).toHaveLength(2);
  });

  it('takes a locate that only confirms a place', () => {
    const [bare] = entries({ kind: 'locate', confirms: 'e9' });
    expect(faultsOf(bare)).toEqual([]);
  });
});
