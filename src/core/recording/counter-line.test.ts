import { describe, expect, it } from 'vitest';
import { readCounterLine } from './counter-line';

describe('a line of a reel', () => {
  it.each<[string, number | null]>([
    ['0012.3', 12.3],
    ['+12.5 ft', 12.5],
    ['D:0034.10FT', 34.1],
    ["45'", 45],
    ['-0.2', -0.2],
    ['−0.2', -0.2],
    ['12,5', 12.5],
    ['7', 7],
    // Meters are turned into feet: 3.048 m are 10 ft.
    ['3.048 m', 10],
    ['DIST 3.048M', 10],
    // A time of day and a number of the run are no readings.
    ['2026-11-03 09:14:22 23.4', 23.4],
    ['run 2 23.4', 23.4],
    ['run 2 23 ft', 23],
    ['', null],
    ['READY', null],
    ['12 34', null],
    ['1.5 2.5', null],
    ['99999', null],
  ])('%j tells %s', (line, ft) => {
    const read = readCounterLine(line);
    if (ft === null) expect(read).toBeNull();
    else expect(read).toBeCloseTo(ft, 6);
  });
});
