import type { Lift } from './lift';

const NOW_CALLED: Readonly<Record<string, string>> = {
  'upstream-end': 'house-end',
  'mid-line': 'along',
  'downstream-end': 'near-street',
};

/** Where an access leads in was told by a run's ends, which a second run may move; it is told by the house and the street. */
export const accessAlongLine: Lift = {
  record: 'access-point',
  since: '2026-11',
  lift: ({ along, ...kept }) => {
    const alongLine = typeof along === 'string' ? NOW_CALLED[along] : undefined;
    return alongLine === undefined || 'alongLine' in kept ? kept : { ...kept, alongLine };
  },
  isOld: (record) => 'along' in record,
};
