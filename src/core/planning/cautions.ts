import { sayFt } from '../base/numbers';
import type { Caution } from '../catalogue/caution';
import { SPACING_FT } from '../lateral/close-by';
import { ENGINEERED_FROM_FT, SHORED_FROM_FT } from '../model/prices/price-table';
import { cellsWithin } from './bed';
import { methodById } from './methods/index';
import type { Plan } from './plans/plan';
import { bedOf, type Site } from './site';

/** What must be said before anyone digs, each once, for the works of a plan. */
export function cautionsOfPlan(site: Site, { works }: Plan): Caution[] {
  const digs = works.filter(({ depth }) => depth !== null);
  const deepFt = Math.max(0, ...digs.map(({ depth }) => depth!.mostFt));
  const isWet = site.assessment.inspection.property.surroundings?.some(
    ({ what }) => what === 'wet-ground',
  );
  const isAssumed = digs.some(({ depth }) => !depth!.isLocated);
  const has = (test: (method: ReturnType<typeof methodById>) => boolean) =>
    works.some(({ method }) => test(methodById(method)));
  const isAsbestos = works.some(
    (work) =>
      ['replace', 'mend'].includes(methodById(work.method).role) &&
      cellsWithin(bedOf(site, work.lineId), work).some(
        ({ material }) => material === 'asbestos-cement',
      ),
  );
  const beyond = works.some(({ lines }) => lines.some(({ key }) => key === 'permit.right-of-way'));
  const said = (about: string, text: string): Caution => ({ about, text });
  return [
    ...(digs.length > 0 || has(({ id }) => id === 'burst')
      ? [
          said(
            'Utility marks',
            'Call the utility-locating service and wait for the marks before anyone digs.',
          ),
        ]
      : []),
    ...(has(({ id }) => id === 'burst')
      ? [
          said(
            'Spacing',
            `Bursting pushes the ground aside. Have the space to utilities and footings measured first: at least ${SPACING_FT} ft.`,
          ),
        ]
      : []),
    ...(digs.length > 0
      ? [
          deepFt > SHORED_FROM_FT
            ? said(
                'Trench',
                `The pipe lies up to ${sayFt(deepFt)} ft deep${isAssumed ? ' (partly assumed: have it located)' : ''}. A trench that deep needs protection by a competent person${deepFt >= ENGINEERED_FROM_FT ? ', and from 10 ft on by an engineer’s design' : ''}: the contractor’s duty.${isWet ? ' The ground is wet: that asks for more of it, and for a pump.' : ''}`,
              )
            : said(
                'Trench',
                `The pipe lies about ${sayFt(deepFt)} ft deep${isAssumed ? ' (assumed: have it located)' : ''}. Deeper than the local limit, often 4 to 5 ft,${isWet ? ' or in wet ground,' : ''} a trench needs protection by a competent person.`,
              ),
        ]
      : []),
    ...(has(({ needsPermit }) => needsPermit)
      ? [
          said(
            'Permits',
            `Replacing sewer pipe needs a permit${beyond ? ', and beyond the property line another from the authority' : ''}.`,
          ),
        ]
      : []),
    ...(isAsbestos
      ? [said('Asbestos cement', 'No cutting, grinding or bursting without licensed abatement.')]
      : []),
    ...(works.length > 0
      ? [
          said(
            'Licensed work',
            'A licensed plumber or drain contractor confirms method and price. Local codes govern. These are planning figures.',
          ),
        ]
      : []),
  ];
}
