import { expect, it } from 'vitest';
import { USUAL_HOURS } from '#core/office/hours';
import { hoursSchema } from '#core/office/hours.schema';
import { hoursFromFields, hoursToFields } from './hours-fields';

it('the week goes into its form and back', () => {
  expect(hoursFromFields(hoursToFields())).toEqual(USUAL_HOURS);
  const rainy = { ...USUAL_HOURS, rain: { fromMin: 14 * 60, toMin: 17 * 60 + 5 } };
  expect(hoursToFields(rainy)).toMatchObject({
    start: '08:00',
    end: '17:30',
    rainFrom: '14:00',
    rainTo: '17:05',
  });
  expect(hoursFromFields(hoursToFields(rainy))).toEqual(rainy);
});

it('half a time of rain, and a day that ends before it begins, are faults', () => {
  const fields = hoursToFields();
  const fault = (changes: object) =>
    hoursSchema
      .validate(hoursFromFields({ ...fields, ...changes }))
      .error?.details[0]?.path.join('.');
  expect(fault({})).toBeUndefined();
  expect(fault({ rainFrom: '14:00' })).toBe('rain.toMin');
  expect(fault({ start: '18:00' })).toBe('endMin');
  expect(fault({ start: '' })).toBe('startMin');
  expect(fault({ mph: Number.NaN })).toBe('travel.mph');
});
