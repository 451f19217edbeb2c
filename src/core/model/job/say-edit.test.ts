import { describe, expect, it } from 'vitest';
import { demoInspection } from '../../testing/demo-inspections';
import { sayField, sayValue } from './say-edit';

const alder = demoInspection('alder-bend');
const [run] = alder.runs;
const labelled = { ...alder, runs: [{ ...run!, id: '01J', label: 'R2' }] };

describe('a field as a history tells it', () => {
  it.each<[readonly string[], string]>([
    [['property', 'yearBuilt'], 'house: year built'],
    [['job', 'inspectionPeriodEndsOn'], 'job: inspection period ends on'],
    [['runs', '01J', 'zero', 'dropFt'], 'run R2: zero, drop ft'],
    [['runs', '01J'], 'run R2'],
    [['accessPoints', 'A', 'usable'], 'access point A: usable'],
    [['ties', 'T1'], 'tie'],
    [['property', 'surroundings', '@t1', 'where'], 'house: surroundings, where'],
  ])('%j: “%s”', (path, said) => expect(sayField(labelled, path)).toBe(said));
});

describe('a value as a history tells it', () => {
  it.each<[unknown, string]>([
    [undefined, 'nothing'],
    ['', 'nothing'],
    ['R. \u202Eevil', 'R. [U+202E]evil'],
    [{ label: '\u202Eevil' }, '[U+202E]evil'],
    [1985, '1985'],
    [false, 'no'],
    ['x'.repeat(80), `${'x'.repeat(60)}…`],
    [[1], 'one thing'],
    [[1, 2], '2 things'],
    [{ label: 'kitchen tee' }, 'kitchen tee'],
    [{ kind: 'issue-with-limits' }, 'issue with limits'],
    [{ at: 'rim' }, 'set'],
  ])('%j: “%s”', (value, said) => expect(sayValue(value)).toBe(said));
});
