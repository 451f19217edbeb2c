import { describe, expect, it } from 'vitest';
import { assess } from '../assess';
import type { Inspection } from '../model/job/inspection';
import { type Said } from '../testing/build';
import { demoInspection } from '../testing/demo-inspections';
import { blocksOf, jobOf, listOf, of, roots } from '../testing/report-blocks';
import { defect } from '../testing/rules';
import type { Block } from './block';
import { composeReport } from './compose';
import { composeDocuments } from './documents';
import { freezeReport } from './frozen';
import { liftFrozen } from './lift-frozen';
import { listStills } from './stills';

describe('findings that are alike', () => {
  const places = (said: readonly Said[], change?: (one: Inspection) => Inspection) =>
    of(blocksOf(said, change), 'finding').map(({ places: all }) => all.map(({ number }) => number));

  it('of one kind, grade and course are told together, each with its place', () => {
    const [block] = of(blocksOf([roots(20), roots(30), roots(40)]), 'finding');
    expect(block!.title).toBe('Roots at three places');
    expect(block!.places.map(({ where }) => where)).toEqual([
      'At 20 ft, under the yard',
      'At 30 ft, under the yard',
      'At 40 ft, under the yard',
    ]);
    expect(block!.sentences.filter((one) => /Roots fill/.test(one))).toHaveLength(1);
    expect(block!.price).toMatch(/^\$[\d.k–]+ each time$/);
  });

  it('say what was seen at each place where the sizes differ', () => {
    const [block] = of(blocksOf([roots(20, 0.16), roots(30, 0.22)]), 'finding');
    expect(block!.places.map(({ says }) => says)).toEqual([
      expect.stringContaining('16%'),
      expect.stringContaining('22%'),
    ]);
    expect(block!.sentences.join(' ')).not.toMatch(/fill/);
  });

  it('are not told together where the grade differs, or the words of one are the inspector’s', () => {
    expect(places([roots(20), roots(30, 0.6)])).toHaveLength(2);
    const first = jobOf([roots(20), roots(30)]).findings[0]!;
    const over = composeReport(jobOf([roots(20), roots(60, 0.2)])).blocks;
    expect(over.length).toBeGreaterThan(0);
    const worded = (one: Inspection): Inspection => ({
      ...one,
      decisions: [
        {
          id: 'D',
          kind: 'report-wording',
          reason: 'r',
          key: `finding:${first.id}`,
          text: 'Mine.',
          over: 'x',
        },
      ],
    });
    expect(places([roots(20), roots(30)], worded)).toHaveLength(2);
  });

  it('say how far off a mark is that is not at them, and none farther than 3 ft', () => {
    const markAt = (readingFt: number): Said => ({ kind: 'locate', mark: 'white x', readingFt });
    const groundBy = (readingFt: number) =>
      of(blocksOf([roots(20), markAt(readingFt)]), 'finding')[0]!.places[0]!.ground;
    expect(groundBy(22)).toBe('Nearest mark, at 22 ft: marked white x.');
    expect(groundBy(24)).toBeNull();
  });

  it('name their marks on the ground', () => {
    const locate: Said = {
      kind: 'locate',
      depthIn: 53,
      mark: 'white x',
      swings: [{ from: 'garage corner', distanceFt: 6.2 }],
      readingFt: 21,
    };
    const [block] = of(blocksOf([roots(20), locate]), 'finding');
    expect(block!.places[0]!.ground).toBe(
      'On the ground: marked white x, 6.2 ft from garage corner, about 4½ ft deep.',
    );
  });
});

describe('the first page and the last', () => {
  const HOLE = defect('hole', { readingFt: 30 });
  it('say what it may cost and what could not be seen in a line each', () => {
    const [glance] = of(blocksOf([HOLE]), 'glance');
    expect(glance!.rows.map(({ title }) => title)).toEqual([
      'What it may cost',
      'What could not be seen',
    ]);
    expect(glance!.rows[0]!.text).toMatch(/^\$[\d.k–]+: fix what fails/);
    const free = blocksOf([HOLE], (one) => ({
      ...one,
      settings: { report: { prices: false } },
    }));
    expect(JSON.stringify(of(free, 'glance'))).not.toContain('$');
    expect(JSON.stringify(free)).not.toContain('$');
  });

  it('has a sheet for the closing table only where something is to be asked for, of a seller', () => {
    const titles = (blocks: readonly Block[]) =>
      blocks.map((block) => ('title' in block ? block.title : ''));
    const CLOSING = 'For the closing table: repair, or a credit';
    expect(titles(blocksOf([HOLE]))).toContain(CLOSING);
    expect(titles(blocksOf([]))).not.toContain(CLOSING);
    const complaint = blocksOf([HOLE], (one) => ({
      ...one,
      job: { ...one.job, purpose: 'complaint' },
    }));
    expect(titles(complaint)).not.toContain(CLOSING);
    // A gas line in the sewer: nothing has a price, and all else waits for its owner.
    const gas = defect('utility-crossing', { readingFt: 20 });
    expect(titles(blocksOf([gas, HOLE]))).not.toContain(CLOSING);
  });

  it('tells sound feet as such, and no more of them than the water allows', () => {
    const wet = (one: Inspection): Inspection => ({
      ...one,
      runs: one.runs.map((run) => ({ ...run, waterAtStart: 'running' })),
    });
    expect(listOf(blocksOf([], wet), 'What is well')).toEqual([
      '60 feet of clay, 0 to 60 ft: looked at, and nothing was found. It was not seen drained, so whether water stands there is not known.',
    ]);

    expect(listOf(blocksOf([]), 'What is well')).toEqual([
      '60 feet of clay, 0 to 60 ft: looked at, and nothing was found.',
    ]);
  });
});

it('a report that was issued before is read as it was', () => {
  const { documents, ...frozen } = freezeReport(jobOf([roots(20)]), {
    number: 1,
    issuedAt: '2026-11-30T09:00:00-08:00',
    reason: '',
    before: null,
    stills: [],
  });
  const asBefore = (blocks: readonly Block[]) =>
    blocks.flatMap((block): object[] => {
      if (block.kind === 'masthead') return [{ kind: 'masthead', left: block.left, right: '' }];
      if (block.kind !== 'finding') return block.kind === 'headline' ? [block] : [];
      const { places: _places, key: _key, ...rest } = block;
      return [{ ...rest, photoId: 'P' }];
    });
  const old = {
    ...frozen,
    version: 1 as const,
    documents: {
      buyer: asBefore(documents.buyer),
      agent: asBefore(documents.agent),
      contractor: asBefore(documents.contractor),
    },
  };
  const lifted = liftFrozen(old as never);
  const [finding] = of(lifted.documents.buyer, 'finding');
  expect(finding!.places).toEqual([
    expect.objectContaining({ number: 1, picture: { photoId: 'P', caption: finding!.title } }),
  ]);
  expect(of(lifted.documents.buyer, 'masthead')[0]!.firm).toBeNull();
  expect(liftFrozen(lifted)).toBe(lifted);
});

it('the agent’s page and the contractor’s sheet show the worst as it looked', () => {
  const { agent, contractor } = composeDocuments(assess(demoInspection('alder-bend')));
  expect(of(agent, 'glance')[0]!.picture!.caption).toMatch(/^Finding 3: roots at 57 ft/);
  expect(of(contractor, 'pictures')[0]!.pictures.length).toBeGreaterThan(1);
});

it('a still that was measured on carries what was touched', () => {
  const measure = {
    photoId: 'P1',
    what: 'share',
    aspect: 1.6,
    pipe: [
      [0.3, 0.5],
      [0.5, 0.2],
      [0.7, 0.5],
    ],
    on: [
      [0.4, 0.4],
      [0.5, 0.4],
      [0.5, 0.5],
    ],
  } as const;
  const job = jobOf([
    { ...roots(20), photoIds: ['P1', 'P2'], sizeBasis: 'measured', measures: [measure] },
  ]);
  const [one, two] = listStills(job);
  expect(one).toMatchObject({ photoId: 'P1', measures: [measure] });
  expect(two).not.toHaveProperty('measures');
  const [finding] = of(composeDocuments(job).buyer, 'finding');
  expect(finding!.places[0]!.picture).toEqual(one);
});
