import type { RunAxis } from '../measure/placement';

/** Whether a fixture's water backed up, and whether this inspection may have made it. */
export type Backup = 'no' | 'by-itself' | 'after-ours';

/**
 * Whether a fixture's water backed up in any of these runs. Where this inspection had moved something in the
 * same run before, the backup may be of its making and says nothing of the house.
 */
export function hasBackup(axes: readonly RunAxis[]): Backup {
  let found: Backup = 'no';
  for (const { log } of axes) {
    let isAfterOurs = false;
    for (const entry of log.standing) {
      if (entry.kind === 'defect' && entry.ourDoing === true) isAfterOurs = true;
      if (entry.kind !== 'flow-test' || entry.result !== 'backs-up') continue;
      if (!isAfterOurs) return 'by-itself';
      found = 'after-ours';
    }
  }
  return found;
}
