import { roundTo, sayFt, sayList } from '../base/numbers';
import { accessOf } from '../catalogue/access/kinds';
import { nameFinding } from '../catalogue/defects/kinds';
import { nameMaterial } from '../catalogue/materials/kinds';
import { nameZone } from '../catalogue/zones';
import type { Assessment } from '../judge/assessment';
import { listCleanouts } from '../lateral/cleanouts';
import { labelOf } from '../model/job/labels';
import { cautionsOfPlan } from '../planning/cautions';
import { PLAN_NAMES } from '../planning/pick';
import type { Plan } from '../planning/plans/plan';
import { requestSheetOf } from '../planning/request';
import type { Site } from '../planning/site';
import type { Block } from './block';
import { composeOwnAdvice } from './own-advice';
import { chooseStills } from './stills';
import { composeStops } from './stops';
import { composeMasthead } from './who';

/** How many stills a sheet has room for. */
const MOST_PICTURES = 4;

const span = (fromFt: number, toFt: number) =>
  sayFt(fromFt) === sayFt(toFt) ? sayFt(fromFt) : `${sayFt(fromFt)} to ${sayFt(toFt)}`;

/** What the contractor can get a tool in by, and where the feet begin. */
function accessRows({ inspection, lateral, branches, names }: Assessment): string[][] {
  const lines = [lateral, ...branches];
  const placed = lines.flatMap(({ lineId, axes }) =>
    axes.map(({ run, originFt }) => ({ accessId: run.accessPointId, lineId, originFt })),
  );
  const outside = inspection.accessPoints.map((access) => {
    const { id, kind, diameterIn, place, usable, obstacle } = access;
    const at = placed.find(({ accessId }) => accessId === id);
    return [
      labelOf(access),
      at === undefined ? '–' : `${sayFt(at.originFt)}${names.on(at.lineId)}`,
      `${diameterIn} in ${accessOf(kind).buyerName}`,
      [place, usable ? null : `not usable${obstacle ? `: ${obstacle}` : ''}`]
        .filter(Boolean)
        .join(', '),
    ];
  });
  const inside = listCleanouts(inspection, lines)
    .filter(({ diameterIn }) => diameterIn === null)
    .map(({ place, lineId, stationFt, state }) => [
      '–',
      `${stationFt === null ? '–' : sayFt(stationFt)}${lineId === null ? '' : names.on(lineId)}`,
      `cleanout${state === 'inferred' ? ' (not certain)' : ''}`,
      place,
    ]);
  const buried = lines.flatMap(({ lineId, axes }) =>
    axes.flatMap((axis) =>
      axis.log.standing.flatMap((entry) => {
        if (
          entry.kind !== 'surface' ||
          entry.what !== 'buried-cleanout' ||
          entry.readingFt === null
        )
          return [];
        const { from } = axis.placeOfEntry(entry);
        return [
          [
            '–',
            `${sayFt(from.stationFt)}${names.on(lineId)}`,
            'buried cleanout',
            'to be raised to grade',
          ],
        ];
      }),
    ),
  );
  return [...outside, ...inside, ...buried];
}

/**
 * The contractor's sheet for a plan, as blocks: where each work is, by stations from the access, depths,
 * marks, bores, materials and quantities, how a tool gets in, what to take care of, and how the work will
 * be proved. It has no prices: the contractor brings those.
 */
export function composeContractorSheet(
  assessment: Assessment,
  site: Site,
  plan: Plan,
): readonly Block[] {
  const { job } = assessment.inspection;
  const { names, lateral, branches } = assessment;
  const lines = [lateral, ...branches];
  const feet = (lineId: string, fromFt: number, toFt: number) =>
    `${span(fromFt, toFt)}${names.on(lineId)}`;
  const sheet = requestSheetOf(site, plan);
  const works = sheet.items
    .filter(({ isTelling }) => !isTelling)
    .map(({ what, lineId, fromFt, toFt, where, quantities, forFindings, by }) => [
      feet(lineId, fromFt, toFt),
      `${what}${forFindings.length > 0 ? ` (finding${forFindings.length > 1 ? 's' : ''} ${sayList(forFindings.map(String))})` : ''}`,
      where.join('; '),
      quantities.join('; '),
      by,
    ]);
  const planned = new Set(plan.works.flatMap(({ cures, holds }) => [...cures, ...holds]));
  const found = assessment.findings.filter(
    (finding) =>
      finding.placed &&
      !finding.courtesy &&
      (planned.has(finding.id) || plan.leaves.includes(finding.id)),
  );
  const pictures = chooseStills(assessment)
    .filter(({ photoId }) => found.some(({ photoIds }) => photoIds.includes(photoId)))
    .slice(0, MOST_PICTURES);
  const blocks: Block[] = [
    {
      ...composeMasthead(assessment, 'Request for a quote'),
      right: job.inspector ? `by ${job.inspector}` : '',
    },
    {
      kind: 'headline',
      text:
        works.length > 0
          ? `Please quote for ${works.length === 1 ? 'one work' : `${works.length} works`} on this sewer lateral.`
          : 'This plan has no works.',
      verdict: PLAN_NAMES[plan.id],
      pass: null,
      lead: `Feet are counted along the pipe ${names.isOne ? `from ${names.from(lateral.lineId)}` : sayList(lines.map(({ lineId }) => `of the ${names.nameOf(lineId)} from ${names.from(lineId)}`))}, downstream; upstream they are negative. Depths are to the camera head unless they are said to be assumed.`,
    },
    ...composeStops(assessment.stops, names),
    {
      kind: 'section',
      caption: 'The line cut open from the side, with the findings by their numbers.',
    },
    {
      kind: 'table',
      title: 'What to quote for',
      head: ['Feet', 'Work', 'Where', 'How much', 'By'],
      rows: works,
      numeric: [0],
    },
    ...composeOwnAdvice(assessment),
    {
      kind: 'table',
      title: 'What was found there',
      head: ['Feet', 'No.', 'Finding', 'Grade'],
      rows: found.map(({ lineId, span: at, number, kind, severity, provisional }) => [
        feet(lineId, at.fromFt, at.toFt),
        String(number),
        nameFinding(kind),
        `${severity}${provisional ? ', provisional' : ''}`,
      ]),
      numeric: [0, 1],
    },
    ...lines.map((line): Block => ({
      kind: 'table',
      title: names.isOne ? 'The pipe' : `The pipe of the ${names.nameOf(line.lineId)}`,
      head: ['From, ft', 'To, ft', 'Pipe', 'Under', 'Side'],
      rows: line.segments.map(
        ({
          fromFt,
          toFt,
          diameterIn,
          isBoreAssumed,
          material,
          zone,
          responsibleSide,
          certainty,
        }) => [
          String(roundTo(fromFt, 1)),
          String(roundTo(toFt, 1)),
          `${diameterIn === null ? '' : `${diameterIn} in `}${nameMaterial(material)}${certainty === 'confirmed' ? '' : ' (not certain)'}${isBoreAssumed && diameterIn !== null ? ' (size assumed)' : ''}`,
          zone ? nameZone(zone) : 'not logged',
          responsibleSide,
        ],
      ),
      numeric: [0, 1],
    })),
    {
      kind: 'list',
      title: 'Marks on the ground',
      items:
        sheet.marks.length > 0
          ? sheet.marks
          : ['None near these works: have the pipe located before digging.'],
    },
    {
      kind: 'table',
      title: 'Access points for tools',
      head: ['Access', 'At, ft', 'What', 'Where'],
      rows: accessRows(assessment),
      numeric: [1],
    },
    ...(pictures.length > 0
      ? [{ kind: 'pictures', title: 'What the camera saw there', pictures } as const]
      : []),
    ...(sheet.ask.length > 0
      ? [
          {
            kind: 'columns',
            columns: [
              { title: 'In your quote', items: sheet.ask, ordered: false },
              { title: 'How it will be proved', items: sheet.proof, ordered: false },
            ],
          } as const,
        ]
      : []),
    {
      kind: 'list',
      title: 'Take care',
      items: cautionsOfPlan(site, plan).map(({ about, text }) => `${about}. ${text}`),
    },
  ];
  return blocks.filter((block) =>
    block.kind === 'table'
      ? block.rows.length > 0
      : block.kind !== 'list' || block.items.length > 0,
  );
}
