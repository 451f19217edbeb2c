import type { Zone } from '../catalogue/zones';
import { type AccessPoint, troubleOf } from '../model/job/access-point';
import type { Inspection } from '../model/job/inspection';
import { labelOf } from '../model/job/labels';
import type { Lateral } from './lateral';

/** A cleanout of the house: one that was seen from outside, or found from inside by the camera. */
export type CleanoutFound = {
  /** As people call it ("access B", "the cleanout at 40 ft"). */
  readonly name: string;
  readonly place: string;
  readonly diameterIn: number | null;
  readonly zone: Zone | null;
  readonly lineId: string | null;
  /** `null` where no run tells. */
  readonly stationFt: number | null;
  readonly state: 'usable' | 'buried' | 'refused' | 'inferred';
};

const KINDS: readonly AccessPoint['kind'][] = [
  'cleanout',
  'two-way-cleanout',
  'stack-cleanout',
  'property-line-cleanout',
  'yard-riser',
];
/** An access and a fitting this near to one another are one opening, feet. */
const ONE_OPENING_FT = 3;

function fromOutside({ accessPoints }: Inspection, laterals: readonly Lateral[]): CleanoutFound[] {
  return accessPoints
    .filter(({ kind }) => KINDS.includes(kind))
    .map((access) => {
      const trouble = troubleOf(access);
      const lateral = laterals.find(({ axes }) =>
        axes.some(({ run }) => run.accessPointId === access.id),
      );
      const axis = lateral?.axes.find(({ run }) => run.accessPointId === access.id);
      return {
        name: `access ${labelOf(access)}`,
        place: access.place,
        diameterIn: access.diameterIn,
        zone: access.zone ?? null,
        lineId: lateral?.lineId ?? null,
        stationFt: axis?.originFt ?? null,
        state: trouble === 'buried' ? 'buried' : access.usable ? 'usable' : 'refused',
      };
    });
}

function fromInside(
  laterals: readonly Lateral[],
  known: readonly CleanoutFound[],
): CleanoutFound[] {
  return laterals.flatMap(({ lineId, features, axes }) =>
    features
      .filter(({ feature }) => feature === 'cleanout' || feature === 'property-line-cleanout')
      .filter(
        ({ stationFt }) =>
          !known.some(
            (one) =>
              one.lineId === lineId &&
              one.stationFt !== null &&
              Math.abs(one.stationFt - stationFt) <= ONE_OPENING_FT,
          ),
      )
      .map(({ stationFt, isPlaceUnsaid, entryIds }): CleanoutFound => {
        const entries = axes.flatMap(({ log }) => entryIds.flatMap((id) => log.byId.get(id) ?? []));
        const isSure = entries.some(({ certainty = 'confirmed' }) => certainty === 'confirmed');
        return {
          name: 'the cleanout found from inside',
          place: 'found from inside the pipe',
          diameterIn: null,
          zone: null,
          lineId,
          stationFt: isPlaceUnsaid ? null : stationFt,
          state: isSure ? 'usable' : 'inferred',
        };
      }),
  );
}

/** Every cleanout that is known of, and whether a tool can be brought in by it: the one owner of that fact. */
export function listCleanouts(
  inspection: Inspection,
  laterals: readonly Lateral[],
): CleanoutFound[] {
  const outside = fromOutside(inspection, laterals);
  return [...outside, ...fromInside(laterals, outside)];
}
