import { memoOfBoth } from '../../base/memo';
import type { Inspection } from '../job/inspection';
import type { Firm } from './firm';

/** A job with who signs its report: what it keeps itself, else the firm as it is today. */
export function withFirm(inspection: Inspection, firm: Firm | undefined): Inspection {
  return firm === undefined || inspection.settings.firm !== undefined
    ? inspection
    : signedBy(inspection, firm);
}

const signedBy = memoOfBoth((inspection: Inspection, firm: Firm): Inspection => ({
  ...inspection,
  settings: { ...inspection.settings, firm },
}));
