import type { MethodId } from '../../catalogue/method-ids';
import type { Finding } from '../../judge/finding';
import { cut } from '../methods/cut';
import { descale } from '../methods/descale';
import { jet } from '../methods/jet';
import type { Method } from '../methods/method';
import { rampLip } from '../methods/ramp-lip';
import { trimTap } from '../methods/trim-tap';
import { bedOf, type Site } from '../site';
import { canBeMet, isForbiddenAt, whyNoPassage, whyNotOver } from '../ways';
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

/** What clears each cause that may hold a pool; anything else is jetted. */
const CLEARERS: Readonly<Record<string, Method>> = {
  roots: cut,
  scale: descale,
  lip: rampLip,
  offset: rampLip,
  'intruding-tap': trimTap,
};

/** What clears the way for a look: the causes that may be cleared, else what lies in the line. */
function clearersOf({ causes }: Finding): Method[] {
  // A jet takes out debris, and loose roots with it.
  if (causes.some(({ cause }) => cause === 'debris')) return [jet];
  const named = causes.flatMap(({ cause }) => CLEARERS[cause] ?? []);
  return named.length > 0 ? [...new Set(named)] : [jet];
}

/** Cleaning and looking again, where nobody can tell yet what is wrong. */
export function looks(site: Site, isOpen: (finding: Finding) => boolean = () => true): WorkDraft[] {
  return site.owned
    .filter(({ action, placed }) => action === 'look-again' && placed)
    .filter(isOpen)
    .flatMap((finding) => {
      const firsts = clearersOf(finding)
        .filter(
          (method) =>
            !isForbiddenAt(site, method, finding) &&
            whyNotOver(site, method, bedOf(site, finding.lineId), finding.span) === null &&
            whyNoPassage(site, method, bedOf(site, finding.lineId), finding.span, finding.id) ===
              null,
        )
        .map(({ id }) => ({ ...over(id, finding), isFirst: true, order: BEFORE_LOOKING }));
      return [...firsts, over('look-again', finding)];
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
