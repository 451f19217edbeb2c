import { describe, expect, it } from 'vitest';
import { USUAL_HOURS } from '#core/office/hours';
import { type Card, editsOfMove, putByKey, shorterDay, whyNotPut } from './board';

const card = (changes: Partial<Card> = {}): Card => ({
  id: 'a',
  rev: 3,
  title: '1 Test Way',
  client: 'C',
  personId: 'ann',
  day: '2026-11-03',
  beginMin: 540,
  lengthMin: 60,
  offsetMin: -480,
  place: null,
  isOnRoof: false,
  isDone: false,
  periodEndsOn: null,
  ...changes,
});
const DAYS = ['2026-11-02', '2026-11-03', '2026-11-04'];
const CREWS = [{ id: 'ann' }, { id: 'bo' }];
const NAMES: Record<string, string> = { ann: 'Ann', bo: 'Bo', '': '' };
const nameOf = (id: string) => NAMES[id]!;

describe('a card that is taken up', () => {
  it.each([
    ['ArrowRight', { day: '2026-11-04' }],
    ['ArrowLeft', { day: '2026-11-02' }],
    ['ArrowDown', { personId: 'bo' }],
    ['ArrowUp', {}],
    ['+', { beginMin: 555 }],
    ['=', { beginMin: 555 }],
    ['-', { beginMin: 525 }],
  ])('goes by %s', (key, to) => {
    expect(putByKey(card(), key, DAYS, CREWS)).toMatchObject({
      day: '2026-11-03',
      personId: 'ann',
      beginMin: 540,
      ...to,
    });
  });
  it('stays on the board, and other keys are let through', () => {
    expect(putByKey(card({ day: '2026-11-04' }), 'ArrowRight', DAYS, CREWS)?.day).toBe(
      '2026-11-04',
    );
    expect(putByKey(card({ beginMin: 0 }), '-', DAYS, CREWS)?.beginMin).toBe(0);
    expect(putByKey(card({ beginMin: 1425 }), '+', DAYS, CREWS)?.beginMin).toBe(1425);
    expect(putByKey(card(), 'Tab', DAYS, CREWS)).toBeNull();
  });
});

describe('a move', () => {
  it('sets the time in the clock of the house, and whose it is', () => {
    const put = { personId: 'bo', day: '2026-11-04', beginMin: 615 };
    expect(editsOfMove(card(), put, { hasPeople: true, nameOf })).toEqual([
      { path: ['job', 'scheduledFor'], value: '2026-11-04T10:15:00-08:00' },
      { path: ['job', 'assignedTo'], value: 'bo' },
      { path: ['job', 'inspector'], value: 'Bo' },
    ]);
    expect(
      editsOfMove(card(), { ...put, personId: 'ann' }, { hasPeople: true, nameOf }),
    ).toHaveLength(1);
    expect(editsOfMove(card({ offsetMin: 330 }), put, { hasPeople: false, nameOf })[0]!.value).toBe(
      '2026-11-04T10:15:00+05:30',
    );
    expect(
      editsOfMove(card(), { ...card(), personId: '' }, { hasPeople: true, nameOf })[0],
    ).toEqual({
      path: ['job', 'assignedTo'],
    });
    expect(editsOfMove(card(), card(), { hasPeople: true, nameOf })).toEqual([]);
  });
  it('is the office’s, or on one’s own job in time alone; what was scoped stays', () => {
    const ann = { id: 'ann', name: 'Ann', role: 'inspector' } as const;
    const later = { ...card(), beginMin: 600 };
    const bos = { ...card(), personId: 'bo' };
    expect(whyNotPut(null, card(), bos)).toBeNull();
    expect(whyNotPut({ ...ann, role: 'office' }, card(), bos)).toBeNull();
    expect(whyNotPut(ann, card(), later)).toBeNull();
    expect(whyNotPut(ann, card(), bos)).toContain('the office says');
    expect(whyNotPut(ann, card({ personId: 'bo' }), later)).toContain('somebody else’s');
    expect(whyNotPut(null, card({ isDone: true }), later)).toContain('scoped already');
  });
});

describe('a day’s order', () => {
  const near = { lat: 45.5, lon: -122.6 };
  // Some 14 miles by road: 35 min.
  const far = { lat: 45.65, lon: -122.6 };
  it('is offered where the day ends sooner by it', () => {
    // Far, near, far drives 35 min twice; far, far, near once.
    const list = [
      card({ id: 'one', place: far, beginMin: 480 }),
      card({ id: 'two', place: near, beginMin: 600 }),
      card({ id: 'three', place: far, beginMin: 720 }),
    ];
    const found = shorterDay(list, null, USUAL_HOURS)!;
    const order = [...found.puts].toSorted((a, b) => a[1] - b[1]).map(([id]) => id);
    expect(order.indexOf('two')).not.toBe(1);
    // The last begins at 10:50, told as 11:00, whichever end is first; before, it ended at 1:00 pm.
    expect(Math.max(...found.puts.values())).toBe(660);
    expect(found.savedMin).toBe(780 - 720);
  });
  it('leaves what was scoped where it is, and says nothing of a day that is short already', () => {
    const done = card({ id: 'one', place: near, beginMin: 480, isDone: true });
    const next = card({ id: 'two', place: near, beginMin: 555 });
    expect(shorterDay([done, next], null, USUAL_HOURS)).toBeNull();
    expect(shorterDay([next], null, USUAL_HOURS)).toBeNull();
    const idle = card({ id: 'two', place: near, beginMin: 900 });
    const found = shorterDay([done, idle], null, USUAL_HOURS)!;
    expect(found.puts.get('one')).toBe(480);
    expect(found.puts.get('two')).toBe(555);
  });
});
