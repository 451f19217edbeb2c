import type { Property } from '../../model/job/property';
import type { Run } from '../../model/job/run';
import type { CalloutContext, Reading } from '../draft';
import type { Sheet } from '../sheet';
import type { Term } from '../terms';

/** What is known of the run, the job or the house by being told, and is no entry of the log. */
export type ToldFacts = {
  readonly run?: {
    readonly cleanedBefore?: Run['cleanedBefore'];
    readonly waterAtStart?: NonNullable<Run['waterAtStart']>;
    /** Where the counter was set, where that was said, and to what, feet. */
    readonly zero?: Partial<Pick<Run['zero'], 'at'>> & Pick<Run['zero'], 'readingFt'>;
  };
  readonly property?: Partial<Pick<Property, 'yearBuilt' | 'occupancy' | 'history'>>;
};

/** What was told piece by piece, as one: history is added to, all else is as it was said last. */
export const joinFacts = (list: readonly ToldFacts[]): ToldFacts =>
  list.reduce<ToldFacts>((joined, { run, property }) => {
    const history = [...(joined.property?.history ?? []), ...(property?.history ?? [])];
    return {
      ...joined,
      ...(run ? { run: { ...joined.run, ...run } } : {}),
      ...(property
        ? {
            property: {
              ...joined.property,
              ...property,
              ...(history.length > 0 ? { history } : {}),
            },
          }
        : {}),
    };
  }, {});

/** What a clause says. */
export type Statement = Reading & {
  readonly facts?: ToldFacts;
  /** Whether a footage was said, and not left to the counter. */
  readonly isPlaced: boolean;
  /** Meant as nothing for the log: a plan, an aim, a remark. */
  readonly isAside?: true;
};

/** One clause as it is read: its words, a sheet on them, and what is known of the run. */
export type Clause = {
  /** The whole line: places of terms are places in it. */
  readonly text: string;
  /** The clause's own words. */
  readonly words: string;
  readonly terms: readonly Term[];
  readonly context: CalloutContext;
  readonly open: (terms?: readonly Term[]) => Sheet;
};

export const has = (terms: readonly Term[], tag: string, meaning?: string): boolean =>
  terms.some(
    ({ senses }) => senses[tag] !== undefined && (meaning === undefined || senses[tag] === meaning),
  );

/** A term that no frame reads any more; its words stay, for the note. */
export const masked = (term: Term): Term => ({ ...term, kind: 'word', senses: {}, amount: null });
/** A term that was understood and carries nothing further. */
export const spent = (term: Term): Term => ({
  ...term,
  kind: 'word',
  senses: { idle: 'idle' },
  amount: null,
});

export const ASIDE: Statement = { drafts: [], missing: [], isPlaced: false, isAside: true };
