import { isDay } from '../base/day';
import { materialOf } from '../catalogue/materials/kinds';
import type { Assessment } from '../judge/assessment';
import type { Block } from './block';
import { sayLongDay } from './calendar';

const HISTORY_WORDS = {
  cleaned: 'Cleaned',
  repaired: 'Repaired',
  lined: 'Lined',
  permit: 'Permit',
  backup: 'Backed up',
} as const;

const when = (on: string) => (isDay(on) ? sayLongDay(on) : on);

/** What others said of the line: told as told, and not as seen. */
export function composeTold({ inspection: { job, property } }: Assessment): Block[] {
  const items = [
    ...(job.complaint ? [`The complaint: “${job.complaint}”`] : []),
    ...(property.history ?? []).map(({ what, on, note }) => {
      const at = on ? `, ${when(on)}` : '';
      return `${HISTORY_WORDS[what]}${at}${note === '' ? '' : `: “${note}”`}.`.replace(
        /([.!?]”)\.$/,
        '$1',
      );
    }),
    ...(job.localRules ?? []).map(
      ({ material, says }) => `Local rule on ${materialOf(material).buyerName}: “${says}”`,
    ),
  ];
  return items.length === 0
    ? []
    : [{ kind: 'list', title: 'What we were told', items, isRecord: true }];
}
