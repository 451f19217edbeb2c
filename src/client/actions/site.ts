import { instantOfFields } from '#client/time';
import type { AccessPoint } from '#core/model/job/access-point';
import { sameJson } from '#core/model/job/edits';
import type { FactsChange } from '#core/model/job/facts';
import type { Job } from '#core/model/job/job';
import { readPlace } from '#core/office/travel';
import { optionalText, type TypedFields } from './typed';

/** An access point as its form says it; the optional facts that are left empty are taken out. */
export function readAccess(access: AccessPoint, { text, number }: TypedFields): unknown {
  const {
    bendsDeg: _bends,
    dropFt: _drop,
    alongLine: _along,
    trouble: _trouble,
    zone: _zone,
    ...known
  } = access;
  const bendsDeg = text('bends')
    .split(/[\s,;°]+/)
    .filter((angle) => angle !== '')
    .map(Number);
  return {
    ...known,
    kind: text('kind'),
    diameterIn: number('diameterIn'),
    material: text('material'),
    place: text('place'),
    obstacle: text('obstacle') || null,
    ...(bendsDeg.length > 0 ? { bendsDeg } : {}),
    ...(text('dropFt') === '' ? {} : { dropFt: number('dropFt') }),
    ...optionalText('zone', text('zone')),
    ...optionalText('trouble', text('trouble')),
    ...optionalText('alongLine', text('along')),
  };
}

/** The facts of the job and the house as their form says them. A day that is cleared is a fault, said by its field. */
export function readFacts({ text, number }: TypedFields, job: Job): FactsChange {
  const optional = (name: string) => (text(name) === '' ? null : number(name));
  const yesOrNo = (name: string) => (text(name) === '' ? null : text(name) === 'yes');
  const day = text('day');
  return {
    job: {
      title: text('title'),
      client: text('client'),
      inspector: text('inspector'),
      agent: text('agent') || null,
      attended: text('attended') || null,
      weather: text('weather') || null,
      scheduledFor: day === '' ? '' : keptInstant(job.scheduledFor, day, text('time')),
      inspectionPeriodEndsOn: text('endsOn') || null,
      purpose: text('purpose'),
      complaint: text('complaint') || null,
      scope: text('scope'),
      responsibility: text('responsibility'),
      lengthMin: optional('lengthMin'),
      fee: text('fee') || null,
      invoice: text('invoice') || null,
    },
    property: {
      address: text('address'),
      // What is no place is left as it was typed: the check says so at its field.
      position: text('place') === '' ? null : (readPlace(text('place')) ?? text('place')),
      yearBuilt: optional('yearBuilt'),
      households: number('households'),
      bathrooms: optional('bathrooms'),
      occupancy: text('occupancy'),
      foundation: text('foundation'),
      frontFaces: text('frontFaces') || null,
      lowestFloor: text('lowestFloor') || null,
      sharedLine: yesOrNo('sharedLine'),
      rainTiedIn: yesOrNo('rainTiedIn'),
      proofAtSale: yesOrNo('proofAtSale'),
      sellerSays: text('sellerSays') || null,
      serviceCover: text('serviceCover') || null,
    },
  } as unknown as FactsChange;
}

/** The fields that were changed since they were shown: what came from elsewhere meanwhile stays. */
export function changedFacts(before: FactsChange, said: FactsChange): FactsChange {
  const changed = (was: object = {}, is: object = {}) =>
    Object.fromEntries(
      Object.entries(is).filter(
        ([key, value]) => !sameJson((was as Record<string, unknown>)[key], value),
      ),
    );
  return {
    job: changed(before.job, said.job),
    property: changed(before.property, said.property),
  };
}

/** The appointment as it was when neither day nor time changed: its offset is the house's, not ours. */
function keptInstant(before: string, day: string, time: string): string {
  const isSame = before.slice(0, 10) === day && before.slice(11, 16) === time;
  return isSame ? before : instantOfFields(day, time);
}
