import { sayFt, sayList } from '../base/numbers';
import { nameMaterial } from '../catalogue/materials/kinds';
import { nameZone } from '../catalogue/zones';
import { locatedOn, sayMark } from '../lateral/located';
import { cellsWithin } from './bed';
import { methodById } from './methods/index';
import type { Plan } from './plans/plan';
import { bedOf, type Site } from './site';
import type { Work } from './work';

/** One thing to ask a contractor for: what, where, how much, and by whom. */
export type RequestItem = {
  readonly what: string;
  readonly lineId: string;
  /** Feet from the reference access. */
  readonly fromFt: number;
  readonly toFt: number;
  readonly where: readonly string[];
  readonly quantities: readonly string[];
  readonly forFindings: readonly number[];
  readonly by: string;
  /** Whether it is only somebody to be told: nothing to be quoted for. */
  readonly isTelling: boolean;
};

/** What to ask for, where, and how it will be proved. No prices: the contractor brings those. */
export type RequestSheet = {
  readonly items: readonly RequestItem[];
  readonly marks: readonly string[];
  readonly proof: readonly string[];
  readonly ask: readonly string[];
};

/** A mark this far from a work still helps to find it, feet. */
const MARK_NEAR_FT = 12;

const feetIn = (inches: number) => {
  const whole = Math.floor(inches / 12);
  const rest = Math.round(inches - whole * 12);
  return rest === 12 ? `${whole + 1} ft` : rest === 0 ? `${whole} ft` : `${whole} ft ${rest} in`;
};

type Mark = { readonly stationFt: number; readonly lineId: string; readonly text: string };

function marksOf(site: Site): Mark[] {
  return [...site.beds.values()].flatMap(({ lateral }) =>
    locatedOn(lateral).map(({ stationFt, entry }) => {
      const depth =
        entry.depthIn === undefined
          ? 'depth not measured'
          : `${feetIn(entry.depthIn)} deep to the camera head`;
      return {
        stationFt,
        lineId: lateral.lineId,
        text: `At ${sayFt(stationFt)} ft${site.assessment.names.on(lateral.lineId)}: ${[...sayMark(entry), depth].join(', ')}.`,
      };
    }),
  );
}

function itemOf(site: Site, work: Work): RequestItem {
  const method = methodById(work.method);
  const bed = bedOf(site, work.lineId);
  const cells = cellsWithin(bed, work);
  const pipes = [
    ...new Set(
      cells.map(
        ({ diameterIn, material }) =>
          `${diameterIn === null ? '' : `${diameterIn} in `}${nameMaterial(material)}`,
      ),
    ),
  ];
  const longFt = work.toFt - work.fromFt;
  const { depth } = work;
  const ids = new Set([...work.cures, ...work.holds]);
  return {
    what: method.verb,
    lineId: work.lineId,
    fromFt: work.fromFt,
    toFt: work.toFt,
    where: [
      ...(work.zones.length > 0
        ? [`under: ${sayList(work.zones.map((zone) => nameZone(zone).toLowerCase()))}`]
        : []),
      `pipe: ${sayList(pipes)}`,
      ...(depth
        ? [
            `depth: ${sayFt(depth.leastFt)}${depth.mostFt - depth.leastFt >= 0.05 ? ` to ${sayFt(depth.mostFt)}` : ''} ft, ${depth.isLocated ? 'located' : 'assumed: have it located'}`,
          ]
        : []),
      ...(work.publicFt > 0.05 ? [`${sayFt(work.publicFt)} ft of it on the public side`] : []),
    ],
    quantities: [
      ...(longFt > 0.05 ? [`${sayFt(longFt)} ft`] : []),
      ...(work.tees.length > 0
        ? [
            `reopen ${work.tees.length === 1 ? 'the tee' : `${work.tees.length} tees`} at ${sayList(work.tees.map(({ stationFt, serves }) => `${sayFt(stationFt)} ft${serves ? ` (${serves})` : ''}`))}`,
          ]
        : []),
      ...work.lines
        .filter(({ key }) => key.startsWith('permit.') || key === 'traffic.control')
        .map(({ says }) => says),
    ],
    forFindings: site.owned.filter(({ id }) => ids.has(id)).map(({ number }) => number),
    by: method.by,
    isTelling: method.role === 'tell',
  };
}

/** What to ask a contractor for, from a plan: where it is and how it will be proved. */
export function requestSheetOf(site: Site, plan: Plan): RequestSheet {
  const near = (mark: Mark) =>
    plan.works.some(
      ({ lineId, fromFt, toFt }) =>
        lineId === mark.lineId &&
        mark.stationFt >= fromFt - MARK_NEAR_FT &&
        mark.stationFt <= toFt + MARK_NEAR_FT,
    );
  const changes = plan.works.filter(({ method }) =>
    ['replace', 'mend', 'clean'].includes(methodById(method).role),
  );
  const sags = site.owned.some(
    ({ id, kind }) =>
      kind === 'standing-water' && plan.works.some(({ cures }) => cures.includes(id)),
  );
  return {
    items: plan.works.map((work) => itemOf(site, work)),
    marks: marksOf(site)
      .filter(near)
      .sort((a, b) => a.stationFt - b.stationFt)
      .map(({ text }) => text),
    proof:
      changes.length === 0
        ? []
        : [
            'Scope the line again from the same access once the work is done, on video, with the counter in the picture.',
            ...(sags
              ? ['Run water, let it drain, and show that nothing stands where the sag was.']
              : []),
            'Hand over the video, the permit and its sign-off, and the warranty in writing.',
          ],
    ask:
      changes.length === 0
        ? []
        : [
            'Price each item by itself, with its length.',
            'Say what is included: cleaning first, reopening of tees, permits, surface restoration, trench protection, the video after.',
            'Say what would make it dearer, and what you would do then.',
          ],
  };
}
