import { describe, expect, it } from 'vitest';
import { seededRandom } from '../base/random';
import { milesBetween, type Place, readPlace, travelMin, USUAL_TRAVEL } from '../office/travel';
import { MOST_STOPS, orderDay, type Stop, type WorkDay } from './day-order';

/** When a day ends whose stops are done in the order given; Infinity where a time is missed. */
function endIn(order: readonly Stop[], { startMin, home }: WorkDay): number {
  let at: Place | null = home;
  let min = startMin;
  for (const [index, stop] of order.entries()) {
    if (index > 0 || home) min += travelMin(at, stop.place, USUAL_TRAVEL);
    min = Math.max(min, stop.fromMin);
    if (min > stop.toMin) return Infinity;
    min += stop.lengthMin;
    at = stop.place;
  }
  return home && order.length > 0 ? min + travelMin(at, home, USUAL_TRAVEL) : min;
}

/** The soonest end over every order there is. */
function soonest(left: readonly Stop[], done: readonly Stop[], day: WorkDay): number {
  if (left.length === 0) return endIn(done, day);
  return Math.min(
    ...left.map((stop) =>
      soonest(
        left.filter((other) => other !== stop),
        [...done, stop],
        day,
      ),
    ),
  );
}

function madeDay(seed: number, count: number): { stops: Stop[]; day: WorkDay } {
  const random = seededRandom(seed);
  const place = (): Place | null =>
    random.next() < 0.1 ? null : { lat: 45 + random.next() * 0.4, lon: -123 + random.next() * 0.5 };
  const stops = Array.from({ length: count }, (_, index): Stop => {
    const kind = random.next();
    const begin = 480 + Math.floor(random.next() * 36) * 15;
    return {
      id: `S${index}`,
      lengthMin: 45 + Math.floor(random.next() * 5) * 15,
      // Promised to the minute, for a part of the day, or any time.
      fromMin: kind < 0.2 ? begin : kind < 0.5 ? 480 + 240 * Math.floor(random.next() * 2) : 480,
      toMin: kind < 0.2 ? begin : kind < 0.5 ? 1080 : 1320,
      place: place(),
    };
  });
  return { stops, day: { startMin: 480, home: random.next() < 0.3 ? null : place() } };
}

describe('the order of a day', () => {
  it('is as good as the best of every order, on 500 days of up to eight stops', () => {
    let kept = 0;
    for (let seed = 1; seed <= 500; seed += 1) {
      const { stops, day } = madeDay(seed, 1 + (seed % (seed % 25 === 0 ? 8 : 7)));
      const found = orderDay(stops, day, USUAL_TRAVEL);
      const best = soonest(stops, [], day);
      expect([seed, found?.endMin ?? Infinity]).toEqual([seed, best]);
      if (!found) continue;
      kept += 1;
      // What it says of itself is so.
      const order = found.stops.map(({ id }) => stops.find((stop) => stop.id === id)!);
      expect(new Set(order).size).toBe(stops.length);
      expect(endIn(order, day)).toBe(found.endMin);
    }
    expect(kept).toBeGreaterThan(250);
  });

  it('is worked by hand for two places in a line', () => {
    // A degree of latitude is 69.1 miles: .1 of it 6.91, by road 9.33, 20 min, and 5 to park.
    const at = (lat: number) => ({ lat, lon: 0 });
    expect(travelMin(at(45), at(45.1), USUAL_TRAVEL)).toBe(25);
    const stop = (id: string, lat: number, fromMin = 480): Stop => ({
      id,
      lengthMin: 60,
      fromMin,
      toMin: 1080,
      place: at(lat),
    });
    const day = { startMin: 480, home: at(45) };
    // Far first costs as much as near first; a promise for the afternoon comes last.
    const found = orderDay(
      [stop('noon', 45, 720), stop('far', 45.2), stop('near', 45.1)],
      day,
      USUAL_TRAVEL,
    )!;
    expect(found.stops.map(({ id }) => id).at(-1)).toBe('noon');
    expect(found.stops.at(-1)!.beginMin).toBe(720);
    expect(found.endMin).toBe(785);
  });

  it('says where no order keeps all times', () => {
    const stop = (id: string): Stop => ({
      id,
      lengthMin: 60,
      fromMin: 540,
      toMin: 540,
      place: null,
    });
    expect(
      orderDay([stop('a'), stop('b')], { startMin: 480, home: null }, USUAL_TRAVEL),
    ).toBeNull();
    expect(orderDay([], { startMin: 480, home: null }, USUAL_TRAVEL)).toEqual({
      stops: [],
      endMin: 480,
    });
    const many = Array.from({ length: MOST_STOPS + 1 }, (_, index) => stop(`${index}`));
    expect(() => orderDay(many, { startMin: 0, home: null }, USUAL_TRAVEL)).toThrow('at most 12');
  });
});

describe('a way', () => {
  it('is as long as the tables say', () => {
    // Two cities with published coordinates; the great circle between them is 2,445 miles.
    const miles = milesBetween({ lat: 40.6413, lon: -73.7781 }, { lat: 33.9416, lon: -118.4085 });
    expect(miles).toBeGreaterThan(2465);
    expect(miles).toBeLessThan(2480);
    expect(milesBetween({ lat: 0, lon: 0 }, { lat: 0, lon: 180 })).toBeCloseTo(Math.PI * 3958.8, 6);
  });
  it('is guessed where a place is not known', () => {
    expect(travelMin(null, { lat: 1, lon: 1 }, USUAL_TRAVEL)).toBe(USUAL_TRAVEL.unknownMin);
  });
  it.each([
    ['45.52, -122.68', { lat: 45.52, lon: -122.68 }],
    [' 45.5 -122.6 ', { lat: 45.5, lon: -122.6 }],
    ['45', null],
    ['95, 10', null],
    ['Hill Road 5', null],
    ['', null],
  ])('%s is %j', (text, place) => {
    expect(readPlace(text)).toEqual(place);
  });
});
