import { sayList } from '../../../base/numbers';
import { reason } from '../conclusion';
import type { Rule } from '../rule';

export const complaintAnswered: Rule = {
  number: 72,
  id: 'complaint-answered',
  when: 'the look was asked for because of a complaint',
  then: 'say what was seen that may explain it, or that nothing did',
  because: 'who complains wants to know whether this was it',
  conclude: (scene) => {
    const { job, runs } = scene.inspection;
    if (job.purpose !== 'complaint' || runs.length === 0) return [];
    const told = job.complaint ? ` (“${job.complaint}”)` : '';
    const found = scene.findings.filter(
      ({ severity, ourDoing, kind }) =>
        !ourDoing && kind !== 'residue-line' && severity !== 'slight',
    );
    const list = sayList(found.map(({ number }) => String(number)));
    return [
      reason(
        null,
        found.length > 0
          ? `The complaint${told} may be explained by finding${found.length > 1 ? 's' : ''} ${list}.`
          : `Nothing that was seen explains the complaint${told}.`,
      ),
    ];
  },
};
