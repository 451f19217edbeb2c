import { describe, expect, it } from 'vitest';
import type { Action } from '../catalogue/severity/grade';
import { assessmentOf } from '../testing/build';
import type { Concluded } from './rules/conclusion';
import { settleAction } from './settle';

const finding = assessmentOf([
  { kind: 'defect', defect: 'crack', crackType: 'lengthwise', readingFt: 20 },
]).findings[0]!;
const as = (action: Action, more: object = {}) => ({
  ...finding,
  action,
  ourDoing: false,
  because: [],
  ...more,
});
const on = finding.id;
const calls = (action: Action, text: string = action): Concluded => ({
  kind: 'action',
  on,
  action,
  text,
  rule: `calls-${text}`,
});
const none: Concluded = { kind: 'no-action', on, text: 'dry', rule: 'nothing' };
const causeOf = (cause: string, settledBy = `look for ${cause}`): Concluded => ({
  kind: 'cause',
  on,
  cause,
  settledBy,
  rule: 'causes',
});

describe('what rules make of an action', () => {
  it('is what asks most of all that ask for more, whatever their order, with its own reason', () => {
    const asked = [calls('upkeep'), calls('repair'), calls('look-again')];
    for (const all of [asked, asked.toReversed()]) {
      const settled = settleAction(as('monitor'), all);
      expect(settled.action).toBe('repair');
      expect(settled.because).toEqual([{ rule: 'calls-repair', text: 'repair' }]);
    }
  });

  it('never asks for less, nor again for the same', () => {
    for (const asked of [calls('monitor'), calls('repair')]) {
      const settled = settleAction(as('repair'), [asked]);
      expect(settled.action).toBe('repair');
      expect(settled.because).toEqual([]);
    }
  });

  it('is nothing only where no more than watching was asked', () => {
    expect(settleAction(as('monitor'), [none])).toMatchObject({
      action: 'none',
      because: [{ rule: 'nothing', text: 'dry' }],
      computed: { action: 'none' },
    });
    expect(settleAction(as('upkeep'), [none]).action).toBe('upkeep');
    expect(settleAction(as('monitor'), [none, calls('repair')]).action).toBe('repair');
    expect(settleAction(as('monitor'), [causeOf('a belly')]).action).toBe('monitor');
  });

  it('is to look again where two causes compete, and not where one is named twice', () => {
    const two = settleAction(as('repair'), [causeOf('roots'), causeOf('settling')]);
    expect(two.action).toBe('look-again');
    expect(two.because).toEqual([
      {
        rule: 'causes-compete',
        text: 'more than one cause is possible (roots, settling): look again before deciding',
      },
    ]);
    const once = settleAction(as('repair'), [causeOf('roots', 'cut them'), causeOf('roots')]);
    expect(once.action).toBe('repair');
    expect(once.causes).toEqual([{ cause: 'roots', settledBy: 'cut them' }]);
  });

  it('is left alone where it is urgent, a look already, or the inspector’s own doing', () => {
    const all = [causeOf('roots'), causeOf('settling'), calls('urgent'), none];
    for (const one of [as('urgent'), as('look-again'), as('monitor', { ourDoing: true })]) {
      const settled = settleAction(one, all);
      expect(settled.action).toBe(one.action);
      expect(settled.because).toEqual([]);
    }
  });
});
