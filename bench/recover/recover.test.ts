import { describe, expect, it } from 'vitest';
import { readDemoLaterals } from '#core/testing/demo-laterals';
import { recover, withinSigmas } from './recover';

describe('laterals scoped by three runs from two accesses', () => {
  const read = recover(readDemoLaterals(), 12);
  it('come back where they are: every feature within 3σ, nearly all within 2σ', () => {
    expect(read.all.sigmas.length).toBeGreaterThan(50);
    expect(withinSigmas(read.all, 3)).toBe(1);
    expect(withinSigmas(read.all, 2)).toBeGreaterThanOrEqual(0.95);
  });
  it('are tied by what is the same thing', () => {
    expect(read.ties.offered).toBeGreaterThan(40);
    expect(read.ties.right).toBe(read.ties.offered);
  });
  it('raise no alarm when all is well, and one when digits are swapped or a run is turned', () => {
    expect(read.clean.alarms).toBe(0);
    expect(read.swapped.named).toBe(read.swapped.tried);
    expect(read.turned.caught).toBe(read.turned.tried);
    expect(read.swapped.tried + read.turned.tried).toBeGreaterThan(10);
  });
  it('say that one tie cannot be checked, and blame neither of two that disagree', () => {
    expect(read.one).toEqual({ tried: read.one.tried, said: read.one.tried });
    expect(read.two).toEqual({ tried: read.two.tried, said: read.two.tried });
    expect(read.one.tried).toBeGreaterThan(5);
  });
});
