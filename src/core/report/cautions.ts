import { cautionsOfWork, UTILITY_CAUTION } from '../cautions';
import type { Assessment } from '../judge/assessment';

/** The cautions that belong to this report, each once. */
export function composeCautions(assessment: Assessment): string[] {
  return [
    ...cautionsOfWork(assessment).map((caution) =>
      caution === UTILITY_CAUTION ? `${caution.about}. ${caution.text}` : caution.text,
    ),
    'A camera sees the inside of the pipe only, on the day it was there.',
  ];
}
