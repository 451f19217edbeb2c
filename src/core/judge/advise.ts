import type { Reason } from './grade';
import type { Finding, FindingKind } from './finding';

const UPKEEP: Partial<Record<FindingKind, string>> = {
  roots: 'Have the roots cut or jetted.',
  scale: 'Have the line descaled and looked at again.',
  grease: 'Have the line jetted, and keep grease out of the drain.',
  debris: 'Have the line flushed and see whether the waste comes back.',
  mineral: 'Have the deposit removed and look again.',
  'standing-water': 'Clear the edge that holds the water, then look again before anyone digs.',
};

const REPAIR: Partial<Record<FindingKind, string>> = {
  roots: 'Have the roots cleared and this spot repaired.',
  collapse: 'Have this stretch dug up and replaced.',
};

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
      return said(UPKEEP[finding.kind] ?? 'Have it cleaned and looked at again.');
    case 'look-again':
      return said(lookAgain(finding));
    case 'urgent':
      return said(
        'Call a licensed drain contractor now. Use as little water as you can until it is mended.',
      );
    case 'repair':
      return said(REPAIR[finding.kind] ?? 'Have a licensed drain contractor repair it.');
  }
}

function lookAgain(finding: Finding): string {
  const unverified = finding.provisos.some(({ rule }) => rule === 'water-unverified');
  if (finding.kind === 'standing-water' && unverified) {
    return 'Have the line drained and looked at again before anyone judges it.';
  }
  const [first] = finding.causes;
  if (first) return `More than one cause is possible. To tell: ${first.settledBy}.`;
  return 'Have the line cleaned and looked at again before you decide.';
}
