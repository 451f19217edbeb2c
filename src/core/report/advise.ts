import type { Finding } from '../judge/finding';
import type { DefectKind } from '../log/vocabulary';

const REPAIR: Partial<Record<DefectKind, string>> = {
  'standing-water':
    'Only digging up this stretch and laying it to the right fall cures it. A liner would keep the dip.',
  roots: 'Have the roots cleared and the wall looked at again, then repair this spot.',
  'wall-loss': 'Replace or line this stretch. Do not have it scraped: that finishes thin pipe.',
  collapse: 'Have this stretch dug up and replaced.',
};

const UPKEEP: Partial<Record<DefectKind, string>> = {
  roots: 'Have the roots cut or jetted, and keep doing so: they come back.',
  scale: 'Have the line descaled and looked at again.',
  grease: 'Have the line jetted, and keep grease out of the drain.',
  debris: 'Have the line flushed and see whether the waste comes back.',
  mineral: 'Have the deposit removed and look again.',
  'standing-water': 'Clear the edge that holds the water, then look again before anyone digs.',
};

/** What the buyer should do about a finding; every finding ends in advice or in a reason for none. */
export function adviseFinding(finding: Finding): string {
  if (finding.kind === 'utility-crossing') {
    return 'Do not cut or jet this line. Call the utility and the utility-locating service now.';
  }
  switch (finding.action) {
    case 'none':
      return finding.ourDoing ? 'No work now, because this inspection caused it.' : 'No work now.';
    case 'monitor':
      return 'No work now. Look again when the line is next opened.';
    case 'upkeep':
      return UPKEEP[finding.kind] ?? 'Have it cleaned and looked at again.';
    case 'look-again':
      return lookAgain(finding);
    case 'urgent':
      return 'Call a licensed drain contractor now. Use as little water as you can until it is mended.';
    case 'repair':
      return REPAIR[finding.kind] ?? 'Have a licensed drain contractor repair it.';
  }
}

function lookAgain(finding: Finding): string {
  if (finding.kind === 'standing-water' && !finding.verified) {
    return 'Have the line drained and looked at again before anyone judges it.';
  }
  const settledBy = finding.causes[0]?.settledBy;
  if (settledBy) return `Two causes are possible. To tell: ${settledBy}.`;
  return 'Have the line cleaned and looked at again before you decide.';
}
