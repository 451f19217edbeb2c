import { describe, expect, it } from 'vitest';
import {
  takeClock,
  takeFeetInches,
  takeFootage,
  takeInches,
  takeLengthFt,
  takeRatio,
} from './quantities';
import { scanCallout } from './scan';

describe('quantities', () => {
  it.each<[string, number | null]>([
    ['60%', 0.6],
    ['60 percent of the bore', 0.6],
    ['half full', 0.5],
    ['half the pipe', 0.5],
    ['a third', 1 / 3],
    ['two thirds full', 2 / 3],
    ['3/4 full', 0.75],
    ['three quarters', 0.75],
    ['full bore', 1],
    ['150%', 1],
    ['nothing said', null],
  ])('share: %s', (text, expected) => {
    expect(takeRatio(scanCallout(text))).toBe(expected);
  });

  it.each<[string, number | null]>([
    ['3.3 in deep', 3.3],
    ['3.3"', 3.3],
    ['half an inch', 0.5],
    ['a quarter inch', 0.25],
    ['1/2 in', 0.5],
    ['1 1/2 inches', 1.5],
    ['4½ in', 4.5],
    ['in 30', null],
  ])('inches: %s', (text, expected) => {
    expect(takeInches(scanCallout(text))).toBe(expected);
  });

  it.each<[string, number | null]>([
    [`4'1"`, 49],
    ['4 ft 1 in', 49],
    ['four feet one inch', 49],
    ['4.5 ft', 54],
    ['52 in', 52],
    ['deep', null],
  ])('feet and inches: %s', (text, expected) => {
    expect(takeFeetInches(scanCallout(text))).toBe(expected);
  });

  it.each<[string, number | null]>([
    ['8 ft long', 8],
    ['8 long', 8],
    ['for 8.5 feet', 8.5],
    ['for 8', null],
  ])('said length: %s', (text, expected) => {
    expect(takeLengthFt(scanCallout(text))).toBe(expected);
  });

  it.each<[string, boolean, { from: number; to: number | null } | null]>([
    ["10 to 2 o'clock", false, { from: 10, to: 2 }],
    ['ten to two oclock', false, { from: 10, to: 2 }],
    ["10:30 to 1 o'clock", false, { from: 10.5, to: 1 }],
    ["at 6 o'clock", false, { from: 6, to: null }],
    ["12:30 o'clock", false, { from: 0.5, to: null }],
    ['at the crown', false, { from: 12, to: null }],
    ['invert', false, { from: 6, to: null }],
    ['2 to 11', true, { from: 2, to: 11 }],
    ['2 to 11', false, null],
    ['from 2 to 11', true, null],
    ['2 to 11 ft', true, null],
    ['2 to 13', true, null],
    ['43 to 52', true, null],
  ])('clock: %s (bare arcs: %s)', (text, bareArc, expected) => {
    expect(takeClock(scanCallout(text), bareArc)).toEqual(expected);
  });

  const footage = (text: string) => {
    const { fromFt, toFt, opens, closes } = takeFootage(scanCallout(text));
    return [fromFt, toFt, opens ? 'opens' : closes ? 'closes' : ''];
  };
  it.each<[string, (number | string | null)[]]>([
    ['35.5', [35.5, null, '']],
    ['at 35.5 ft', [35.5, null, '']],
    ['43 to 52', [43, 52, '']],
    ['43-52 ft', [43, 52, '']],
    ['from 43 until 52', [43, 52, '']],
    ['between 43 and 52', [43, 52, '']],
    ['43 52', [43, 52, '']],
    ['from 43', [43, null, 'opens']],
    ['starts at 43', [43, null, 'opens']],
    ['to 52', [52, null, 'closes']],
    ['ends 52', [52, null, 'closes']],
    ['from here', [null, null, 'opens']],
    ['to here', [null, null, 'closes']],
    ['no number', [null, null, '']],
    ['sdr35', [null, null, '']],
  ])('footage: %s', (text, expected) => {
    expect(footage(text)).toEqual(expected);
  });
});

describe('scanning', () => {
  it('takes words away once, and leaves the rest without the idle ones', () => {
    const scan = scanCallout('Roots, at the joint; we see some rag');
    expect(scan.take(/\broots?\b/)?.[0]).toBe('roots');
    expect(scan.take(/\broots?\b/)).toBeNull();
    expect(scan.has(/\bjoint\b/)).toBe(true);
    expect(scan.rest()).toBe('joint rag');
  });
});
