import { sayFt, sayList } from '../../base/numbers';
import type { Lateral } from '../../lateral/lateral';
import type { Misfit } from '../../measure/join/misfits';
import type { Link } from '../../measure/join/network';
import type { Check } from '../check';

/** A tie that the others contradict, or a run whose counter would have to be badly out. */
export const tieMisfit: Check = {
  code: 'tie-misfit',
  level: 'blocker',
  stand: 'desk',
  find: ({ laterals }) =>
    laterals.flatMap((lateral) => [
      ...lateral.join.misfits.map((misfit) => ({
        message: sayMisfit(misfit),
        action: misfit.explanations[0]?.text ?? 'Look at both sightings; move or drop the tie.',
        ...whoseOf(misfit.links),
      })),
      ...strainedRuns(lateral),
    ]),
};

/** A tie or a tape by name: "tie T1 (property-line cleanout)". */
export function nameLink(link: Link): string {
  return link.kind === 'tie'
    ? `tie ${link.id} (${link.label})`
    : `the tape from ${link.fromName} to ${link.toName}`;
}

/** Says what does not fit, by how much, and whether Chert can tell which it is. */
export function sayMisfit({ links, offFt, sigmaFt }: Misfit): string {
  const off = `${sayFt(Math.abs(offFt))} ft`;
  const [first, ...rest] = links.map(nameLink);
  const subject = first!.charAt(0).toUpperCase() + first!.slice(1);
  if (rest.length === 0) {
    return `${subject} does not fit: it lies ${off} from where the others put it (± ${sayFt(sigmaFt)}).`;
  }
  return `${sayList([subject, ...rest])} disagree by ${off} (± ${sayFt(sigmaFt)}). With only these, nobody can say which is wrong.`;
}

function whoseOf(links: readonly Link[]) {
  const sightings = links.flatMap((link) => (link.kind === 'tie' ? link.sightings : []));
  return {
    runIds: [...new Set(sightings.map(({ runId }) => runId))],
    entryIds: [...new Set(sightings.map(({ entryId }) => entryId))],
  };
}

function strainedRuns({ join }: Lateral) {
  return join.strained.map(({ runId, name, scale }) => {
    const percent = sayFt(Math.abs(scale - 1) * 100);
    const long = scale < 1 ? 'long' : 'short';
    return {
      message: `Run ${name} would have to count ${percent}% too ${long} for its ties to fit: more than a counter slips.`,
      action: 'Check its ties, its zero and the way it faced.',
      runIds: [runId],
      entryIds: join.ties.flatMap(({ sightings }) =>
        sightings.flatMap((one) => (one.runId === runId ? [one.entryId] : [])),
      ),
    };
  });
}
