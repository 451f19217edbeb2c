import { INDOOR_ZONES, PAVED_ZONES } from '../../../lateral/zones';
import type { Zone } from '../../../log/vocabulary';
import { sayList } from '../../../base/numbers';
import { advice } from '../conclusion';
import type { Rule } from '../rule';
import { groupClose } from '../structure/close-together';

/** Four different jobs at four different prices, by what the pipe hangs in or lies under. */
export function groundOf(zone: Zone | null): 'hung' | 'slab' | 'open' | 'paved' {
  if (zone === 'crawlspace' || zone === 'basement') return 'hung';
  if (zone !== null && INDOOR_ZONES.includes(zone)) return 'slab';
  return zone !== null && PAVED_ZONES.includes(zone) ? 'paved' : 'open';
}

export const sharedPit: Rule = {
  number: 51,
  id: 'shared-pit',
  when: 'two repairs lie close together',
  then: 'in one kind of ground they share a pit; hung, under a slab, in open ground and under pavement are four jobs',
  because: 'the pit is most of the price, and what must be opened and put back is most of the pit',
  conclude: (scene) => {
    const works = scene.findings.filter(
      ({ action, placed, courtesy, responsibleSide }) =>
        placed && !courtesy && responsibleSide === 'owner' && (action === 'repair' || action === 'urgent'),
    );
    return groupClose(works, scene.thresholds.closeTogetherFt)
      .filter((group) => group.length > 1)
      .flatMap((group) =>
        group.flatMap((finding) => {
          const others = group.filter((one) => one !== finding);
          const alike = others.filter(({ zone }) => groundOf(zone) === groundOf(finding.zone));
          const unlike = others.length - alike.length;
          const name = (list: readonly { readonly number: number }[]) =>
            `finding${list.length > 1 ? 's' : ''} ${sayList(list.map(({ number }) => String(number)))}`;
          return [
            ...(alike.length > 0 ? [advice(finding, `Can share one pit with ${name(alike)}.`)] : []),
            ...(unlike > 0
              ? [advice(finding, `Lies close to ${name(others.filter((one) => !alike.includes(one)))}, but in other ground: two jobs at two prices.`)]
              : []),
          ];
        }),
      );
  },
}; // prettier-ignore
