import { ulid } from 'ulid';
import { localInstant } from '#client/time';
import type { Entry, EntryDraft } from '#core/model/log/entry';
import type { StillMeasure } from '#core/model/log/still-measure';
import type { Measured } from '#core/still/measure';
import { revised } from './entries';

/** Who looks, and when. */
export type Looker = {
  readonly by: string;
  readonly nowMs: number;
  /** Whether it was said to the recording when that was made, and is only written down now. */
  readonly isHeard?: boolean;
};

/** A moment of a recording; without its start nobody knows when that was. */
export type Watched = { readonly startedAt: string | undefined; readonly atMs: number };

const lookOf = ({ by, nowMs, isHeard }: Looker) => ({
  by,
  at: localInstant(new Date(nowMs)),
  ...(isHeard ? { heard: true } : {}),
});

/**
 * Entries of what is seen when a recording is looked at again: as of the moment that it shows, for that is
 * when the water stood so and the camera was there; with who saw it then, and when. Where nobody said when the
 * recording began they are as of now. Several of one moment keep their order.
 */
export function entriesAgain(
  drafts: readonly EntryDraft[],
  { startedAt, atMs }: Watched,
  looker: Looker,
): Entry[] {
  const seenMs = startedAt === undefined ? looker.nowMs : Date.parse(startedAt) + Math.round(atMs);
  return drafts.map((draft, index) => ({
    ...draft,
    id: ulid(),
    at: localInstant(new Date(seenMs + index)),
    secondLook: lookOf(looker),
  }));
}

/** A correction by a second look: of an entry, with what is different now. */
export const corrected = (
  entry: Entry,
  more: Readonly<Record<string, unknown>>,
  looker: Looker,
): EntryDraft => revised(entry, { ...more, secondLook: lookOf(looker) });

/** The fields of an entry that a measure gives. */
export function sizesOf(measured: Measured): Readonly<Record<string, number>> {
  const to = (value: number, digits: number) => Number(value.toFixed(digits));
  switch (measured.what) {
    case 'fill':
      return { fillRatio: to(measured.ratio, 2) };
    case 'share':
    case 'across':
      return { extentRatio: to(measured.ratio, 2) };
    case 'clock':
      return { clockFrom: measured.clockFrom, clockTo: measured.clockTo };
    default: {
      const field = `${measured.what}In`;
      return measured.sizeIn === null ? {} : { [field]: to(measured.sizeIn, 2) };
    }
  }
}

/**
 * The correction that writes a measure into a defect: its size, that it was measured, what was touched, and
 * the still it was touched on. A size by eye or by a word that it takes the place of is let go.
 */
export function measuredDraft(
  entry: Entry & { readonly kind: 'defect' },
  measure: StillMeasure,
  measured: Measured,
  looker: Looker,
): EntryDraft {
  const others = (entry.measures ?? []).filter(({ what }) => what !== measure.what);
  const photoIds = [...new Set([...(entry.photoIds ?? []), measure.photoId])];
  const isSize = measured.what !== 'clock';
  return corrected(
    entry,
    {
      ...sizesOf(measured),
      // What was said in inches by eye is not what stands beside a share that was measured.
      ...(measured.what === 'fill' ? { depthIn: undefined } : {}),
      ...(isSize ? { sizeBasis: 'measured', sizeWord: undefined } : {}),
      measures: [...others, measure],
      photoIds,
    },
    looker,
  );
}
