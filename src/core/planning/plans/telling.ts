import type { MethodId } from '../../catalogue/method-ids';
import type { Finding } from '../../judge/finding';
import { jet } from '../methods/jet';
import { bedOf, type Site } from '../site';
import { canBeMet, whyNotOver } from '../ways';
import type { WorkDraft } from '../work';

/** What clears the way for a look comes right before it. */
const BEFORE_LOOKING = 24;

const over = (method: MethodId, { lineId, span }: Finding): WorkDraft => ({
  method,
  lineId,
  fromFt: span.fromFt,
  toFt: span.toFt,
});

/** Those who must be told, whatever else is done: the authority of its side, a utility of its line. */
export function tellings({ owned, authoritys }: Site): WorkDraft[] {
  return [
    ...owned
      .filter(({ kind, placed }) => kind === 'utility-crossing' && placed)
      .map((finding) => over('notify-utility-owner', finding)),
    ...authoritys.map((finding) => over('notify-authority', finding)),
  ];
}

/** Cleaning and looking again, where nobody can tell yet what is wrong. */
export function looks(site: Site, isOpen: (finding: Finding) => boolean = () => true): WorkDraft[] {
  return site.owned
    .filter(({ action, placed }) => action === 'look-again' && placed)
    .filter(isOpen)
    .flatMap((finding) => {
      const canJet = whyNotOver(site, jet, bedOf(site, finding.lineId), finding.span) === null;
      const first = { ...over('jet', finding), isFirst: true, order: BEFORE_LOOKING };
      return [...(canJet ? [first] : []), over('look-again', finding)];
    });
}

/** A contractor's opinion on what must be ended and what no method here ends. */
export function opinions(site: Site): WorkDraft[] {
  return site.owned
    .filter(
      ({ action, placed, kind }) =>
        (action === 'repair' || action === 'urgent') && placed && kind !== 'utility-crossing',
    )
    .filter(({ lineId }) => !site.utilityLines.has(lineId))
    .filter((finding) => !canBeMet(site, { what: 'cure', finding }))
    .map((finding) => over('second-opinion', finding));
}
