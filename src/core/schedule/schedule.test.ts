import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { minOf, sayLength, sayMin } from '../base/clock';
import { movedTo, USUAL_HOURS } from '../office/hours';
import { travelMin } from '../office/travel';
import type { Appointment } from './appointment';
import { composeBoard, sayOfDay, weekOf } from './board';
import { daylightOf, offsetOf } from './daylight';
import { lengthOf } from './length';
import { findSlots } from './slots';

const DAY = '2026-11-03';
const HERE = { lat: 45.5, lon: -122.6 };
/** Some 14 miles by road: 35 min. */
const THERE = { lat: 45.65, lon: -122.6 };
const job = (id: string, beginMin: number, changes: Partial<Appointment> = {}): Appointment => ({
  id,
  title: `${id} Test Way`,
  client: 'C',
  personId: 'ann',
  day: DAY,
  beginMin,
  lengthMin: 90,
  offsetMin: -480,
  place: HERE,
  isOnRoof: false,
  isDone: false,
  periodEndsOn: null,
  ...changes,
});
const ANN = { id: 'ann', name: 'Ann', home: HERE };
const BO = { id: 'bo', name: 'Bo', home: null };

describe('how long a look takes', () => {
  const house = { households: 1, foundation: 'slab' } as const;
  const way = { kind: 'cleanout', usable: true } as const;
  it.each([
    ['one way in', house, [way], null, 60],
    ['nobody knows where to go in', house, [], null, 75],
    ['two ways in', house, [way, way], null, 90],
    ['the roof', house, [{ ...way, kind: 'roof-vent' }], null, 90],
    ['a crawlspace', { ...house, foundation: 'crawlspace' }, [way], null, 75],
    ['four households', { ...house, households: 4 }, [way], null, 105],
    ['it took two hours last time', house, [way], 120, 90],
    ['it was over in ten minutes', house, [way], 10, 45],
    ['an afternoon is the most', { ...house, households: 60 }, [way], null, 240],
  ] as const)('%s: %s min', (_, property, accessPoints, lastMin, minutes) => {
    expect(lengthOf({ property, accessPoints, lastMin })).toBe(minutes);
  });
});

describe('daylight', () => {
  it.each([
    // Day lengths of the almanac, which hold anywhere at that latitude.
    ['2026-03-20', 0, 727],
    ['2026-12-21', 40, 560],
    ['2026-06-21', 40, 901],
  ])('on %s at %s° north is %s min', (day, lat, minutes) => {
    const { riseMin, setMin } = daylightOf(day, { lat, lon: 0 }, 0);
    expect(Math.abs(setMin - riseMin - minutes)).toBeLessThanOrEqual(3);
  });
  it.each([
    // Almanac times: 45.5° north, 122.7° west, by Pacific time, standard and daylight.
    ['2026-11-03', -480, 413, 1015],
    ['2026-07-04', -420, 327, 1263],
  ])('on %s begins and ends by the clock', (day, offset, rise, set) => {
    const { riseMin, setMin } = daylightOf(day, { lat: 45.52, lon: -122.68 }, offset);
    expect(Math.abs(riseMin - rise)).toBeLessThanOrEqual(4);
    expect(Math.abs(setMin - set)).toBeLessThanOrEqual(4);
  });
  it('ends and begins at the pole', () => {
    const north = daylightOf('2026-12-21', { lat: 80, lon: 0 }, 0);
    expect(north.setMin - north.riseMin).toBe(0);
    const south = daylightOf('2026-06-21', { lat: 80, lon: 0 }, 0);
    expect(south.setMin - south.riseMin).toBe(1440);
    expect(
      daylightOf('2026-11-03', null, 0).riseMin + daylightOf('2026-11-03', null, 0).setMin,
    ).toBe(1440);
  });
  it('reads how far a clock is ahead', () => {
    expect([
      offsetOf('2026-11-03T09:00:00-08:00'),
      offsetOf('2026-11-03T09:00:00+05:30'),
      offsetOf('2026-11-03T09:00:00Z'),
    ]).toEqual([-480, 330, 0]);
  });
});

describe('free times', () => {
  const wish = { lengthMin: 60, place: HERE, periodEndsOn: null, from: DAY, days: 1 };
  const times = (taken: readonly Appointment[], more: Partial<typeof wish> = {}) =>
    findSlots([ANN], taken, { ...wish, ...more }, USUAL_HOURS).map(({ beginMin }) =>
      sayMin(beginMin),
    );
  it('are the first in each gap, with the ways there and on', () => {
    expect(times([])).toEqual(['8:00 am']);
    expect(times([job('a', 540)])).toEqual(['10:45 am']);
    // 8:00 to 9:00, 5 min to park, the next at 9:30.
    expect(times([job('a', 570)])).toEqual(['8:00 am', '11:15 am']);
    expect(times([job('a', 570)], { place: THERE })).toEqual(['11:45 am']);
    expect(times([job('a', 480, { lengthMin: 540 })])).toEqual([]);
  });
  it('are none on days when offices are shut, or after the period', () => {
    const days = (periodEndsOn: string | null) => [
      ...new Set(
        findSlots([ANN], [], { ...wish, days: 9, periodEndsOn }, USUAL_HOURS).map(({ day }) => day),
      ),
    ];
    // 7 and 8 November are a weekend, 11 November a holiday.
    expect(days(null)).toEqual(['03', '04', '05', '06', '09', '10'].map((on) => `2026-11-${on}`));
    expect(days('2026-11-05')).toEqual(['03', '04', '05'].map((on) => `2026-11-${on}`));
  });
  it('say the working days that are left for report, quotes and asking', () => {
    const [slot] = findSlots([ANN], [], { ...wish, periodEndsOn: '2026-11-12' }, USUAL_HOURS);
    expect(slot!.daysLeft).toBe(6);
  });
  it('are the soonest first, then the shortest way', () => {
    const taken = [job('a', 480, { place: THERE }), job('b', 480, { personId: 'bo' })];
    const found = findSlots([ANN, BO], taken, wish, USUAL_HOURS);
    expect(found.map(({ personId, beginMin }) => `${personId} ${beginMin}`)).toEqual([
      'bo 585',
      'ann 615',
    ]);
  });
  it('mind a long job that a short one was booked into', () => {
    // The long one ends at 1:00 pm, far off: 35 min. By the short one alone it would be 10:00 am.
    const long = job('a', 480, { lengthMin: 300, place: THERE });
    expect(times([long, job('b', 540, { lengthMin: 30 })])).toEqual(['1:45 pm']);
  });
  it('end before the day does, whatever is booked after it', () => {
    expect(times([job('a', 480, { lengthMin: 510 }), job('b', 1110)])).toEqual([]);
  });
  it('never meet what is booked, keep every way, and cannot be had sooner', () => {
    const minute = fc.integer({ min: 0, max: 38 }).map((step) => 480 + step * 15);
    const places = fc.constantFrom(HERE, THERE, null);
    const booking = fc.record({
      at: minute,
      place: places,
      quarters: fc.integer({ min: 1, max: 16 }),
    });
    fc.assert(
      fc.property(
        fc.array(booking, { maxLength: 5 }),
        places,
        fc.integer({ min: 3, max: 10 }),
        (booked, place, quarters) => {
          const taken = booked.map((one, index) =>
            job(`${index}`, one.at, {
              place: one.place,
              lengthMin: one.quarters * 15,
              personId: 'bo',
            }),
          );
          const lengthMin = quarters * 15;
          const found = findSlots([BO], taken, { ...wish, place, lengthMin }, USUAL_HOURS);
          const way = (a: Appointment) => travelMin(a.place, place, USUAL_HOURS.travel);
          const fits = (begin: number) =>
            begin >= USUAL_HOURS.startMin &&
            begin + lengthMin <= USUAL_HOURS.endMin &&
            taken.every(
              (one) =>
                begin >= one.beginMin + one.lengthMin + way(one) ||
                begin + lengthMin + way(one) <= one.beginMin,
            );
          const all = Array.from({ length: 39 }, (_, step) => 480 + step * 15).filter(fits);
          expect(found[0]?.beginMin).toBe(all[0]);
          for (const { beginMin } of found) expect(fits(beginMin)).toBe(true);
        },
      ),
      {
        numRuns: 1000,
        examples: [
          [
            [
              { at: 585, place: THERE, quarters: 4 },
              { at: 600, place: HERE, quarters: 4 },
            ],
            HERE,
            3,
          ],
        ],
      },
    );
  });
});

describe('the board', () => {
  it('begins its week on Monday', () => {
    expect(weekOf('2026-11-08')[0]).toBe('2026-11-02');
    expect(weekOf('2026-11-02')).toHaveLength(7);
    expect(weekOf('2026-11-02')[6]).toBe('2026-11-08');
  });
  it('says what is wrong with a day', () => {
    const says = (...list: Appointment[]) =>
      sayOfDay(list, { ...USUAL_HOURS, rain: { fromMin: 840, toMin: 1020 } });
    expect(says(job('a', 540), job('b', 650))).toEqual([]);
    expect(says(job('a', 540, { isDone: true }), job('b', 600, { isDone: true }))).toEqual([]);
    expect(says(job('a', 540), job('b', 600))).toEqual([
      'a Test Way and b Test Way overlap by 30 min.',
    ]);
    expect(says(job('a', 540), job('b', 645, { place: THERE }))).toEqual([
      'Between a Test Way and b Test Way there are 15 min, and the drive takes 35 min.',
    ]);
    expect(says(job('a', 540), job('b', 630, { place: null }))).toEqual([
      'Between a Test Way and b Test Way there is no time, and the drive takes 25 min, estimated without knowing where they are.',
    ]);
    expect(says(job('a', 960))).toEqual(['a Test Way ends at 5:30 pm, after dark.']);
    expect(says(job('a', 780, { isOnRoof: true }))).toEqual([
      'a Test Way is scoped from the roof, and between 2:00 pm and 5:00 pm it often rains here.',
    ]);
    expect(says(job('a', 420, { lengthMin: 240 }), job('b', 870, { lengthMin: 165 })).at(-1)).toBe(
      'The day is 10 h 15 min long, from 7:00 am to 5:15 pm.',
    );
  });
  it('has a row for everybody who scopes, and for whoever has a job', () => {
    const board = composeBoard(
      [ANN],
      [job('a', 540), job('b', 480, { personId: '' })],
      weekOf(DAY),
      USUAL_HOURS,
    );
    expect(board.rows.map(({ crew }) => crew.name)).toEqual(['Ann', 'Unassigned']);
    expect(board.rows[0]!.days[1]!.cards.map(({ id }) => id)).toEqual(['a']);
    expect(board.days[1]!.name).toBe('Tue 3 Nov');
  });
  it('says times as people do', () => {
    expect([sayMin(0), sayMin(720), sayMin(785)]).toEqual(['12:00 am', '12:00 pm', '1:05 pm']);
    expect([sayLength(0), sayLength(60), sayLength(135)]).toEqual(['0 min', '1 h', '2 h 15 min']);
    const instant = '2026-11-03T09:30:00-08:00';
    expect(minOf(instant)).toBe(570);
    expect(movedTo(instant, '2026-11-04', 615)).toBe('2026-11-04T10:15:00-08:00');
  });
});
