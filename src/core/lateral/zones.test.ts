import { describe, expect, it } from 'vitest';
import { assess } from '../assess';
import type { Zone } from '../catalogue/zones';
import type { Run } from '../model/job/run';
import { CLAY, inspectionOf, MAIN_AT_60, runOf, type Said } from '../testing/build';
import { accessOf } from '../testing/joined';

const zone = (name: Zone, readingFt: number, side: 'far' | 'near' = 'far'): Said => ({
  kind: 'zone',
  zone: name,
  side,
  readingFt,
});
const wall = (readingFt: number): Said => ({ kind: 'feature', feature: 'wall', readingFt });
const line = (readingFt: number): Said => ({
  kind: 'feature',
  feature: 'property-line',
  readingFt,
});

/** What lies over a 60 ft line from an access in this zone, as "0–3 yard, 3–60 ?", and which zones are open. */
function groundOver(
  accessZone: Zone,
  said: readonly Said[],
  setup: Partial<Run> = {},
  end = MAIN_AT_60,
) {
  const inspection = inspectionOf([runOf([CLAY, ...said, end], setup)], {
    accessPoints: [accessOf('A', { zone: accessZone })],
  });
  const { lateral, checks } = assess(inspection);
  const tell = ({ fromFt, toFt, value }: (typeof lateral.zones)[number]) =>
    `${Math.round(fromFt)}–${Math.round(toFt)} ${value ?? '?'}`;
  return {
    over: lateral.zones.map(tell).join(', '),
    isOpen: checks.some(({ code }) => code === 'zone-open'),
  };
}

describe('what lies over the line', () => {
  it.each<[string, Zone, readonly Said[], string]>([
    ['an access speaks for three feet', 'yard', [], '0–3 yard, 3–60 ?'],
    [
      'a zone holds to the next one',
      'yard',
      [zone('yard', 0), zone('driveway', 20), zone('yard', 40)],
      '0–20 yard, 20–40 driveway, 40–60 yard',
    ],
    [
      'a property line ends what was called before it',
      'yard',
      [zone('yard', 0), line(35)],
      '0–35 yard, 35–60 ?',
    ],
    [
      'a wall ends what was called inside it',
      'basement',
      [zone('basement', 0), wall(12)],
      '0–12 basement, 12–60 ?',
    ],
    [
      'an access indoors reaches its wall',
      'under-house',
      [wall(6), zone('yard', 8)],
      '0–6 under-house, 6–8 ?, 8–60 yard',
    ],
    [
      'a zone said from its far side reaches back to the limit before',
      'yard',
      [line(20), zone('driveway', 40, 'near')],
      '0–3 yard, 3–20 ?, 20–40 driveway, 40–60 ?',
    ],
    [
      'indoors is known where the wall was said first and the zone after',
      'yard',
      [wall(20), zone('crawlspace', 10)],
      '0–3 yard, 3–10 ?, 10–20 crawlspace, 20–60 ?',
    ],
  ])('%s', (_, accessZone, said, over) => {
    expect(groundOver(accessZone, said)).toEqual({ over, isOpen: false });
  });

  it.each<[string, Zone, readonly Said[], string]>([
    ['an indoor access with nothing said', 'crawlspace', [], '0–60 ?'],
    [
      'an indoor zone with nothing said after it',
      'yard',
      [zone('crawlspace', 0)],
      '0–3 yard, 3–60 ?',
    ],
    [
      'one that is not ended by the zone before it',
      'yard',
      [zone('yard', 0), zone('basement', 30)],
      '0–30 yard, 30–60 ?',
    ],
  ])('is not known, and asked for, over %s', (_, accessZone, said, over) => {
    expect(groundOver(accessZone, said)).toEqual({ over, isOpen: true });
  });

  it('wants no end upstream of a run that climbs into the house', () => {
    const climbed: Said = { kind: 'end', reason: 'lost-push', confirmedBy: 'none', readingFt: 60 };
    const up = groundOver(
      'yard',
      [zone('yard', 0), wall(30), zone('under-house', 30)],
      { facing: 'upstream' },
      climbed,
    );
    expect(up.isOpen).toBe(false);
    expect(up.over).toBe('-60–-30 under-house, -30–0 yard');
  });
});
