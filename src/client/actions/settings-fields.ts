import type { Preferences } from '#core/site/equipment';
import type { BackupsFields } from './backups-fields';
import type { HoursFields } from './hours-fields';
import type { JudgementFields } from './judgement-fields';

type Skid = { readonly name: string };
/** Settings as the form holds them. */
export type SettingsFields = Omit<
  Preferences,
  'equipment' | 'judgement' | 'priceBooks' | 'firm' | 'hours' | 'backups'
> & {
  equipment: Omit<Preferences['equipment'], 'skids'> & { skids: Skid[] };
  judgement: JudgementFields;
  hours: HoursFields;
  backups: BackupsFields;
};

/** How a form reads a number that may be left empty, or was never said. */
export const MAYBE_NUMBER = {
  setValueAs: (said: string | number | null | undefined) =>
    said === '' || said === null || said === undefined ? undefined : Number(said),
};
