import { cautionsOfWork, UTILITY_CAUTION } from '../cautions';
import type { Derived } from '../derive';

/** The cautions that belong to this report, each once. */
export function composeCautions(derived: Derived): string[] {
  return [
    ...cautionsOfWork(derived).map((caution) =>
      caution === UTILITY_CAUTION ? `${caution.about}. ${caution.text}` : caution.text,
    ),
    'A camera sees the inside of the pipe only, on the day it was there.',
  ];
}
