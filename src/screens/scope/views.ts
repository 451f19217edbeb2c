import { lazy } from 'react';

// What is looked at in place of the tape is fetched when it is.
export const BeforeLeave = lazy(async () => ({
  default: (await import('./BeforeLeave')).BeforeLeave,
}));
export const FindingsSoFar = lazy(async () => ({
  default: (await import('./FindingsSoFar')).FindingsSoFar,
}));
export const LogList = lazy(async () => ({ default: (await import('./LogList')).LogList }));
