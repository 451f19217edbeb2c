import { anotherThing } from './another-thing';
import type { RunCause, SightingCause } from './cause';
import { dropForgotten } from './drop-forgotten';
import { droppedDigit } from './dropped-digit';
import { soundAlike } from './sound-alike';
import { swappedDigits } from './swapped-digits';
import { wrongFacing } from './wrong-facing';

/** What a single sighting may be, the likeliest first. */
export const SIGHTING_CAUSES: readonly SightingCause[] = [
  anotherThing,
  swappedDigits,
  soundAlike,
  droppedDigit,
];

/** What a whole run may be. */
export const RUN_CAUSES: readonly RunCause[] = [wrongFacing, dropForgotten];
