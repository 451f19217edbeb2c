import { key, listOf, object, oneOf, shaped } from '../../base/shape';
import type { EntryTie, EntryWords } from '../log/entry-words';
import type { FoldedLog } from '../log/fold';
import type { Decision } from './inspection';

/** Entries that the inspector says are one thing, or are not. */
export type SightingsDecision = Decision & {
  readonly kind: 'join-sightings' | 'split-sightings';
  readonly sightings: readonly { readonly runId: string; readonly entryId: string }[];
};

/** A tie that Chert offered and the inspector did not want; `key` names the things it would tie. */
export type DropSuggestionDecision = Decision & {
  readonly kind: 'drop-suggestion';
  readonly key: string;
};

const isSightings = shaped<SightingsDecision>({
  kind: oneOf(['join-sightings', 'split-sightings']),
  sightings: listOf(object({ runId: key, entryId: key }), 2),
});

/** The decisions over what is one thing and what is two. Others, and malformed ones, are left alone. */
export function listSightingsDecisions(decisions: readonly Decision[]): SightingsDecision[] {
  return decisions.filter(isSightings);
}

/** Keys of the suggestions that were dropped. */
export function listDroppedSuggestions(decisions: readonly Decision[]): ReadonlySet<string> {
  return new Set(
    decisions.flatMap((decision) => {
      const key = decision['key'];
      return decision.kind === 'drop-suggestion' && typeof key === 'string' ? [key] : [];
    }),
  );
}

/** What ties and decisions say of the entries of one run; corrections are followed along the chain. */
export function readEntryWords(
  decisions: readonly SightingsDecision[],
  runId: string,
  log: FoldedLog,
  tieOf: (entryId: string) => EntryTie | null,
): EntryWords {
  const bonds = new Map<string, string[]>();
  const rifts = new Map<string, string[]>();
  for (const { id: decisionId, kind, sightings } of decisions) {
    const said = kind === 'join-sightings' ? bonds : rifts;
    for (const sighting of sightings) {
      if (sighting.runId !== runId) continue;
      for (const heir of log.heirsOf(sighting.entryId)) {
        said.set(heir.id, [...(said.get(heir.id) ?? []), decisionId]);
      }
    }
  }
  const none: readonly string[] = [];
  return {
    tieOf,
    bondsOf: (entryId) => bonds.get(entryId) ?? none,
    riftsOf: (entryId) => rifts.get(entryId) ?? none,
  };
}
