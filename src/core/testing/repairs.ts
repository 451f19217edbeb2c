import { assess } from '../assess';
import { repairOf } from '../planning/repair';
import { assessmentOf, type Said } from './build';
import { demoInspection } from './demo-inspections';

export const zone = (name: string, readingFt: number): Said => ({
  kind: 'zone',
  side: 'far',
  zone: name,
  readingFt,
});
export const locate = (readingFt: number, depthIn: number, groundIn: number): Said => ({
  kind: 'locate',
  readingFt,
  depthIn,
  groundIn,
});

/** The plans for a log, and those for the troubled demo job. */
export const repair = (said: readonly Said[], changes: Parameters<typeof assessmentOf>[1] = {}) =>
  repairOf(assessmentOf(said, changes));
export const alder = () => repairOf(assess(demoInspection('alder-bend')));
