import { pageOf } from '../catalogue/defects/kinds';
import type { Reason } from '../catalogue/severity/grade';
import type { Finding } from './finding';

/** Why a finding with no action has none, to follow "No action, because". */
function whyNone({ ourDoing, kind, because }: Finding): string {
  if (ourDoing) return 'this inspection caused it';
  if (kind === 'material') return 'it says what to plan for, and is no fault by itself';
  return because.at(-1)?.text ?? 'nothing calls for any';
}

/** What to do about a finding by its action alone; rules add what is particular to it. */
export function adviseByAction(finding: Finding): Reason {
  const said = (text: string): Reason => ({ rule: `advice-${finding.action}`, text });
  if (finding.kind === 'utility-crossing') {
    return said(
      'Do not cut or jet this line. Call the utility and the utility-locating service now.',
    );
  }
  switch (finding.action) {
    case 'none':
      return said(`No action, because ${whyNone(finding).replace(/\.$/, '')}.`);
    case 'monitor':
      return said('No work now. Look again when the line is next opened.');
    case 'upkeep':
      return said(pageOf(finding.kind)?.upkeep ?? 'Have it cleaned and looked at again.');
    case 'look-again':
      return said(lookAgain(finding));
    case 'urgent':
      return said(
        'Call a licensed drain contractor now. Use as little water as you can until it is repaired.',
      );
    case 'repair':
      return said(pageOf(finding.kind)?.repair ?? 'Have a licensed drain contractor repair it.');
  }
}

function lookAgain(finding: Finding): string {
  const unverified = finding.provisos.some(({ rule }) => rule === 'water-unverified');
  if (finding.kind === 'standing-water' && unverified) {
    return 'Have the line drained and looked at again before anyone judges it.';
  }
  const [first] = finding.causes;
  if (first) return `More than one cause is possible. To tell: ${first.settledBy}.`;
  return 'Have the line cleaned and looked at again before anyone decides.';
}
