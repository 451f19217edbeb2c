import type { CalloutContext } from '../speech/draft';
import { parseCallout } from '../speech/parse';

/** Out on the way at 20 ft in 4 in pipe, with nothing open. */
export const calloutContext = (changes: Partial<CalloutContext> = {}): CalloutContext => ({
  counterFt: 20,
  pass: 'out',
  boreHereIn: 4,
  standing: [],
  openIds: new Set(),
  ...changes,
});

/** What a call-out is understood as there. */
export const draftsOf = (text: string, changes: Partial<CalloutContext> = {}) =>
  parseCallout(text, calloutContext(changes))!.drafts;
export const firstDraft = (text: string, changes: Partial<CalloutContext> = {}) =>
  draftsOf(text, changes)[0]!;
