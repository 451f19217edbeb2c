import type { Preferences } from '#core/site/equipment';
import type { HoursFields } from './hours-fields';
import type { JudgementFields } from './judgement-fields';

type Skid = { readonly name: string };
/** Settings as the form holds them. */
export type SettingsFields = Omit<
  Preferences,
  'equipment' | 'judgement' | 'priceBooks' | 'firm' | 'hours'
> & {
  equipment: Omit<Preferences['equipment'], 'skids'> & { skids: Skid[] };
  judgement: JudgementFields;
  hours: HoursFields;
};
