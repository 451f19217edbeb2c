import { describe, expect, it } from 'vitest';
import { typed } from '#client/testing/typed';
import { checkFacts } from '#core/model/job/facts';
import { demoInspection } from '#core/testing/demo-inspections';
import { changedFacts, readAccess, readFacts } from './site';

const access = {
  id: 'a',
  label: 'A',
  kind: 'cleanout',
  diameterIn: 4,
  material: 'abs',
  place: 'yard',
  zone: 'yard',
  usable: false,
  obstacle: 'planter',
  trouble: 'in-the-way',
  bendsDeg: [45],
  dropFt: 2,
  alongLine: 'along',
} as const;
const FIELDS = { kind: 'riser', diameterIn: '3', material: 'pvc', place: 'porch', zone: 'yard' };

describe('an access point as its form says it', () => {
  it('lets what is optional go where its field is empty, and keeps what the form does not show', () => {
    expect(readAccess(access, typed(FIELDS))).toEqual({
      id: 'a',
      label: 'A',
      usable: false,
      obstacle: null,
      ...FIELDS,
      diameterIn: 3,
    });
  });

  it('reads bends however they are parted', () => {
    const more = { bends: '45° 90, 22.5;45', dropFt: '1.5', trouble: 'buried', along: 'house-end' };
    expect(readAccess(access, typed({ ...FIELDS, ...more }))).toMatchObject({
      bendsDeg: [45, 90, 22.5, 45],
      dropFt: 1.5,
      trouble: 'buried',
      alongLine: 'house-end',
    });
  });
});

describe('the facts of a job as their form says them', () => {
  const inspection = demoInspection('alder-bend');
  const { job, property } = inspection;
  const shown = {
    title: job.title,
    client: job.client,
    inspector: job.inspector,
    day: job.scheduledFor.slice(0, 10),
    time: job.scheduledFor.slice(11, 16),
    purpose: job.purpose ?? 'purchase',
    scope: job.scope,
    responsibility: job.responsibility,
    address: property.address,
    yearBuilt: String(property.yearBuilt),
    households: String(property.households),
    bathrooms: String(property.bathrooms),
    occupancy: property.occupancy,
    foundation: property.foundation,
  };
  const before = readFacts(typed(shown), job);
  const changed = (more: Readonly<Record<string, string>>) =>
    changedFacts(before, readFacts(typed({ ...shown, ...more }), job));

  it('are none where nothing was changed: the appointment keeps its own offset', () => {
    expect(before.job!.scheduledFor).toBe(job.scheduledFor);
    expect(changed({})).toEqual({ job: {}, property: {} });
  });

  it('are what was changed, and nothing else', () => {
    expect(changed({ client: 'B. Buyer', bathrooms: '' })).toEqual({
      job: { client: 'B. Buyer' },
      property: { bathrooms: null },
    });
  });

  it('a day that is cleared is a fault, told by its field', () => {
    const checked = checkFacts(inspection, changed({ day: '' }));
    expect(checked).toMatchObject({ ok: false, faults: [{ path: 'job.scheduledFor' }] });
  });
});
