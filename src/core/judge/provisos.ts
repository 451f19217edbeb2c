import type { Certainty, WaterState } from '../catalogue/vocabulary';
import type { WaterCheck } from '../measure/water';
import type { Proviso } from './finding';

/** What of a finding itself may still change it. */
export type OpenFacts = {
  readonly missing: string | null;
  readonly certainty: Certainty;
  /** What the water did when standing water was seen; `null` of anything else. */
  readonly water: WaterCheck | null;
  readonly stillOpen: boolean;
  readonly placed: boolean;
};

/** How standing water was seen, where nobody can say that it stands. */
export const SEEN_WHILE: Record<WaterState | 'unsaid', string> = {
  running: 'seen while water was running',
  draining: 'seen while the line was still draining',
  drained: 'seen after the line had drained',
  none: 'seen with no water running',
  unsaid: 'nobody said whether water was running when it was seen',
};

/** Why a finding may still change, from its own facts; each vanishes with the look that settles it. */
export function listProvisos(facts: OpenFacts): Proviso[] {
  const { missing, certainty } = facts;
  const said: (Proviso | null)[] = [
    missing === null
      ? null
      : { rule: 'size-missing', text: `${missing} was not logged`, settledBy: `log ${missing}` },
    certainty === 'suspected'
      ? {
          rule: 'suspected',
          text: 'suspected, not confirmed',
          settledBy: 'look a second time, and log it as confirmed or take it back',
        }
      : null,
    certainty === 'cannot-tell'
      ? {
          rule: 'cannot-tell',
          text: 'it could not be told for certain',
          settledBy: 'clean, look again, and log what it is',
        }
      : null,
    facts.water === null || facts.water.verified
      ? null
      : {
          rule: 'water-unverified',
          text: SEEN_WHILE[facts.water.state ?? 'unsaid'],
          settledBy: 'drain the line and look again',
        },
    facts.stillOpen
      ? {
          rule: 'stretch-open',
          text: 'where it ends was not logged',
          settledBy: 'log its other end',
        }
      : null,
    facts.placed
      ? null
      : {
          rule: 'run-unplaced',
          text: 'its run is not joined to the rest, so its place is not known',
          settledBy: 'tie the run to another',
        },
  ];
  return said.filter((proviso) => proviso !== null);
}
