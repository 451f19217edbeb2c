import { clip } from '../base/interval';
import { nameZone, type Zone } from '../catalogue/zones';
import type { Lateral } from '../lateral/lateral';
import { INDOOR_ZONES } from '../lateral/zones';
import type { Frame } from './frame';
import type { LabelWish } from './labels';
import { box, type Primitive, type Role, stroke } from './primitives';

const COVER: Partial<Record<Zone, readonly [Role, number]>> = {
  yard: ['surface-green', 4],
  strip: ['surface-green', 4],
  driveway: ['surface-hard', 6],
  patio: ['surface-hard', 6],
  walk: ['surface-hard', 6],
  'under-house': ['surface-hard', 6],
  basement: ['surface-hard', 6],
  street: ['surface-road', 8],
};

/** Sky, soil, what covers the ground, houses and trees. */
export function drawGround(lateral: Lateral, frame: Frame): Primitive[] {
  const { width, groundY, scaleY, height, view, xOf } = frame;
  const soilY = groundY + (scaleY - groundY) * 0.55;
  const shapes: Primitive[] = [
    box('soil-above', 0, groundY, width, height - groundY),
    {
      shape: 'polygon',
      role: 'soil-below',
      points: [
        { x: 0, y: soilY + 8 },
        { x: width * 0.3, y: soilY - 2 },
        { x: width * 0.62, y: soilY + 10 },
        { x: width, y: soilY },
        { x: width, y: height },
        { x: 0, y: height },
      ],
    },
  ];
  for (const zone of lateral.zones) {
    const part = clip(zone, view);
    if (!part || zone.value === null) continue;
    const x = xOf(part.fromFt);
    const across = xOf(part.toFt) - x;
    const cover = COVER[zone.value];
    if (cover) shapes.push(box(cover[0], x, groundY - cover[1] / 2, across, cover[1]));
    if (INDOOR_ZONES.includes(zone.value)) shapes.push(house(x, across, groundY));
    shapes.push(stroke('zone-divider', { x: x + across, y: 22 }, { x: x + across, y: groundY }));
  }
  return [...shapes, ...trees(lateral, frame)];
}

function house(x: number, across: number, groundY: number): Primitive {
  const eaves = groundY - 34;
  return {
    shape: 'polygon',
    role: 'house',
    points: [
      { x, y: groundY - 3 },
      { x, y: eaves },
      { x: x + across / 2, y: eaves - Math.min(14, across / 4) },
      { x: x + across, y: eaves },
      { x: x + across, y: groundY - 3 },
    ],
  };
}

function trees(lateral: Lateral, frame: Frame): Primitive[] {
  return lateral.axes.flatMap((axis) =>
    axis.log.of('surface').flatMap((entry): Primitive[] => {
      if (!/tree|hedge/.test(entry.what)) return [];
      const x = frame.xOf(axis.placeOfEntry(entry).from.stationFt);
      const isHedge = entry.what.includes('hedge');
      const crown = isHedge ? 7 : 13;
      const topY = frame.groundY - (isHedge ? 9 : 33);
      return [
        box('tree-trunk', x - 2, topY, 4, frame.groundY - topY - 2),
        {
          shape: 'circle',
          role: 'tree-crown',
          center: { x: x - crown * 0.6, y: topY + 2 },
          radius: crown * 0.75,
        },
        {
          shape: 'circle',
          role: 'tree-crown',
          center: { x: x + crown * 0.6, y: topY + 2 },
          radius: crown * 0.75,
        },
        { shape: 'circle', role: 'tree-crown', center: { x, y: topY - 4 }, radius: crown * 0.85 },
      ];
    }),
  );
}

/** The names of the zones, over their middles. */
export function wishZoneLabels(lateral: Lateral, frame: Frame): LabelWish[] {
  return lateral.zones.flatMap((zone) => {
    const part = clip(zone, frame.view);
    if (!part || zone.value === null || part.toFt <= part.fromFt) return [];
    return [
      {
        role: 'zone-label' as const,
        text: nameZone(zone.value).toUpperCase(),
        x: (frame.xOf(part.fromFt) + frame.xOf(part.toFt)) / 2,
        roomUnits: frame.xOf(part.toFt) - frame.xOf(part.fromFt),
        unitsPerChar: 7.6,
      },
    ];
  });
}
