import type { Stop } from '../judge/stops';
import type { LineNames } from '../lateral/line-names';
import { sayOnLine } from '../lateral/say-place';
import type { Block } from './block';

/** What must not be done, where: the first thing for anyone who works on the line. */
export function composeStops(stops: readonly Stop[], names: LineNames): Block[] {
  const texts = [...new Set(stops.map(({ text }) => text))];
  if (texts.length === 0) return [];
  const items = texts.map((text) => {
    const places = stops
      .filter((stop) => stop.text === text)
      .map(({ lineId, span }) =>
        span === null
          ? `all along${names.isOne ? ' the line' : ` the ${names.nameOf(lineId)}`}`
          : sayOnLine({ lineId, ...span }, names),
      );
    return `${text} (${[...new Set(places)].join('; ')})`;
  });
  return [{ kind: 'list', title: 'Before anyone works on this line', items }];
}
