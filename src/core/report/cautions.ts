import type { Derived } from '../derive';

/** The cautions that belong to this report, each once. */
export function composeCautions(derived: Derived): string[] {
  const { findings, lateral } = derived;
  const has = (kind: (typeof findings)[number]['kind']) => findings.some((f) => f.kind === kind);
  const mayDig = findings.some(({ action }) => action === 'repair' || action === 'urgent');
  const asbestos = lateral.segments.some(({ material }) => material === 'asbestos-cement');
  return [
    'Local codes and licensed practice govern. The advice here is for planning.',
    ...(has('utility-crossing')
      ? [
          'Another utility runs through the sewer. Stop all work in the pipe. A gas line cut by a drain machine kills.',
        ]
      : []),
    ...(mayDig
      ? [
          'Before anyone digs: have the utilities marked. Deep trenches need protection by a competent person.',
        ]
      : []),
    ...(asbestos
      ? ['Asbestos cement pipe must not be cut, ground or burst without licensed abatement.']
      : []),
    'A camera sees the inside of the pipe only, on the day it was there.',
  ];
}
