import { type Backups, USUAL_BACKUPS } from '#core/office/backups';
import { minutesOf, timeOfMin } from '../time';

/** How backups are made, as the form holds it: the time as `HH:MM`, empty where nobody said. */
export type BackupsFields = { at: string; days: number; leavesBuckets: boolean };

export const backupsToFields = ({ atMin, ...rest }: Backups = USUAL_BACKUPS): BackupsFields => ({
  at: atMin === null ? '' : timeOfMin(atMin),
  ...rest,
});

export const backupsFromFields = ({ at, ...rest }: BackupsFields): Backups => ({
  atMin: at === '' ? null : minutesOf(at),
  ...rest,
});
