import { accessOf } from './catalogue/access/kinds';
import { type Caution } from './catalogue/caution';
import { zoneOf } from './catalogue/zones';
import type { Assessment } from './judge/assessment';
import type { AccessPoint } from './model/job/access-point';
import type { Inspection } from './model/job/inspection';
import { foldLog } from './model/log/fold';

/** For every opening there is. */
const ALWAYS: readonly Caution[] = [
  {
    about: 'Cap',
    text: 'Never force it. Open slowly and stand clear: a line under pressure spills.',
  },
  { about: 'Sewage and gas', text: 'Gloves, eye cover, wash. No flame; let the opening air.' },
  { about: 'Camera', text: 'A stuck head is not forced.' },
];

/** The cautions for one opening: its own first, then those of every opening, each once. */
export function cautionsFor(access: Pick<AccessPoint, 'kind' | 'zone'>): Caution[] {
  const own = [accessOf(access.kind).caution, access.zone && zoneOf(access.zone).caution];
  return [...own.filter((caution) => caution !== undefined), ...ALWAYS];
}

/** What stands over everything once another utility was seen through the sewer. */
export const UTILITY_CAUTION: Caution = {
  about: 'Another utility runs through the sewer',
  text: 'Stop and pull back. Do not cut or jet. Call the utility and the utility-locating service. A gas line cut by a drain machine kills.',
};

/** Where another utility was seen through the sewer, run by run; empty when none stands in the log. */
export function findUtilitiesThrough({
  runs,
}: Pick<Inspection, 'runs'>): { readonly runId: string; readonly readingFt: number | null }[] {
  return runs.flatMap(({ id, label = id, entries }) => {
    if (!entries.some((entry) => entry.kind === 'defect' && entry.defect === 'utility-crossing')) {
      return [];
    }
    return foldLog(entries).standing.flatMap((entry) =>
      entry.kind === 'defect' && entry.defect === 'utility-crossing'
        ? [{ runId: label, readingFt: entry.readingFt }]
        : [],
    );
  });
}

/** The cautions that belong to what was found, each once: the ones that govern first. */
export function cautionsOfWork(assessment: Pick<Assessment, 'findings' | 'lateral'>): Caution[] {
  const { findings, lateral } = assessment;
  const mayDig = findings.some(({ action }) => action === 'repair' || action === 'urgent');
  const isAsbestos = lateral.segments.some(({ material }) => material === 'asbestos-cement');
  return [
    {
      about: 'Codes',
      text: 'Local codes and licensed practice govern. The advice here is for planning.',
    },
    ...(findings.some(({ kind }) => kind === 'utility-crossing') ? [UTILITY_CAUTION] : []),
    ...(mayDig
      ? [
          {
            about: 'Digging',
            text: 'Before anyone digs: have the utilities marked. Deep trenches need protection by a competent person.',
          },
        ]
      : []),
    ...(isAsbestos
      ? [
          {
            about: 'Asbestos cement',
            text: 'Pipe of asbestos cement must not be cut, ground or burst without licensed abatement.',
          },
        ]
      : []),
  ];
}
