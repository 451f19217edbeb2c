import { expect, it } from 'vitest';
import { STATE_CODES, stateOf, STATES } from './states';

it.each<[string, string | null]>([
  ['14 Alder Bend, Sample Falls, OR 97201', 'OR'],
  ['14 Alder Bend, Sample Falls, OR 97201-1234, USA', 'OR'],
  ['14 Alder Bend Sample Falls OR 97201', 'OR'],
  ['14 Alder Bend, Sample Falls, OR', 'OR'],
  ['14 Alder Bend, Sample Falls, Oregon', 'OR'],
  ['14 Alder Bend, Sample Falls, new hampshire 03031', 'NH'],
  ['14 Alder Bend, Sample Falls', null],
  ['14 Alder Bend', null],
  ['12 Elm CT', null],
  ['12 Elm CT, Sample Falls, CT 06001', 'CT'],
  ['1 State Street, Sample Falls, ZZ 10000', null],
  ['9 Washington', null],
  ['in, or', null],
  ['', null],
])('the state of “%s” is %s', (address, state) => {
  expect(stateOf(address)).toBe(state);
});

it('every state is told by its letters and by its name', () => {
  for (const code of STATE_CODES)
    expect([stateOf(`1 Mill St, Falls, ${code}`), stateOf(`1 Mill St, ${STATES[code]}`)]).toEqual([
      code,
      code,
    ]);
});
