import { describe, expect, it } from 'vitest';
import { assess } from '../assess';
import type { Inspection } from '../model/job/inspection';
import { feature, of, paper, wordsOf, zone } from '../testing/barely-said';
import { CLAY, inspectionOf, MAIN_AT_60, minute, runOf, type Said } from '../testing/build';
import { defect } from '../testing/rules';
import { composeReport } from './compose';
import { composeDocuments } from './documents';

describe('stops', () => {
  it('claim no pipe that nobody called', () => {
    const assessment = of([
      {
        kind: 'material',
        side: 'far',
        material: 'unknown',
        diameterIn: 6,
        candidates: ['asbestos-cement', 'concrete'],
        readingFt: 30,
      },
    ]);
    const text = paper(assessment);
    expect(text).toContain('may be asbestos cement. Until somebody knows');
    expect(text).not.toContain('is asbestos cement');
    expect(assessment.stops).toHaveLength(1);
  });

  const gas = defect('utility-crossing', { readingFt: 10 });
  const roots = defect('roots', { extentRatio: 0.3, readingFt: 40 });
  const inspection = (decisions: Inspection['decisions']) => ({
    ...inspectionOf([{ ...runOf([CLAY, gas, roots, MAIN_AT_60]), waterAtStart: 'none' as const }]),
    decisions,
  });
  const evidenceFor = (number: number) => {
    const finding = assess(inspection([])).findings.find((one) => one.number === number)!;
    return { findingId: finding.id, entries: [{ runId: 'R1', entryId: finding.entryIds[0]! }] };
  };
  it.each(['none', 'override', 'dismiss', 'join'])('outlive the inspector’s word: %s', (how) => {
    const said = {
      none: [],
      override: [
        {
          id: 'D1',
          kind: 'override-finding',
          reason: 'fine roots',
          severity: 'slight',
          action: 'upkeep',
          evidence: [],
          ...evidenceFor(2),
        },
      ],
      dismiss: [
        {
          id: 'D1',
          kind: 'review-finding',
          verdict: 'dismissed',
          reason: 'no gas',
          evidence: [],
          at: minute(50),
          ...evidenceFor(1),
        },
      ],
      join: [
        {
          id: 'D1',
          kind: 'join-sightings',
          reason: 'one thing',
          sightings: [
            { runId: 'R1', entryId: 'e2' },
            { runId: 'R1', entryId: 'e3' },
          ],
        },
      ],
    }[how] as Inspection['decisions'];
    const assessment = assess(inspection(said));
    expect(assessment.stops.map(({ id }) => id)).toEqual(['utility']);
    const cut = assessment.findings.find(({ kind }) => kind === 'roots');
    if (cut) expect(cut.advice[0]!.text).toContain('Nothing may cut, jet or scrape this line');
    for (const blocks of Object.values(composeDocuments(assessment)))
      expect(JSON.stringify(blocks)).toContain('Nothing may cut, jet or scrape this line');
  });

  it('stand beside no advice against them, and nobody quotes for another’s utility', () => {
    const said = composeReport(assess(inspection([])));
    const words = JSON.stringify(said.blocks);
    expect(words).toContain('Have nothing done here until the utility in the line is dealt with.');
    expect(words).not.toMatch(/roots (?:be )?cut or jetted/);
    expect(said.steps.map(({ text }) => text)).toEqual([
      'Call the utility and the utility-locating service now about finding 1. Let nobody cut or jet the line before they have dealt with it.',
      'Decide what to ask the seller for, and say so in writing.',
      'Once the utility in the line is dealt with, have finding 2 judged again.',
    ]);
  });

  it('leave no cutter in pipe that bears none', () => {
    const text = wordsOf(
      of([
        {
          kind: 'material',
          side: 'far',
          material: 'asbestos-cement',
          diameterIn: 6,
          readingFt: 30,
        },
        roots,
      ]),
    );
    expect(text).toMatch(/clean(?:ed)? with a water jet/);
    expect(text).not.toMatch(/have the roots cut/i);
  });
});

describe('facts that had no place', () => {
  it('are told as told, and have their say', () => {
    const assessment = of(
      [{ kind: 'material', side: 'far', material: 'concrete', diameterIn: 6, readingFt: 30 }],
      {
        job: {
          purpose: 'complaint',
          complaint: 'the tub gurgles',
          localRules: [{ material: 'concrete', says: 'Concrete laterals are refused.' }],
        },
        property: { history: [{ on: '2024-05', what: 'backup', note: 'twice in spring' }] },
      },
    );
    const text = wordsOf(assessment);
    expect(text).toContain('The complaint: “the tub gurgles”');
    expect(text).toContain('twice in spring');
    expect(text).toContain('A local rule speaks of this pipe: Concrete laterals are refused.');
  });

  it('a lip said with a change of pipe is a finding, once', () => {
    const change: Said = {
      kind: 'material',
      side: 'far',
      material: 'pvc',
      diameterIn: 4,
      joint: 'lip',
      lipIn: 0.5,
      readingFt: 30,
    };
    expect(of([change]).findings.map(({ kind, severity }) => [kind, severity])).toContainEqual([
      'lip',
      'moderate',
    ]);
    expect(
      of([change, defect('lip', { lipIn: 0.5 })]).findings.filter(({ kind }) => kind === 'lip'),
    ).toHaveLength(1);
  });

  it('a cleanout found from inside is a way in, and stands in report and sheet', () => {
    const assessment = of([feature('cleanout', 40), defect('grease', { extentRatio: 0.3 })], {
      access: { kind: 'roof-vent' },
    });
    const text = paper(assessment);
    expect(text).not.toContain('Have a cleanout installed');
    expect(text).toContain('The cleanout found from inside');
    expect(text).toContain('found from inside the pipe');
  });

  it('a locate confirms a place without a depth, and its words are printed', () => {
    const assessment = of([
      zone('yard', 0),
      defect('break', { form: 'invert-missing' }),
      { kind: 'locate', readingFt: 30, mark: 'a stake', reference: '4 ft from the gate' },
    ]);
    const text = paper(assessment);
    expect(text).toContain('marked a stake, 4 ft from the gate');
    expect(text).toContain('depth not measured');
  });

  it('the tree over the roots is named, and running its fixture proves a source', () => {
    const assessment = of([
      { kind: 'surface', what: 'tree', readingFt: 31 },
      defect('roots', { extentRatio: 0.2 }),
      feature('tee', 44, { serves: 'kitchen' }),
      defect('grease', { extentRatio: 0.2, readingFt: 45 }),
      { kind: 'flow-test', fixture: 'kitchen', result: 'clears' },
    ]);
    const because = JSON.stringify(assessment.findings.map((one) => one.because));
    expect(wordsOf(assessment)).toContain(
      'The tree over the line at 31 ft is the likely source: weigh taking it out',
    );
    expect(because).toContain('running the kitchen showed that it comes in there');
    expect(assessment.questions.map(({ rule }) => rule)).not.toContain('deposit-below-tee');
  });

  it('our own debris is nobody’s fault', () => {
    const assessment = of([
      defect('debris', { ourDoing: true, at: minute(2) }),
      { kind: 'flow-test', fixture: 'tub', result: 'backs-up', at: minute(9) },
    ]);
    expect(assessment.overall).toBe('inconclusive');
    expect(wordsOf(assessment)).toContain('Our own head had moved debris');
    expect(assessment.questions.map(({ text }) => text).join()).toContain('Where the debris went');
  });
});
