import {
  AIDS,
  CLEANED_BEFORE,
  type Facing,
  type WaterAtStart,
  ZERO_PLACES,
} from '../../catalogue/vocabulary';
import type { Entry } from '../log/entry';
import type { Recording } from './recording';

/** One camera push from one access, facing one way, with one zero. */
export type Run = {
  readonly id: string;
  /** What people call it ("R2"); absent: its id. */
  readonly label?: string;
  readonly accessPointId: string;
  readonly lineId?: string;
  readonly facing: Facing;
  readonly zero: {
    readonly at: (typeof ZERO_PLACES)[number];
    readonly readingFt: number;
    /** Vertical drop from the rim to the pipe, feet; deducted when the zero is at the rim. */
    readonly dropFt: number;
  };
  readonly cleanedBefore: (typeof CLEANED_BEFORE)[number];
  /** What water ran when the camera went in; absent: nobody said. */
  readonly waterAtStart?: WaterAtStart;
  readonly head?: string;
  readonly aid: (typeof AIDS)[number];
  readonly headLevels?: boolean;
  readonly outcome?: 'done' | 'abandoned';
  readonly recordings?: readonly Recording[];
  readonly entries: readonly Entry[];
};
