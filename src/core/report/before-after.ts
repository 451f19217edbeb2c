import { roundTo } from '../base/numbers';
import { buyerWordsOf } from '../catalogue/defects/kinds';
import { materialOf } from '../catalogue/materials/kinds';
import { compareLooks, type Fate } from '../comparison/compare-looks';
import type { Assessment } from '../judge/assessment';
import type { Block } from './block';
import { dayOf, sayLongDay } from './calendar';
import { sayPlace } from './place';
import { SEVERITY_WORDS } from './words';

function sayFate(fate: Fate): string {
  switch (fate.fate) {
    case 'there':
      return fate.now.severity === fate.was.severity
        ? `Still there, as finding ${fate.now.number}.`
        : `Still there, as finding ${fate.now.number}: now ${fate.now.severity}.`;
    case 'gone':
      return fate.pipe
        ? `Repaired: ${fate.pipe.lined ? 'the pipe is lined' : `${materialOf(fate.pipe.material).buyerName} lies`} there now.`
        : 'Not there any more. The place was seen.';
    case 'unproven':
      return fate.because === 'no-water'
        ? 'Not proved: no water was run and drained, so a low stretch would not show.'
        : 'Not proved: the place was not seen this time.';
  }
}

/** How this look stands against an earlier one of the same line: what is repaired, what is new, what is proved. */
export function composeBeforeAfter(before: Assessment, after: Assessment): readonly Block[] {
  const { alignment, fates, fresh } = compareLooks(before, after);
  const earlier = sayLongDay(dayOf(before.inspection.job.scheduledFor));
  const count = (fate: Fate['fate']) => fates.filter((one) => one.fate === fate).length;
  const laid =
    alignment.count === 0
      ? 'Nothing lasting was seen in both looks, so the footages were taken as they are.'
      : `The looks were laid over each other by ${alignment.count === 1 ? 'one thing' : `${alignment.count} things`} seen in both; the footages differ by ${roundTo(Math.abs(alignment.offsetFt), 1)} ft.`;
  return [
    {
      kind: 'table',
      title: `Before and after: since ${earlier}`,
      head: ['No. then', 'Found then', 'Where', 'Grade then', 'Now'],
      rows: fates.map((fate) => [
        String(fate.was.number),
        buyerWordsOf(fate.was.kind).name,
        sayPlace(fate.was, before.names),
        SEVERITY_WORDS[fate.was.severity],
        sayFate(fate),
      ]),
      numeric: [0],
      notes: [
        `${count('gone')} of ${fates.length} are gone, ${count('there')} still there, ${count('unproven')} not proved.`,
        ...(fresh.length > 0
          ? [
              `New since then: ${fresh.map((one) => `${buyerWordsOf(one.kind).name.toLowerCase()} ${sayPlace(one, after.names)} (finding ${one.number})`).join('; ')}.`,
            ]
          : ['Nothing new was found.']),
        laid,
      ],
    },
  ];
}
