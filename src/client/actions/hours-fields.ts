import { type Hours, USUAL_HOURS } from '#core/office/hours';
import { minutesOf, timeOfMin } from '../time';

/** The week as its form holds it: times as `HH:MM`, empty where nobody said. */
export type HoursFields = {
  start: string;
  end: string;
  rainFrom: string;
  rainTo: string;
} & { -readonly [K in keyof Hours['travel']]: number };

export const hoursToFields = ({ startMin, endMin, rain, travel }: Hours = USUAL_HOURS) =>
  ({
    start: timeOfMin(startMin),
    end: timeOfMin(endMin),
    rainFrom: rain ? timeOfMin(rain.fromMin) : '',
    rainTo: rain ? timeOfMin(rain.toMin) : '',
    ...travel,
  }) satisfies HoursFields;

/** Hours of rain need a beginning and an end; with neither there are none. */
export const hoursFromFields = (fields: HoursFields): Hours => {
  const { start, end, rainFrom, rainTo, factor, mph, stopMin, unknownMin } = fields;
  return {
    startMin: minutesOf(start),
    endMin: minutesOf(end),
    rain:
      rainFrom === '' && rainTo === ''
        ? null
        : { fromMin: minutesOf(rainFrom), toMin: minutesOf(rainTo) },
    travel: { factor, mph, stopMin, unknownMin },
  };
};
