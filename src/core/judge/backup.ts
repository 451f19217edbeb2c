import type { RunAxis } from '../measure/placement';

/** Whether a fixture's water backed up in any of these runs. */
export function hasBackup(axes: readonly RunAxis[]): boolean {
  return axes.some((axis) =>
    axis.log.standing.some((entry) => entry.kind === 'flow-test' && entry.result === 'backs-up'),
  );
}
