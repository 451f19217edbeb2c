import { describe, expect, it } from 'vitest';
import { startInspection } from '../model/job/booking';
import { DEFAULT_PREFERENCES, type Preferences } from '../site/equipment';
import { readSettingsFile, writeSettingsFile } from './settings-file';

const MINE: Preferences = {
  ...DEFAULT_PREFERENCES,
  ownWords: [{ says: 'mud pipe', means: 'clay' }],
  judgement: {
    profile: 'renew-first',
    responsibility: 'to-property-line',
    settings: {
      thresholds: { rootsMajorFrom: 0.3 },
      usualLives: { 'cast-iron': { from: 40, to: 70 } },
    },
  },
};
const faults = (text: string) => {
  const outcome = readSettingsFile(text);
  return outcome.ok ? [] : outcome.faults.map(({ path, expected }) => `${path}: ${expected}`);
};

describe('a settings file', () => {
  it('comes back as it was written', () => {
    expect(readSettingsFile(writeSettingsFile(MINE))).toEqual({ ok: true, value: MINE });
  });

  it.each<[string, string, RegExp]>([
    ['no JSON', 'hello', /settings file in JSON/],
    ['a list', '[]', /an object/],
    ['another format', '{"format":"x"}', /^format: "chert-settings"/],
    ['a later version', '{"format":"chert-settings","version":2}', /^version: 1/],
    [
      'bounds that cross',
      writeSettingsFile({
        ...MINE,
        judgement: { ...MINE.judgement!, settings: { thresholds: { gapMajorFromIn: 0.2 } } },
      }),
      /^preferences\.judgement\.settings\.thresholds: bounds in order/,
    ],
  ])('of %s is refused with what was expected', (_, text, expected) => {
    expect(faults(text)[0]).toMatch(expected);
  });
});

it('a new job begins as the inspector judges, and one booked before settings did as Chert does', () => {
  const booking = {
    id: 'J',
    address: '1 Test Way',
    client: 'C',
    inspector: 'I',
    scope: 'lateral',
    scheduledFor: '2026-11-03T09:00:00-08:00',
    responsibility: 'to-main',
  } as const;
  const mine = startInspection(booking, MINE.judgement);
  expect(mine.job.profile).toBe('renew-first');
  expect(mine.settings.thresholds).toEqual({ rootsMajorFrom: 0.3 });
  expect(startInspection(booking)).toMatchObject({
    job: { profile: 'maintain-first' },
    settings: {},
  });
});
