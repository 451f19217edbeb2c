import { describe, expect, it } from 'vitest';
import { assess } from '../assess';
import { courseOf } from '../planning/course';
import type { PlanId } from '../planning/plans/plan';
import { evidenceOfPlan, planToTell, type Repair, repairOf } from '../planning/repair';
import { assessmentOf, CLAY, inspectionOf, MAIN_AT_60, runOf, type Said } from '../testing/build';
import { demoInspection } from '../testing/demo-inspections';
import { defect, pool } from '../testing/rules';
import { composeCare, composeQuestions } from './care';
import { composeReport, mayPass } from './compose';
import { composeCost, priceOfFindings } from './report-plan';
import { composeZones } from './zones';

const zone = (name: string, readingFt: number): Said => ({
  kind: 'zone',
  side: 'far',
  zone: name,
  readingFt,
});
const roots = defect('roots', { extentRatio: 0.2, locus: 'joint' });
const hole = defect('hole', { readingFt: 45 });

/** A demo job with another plan chosen over Chert's. */
function chosen(planId: string) {
  const first = demoInspection('alder-bend');
  const plan = repairOf(assess(first)).plans.find(({ id }) => id === planId)!;
  const decision = {
    id: 'D',
    kind: 'choose-plan',
    reason: 'r',
    planId,
    evidence: evidenceOfPlan(plan),
  };
  return assess({ ...first, decisions: [decision] });
}

/** The same repair with another plan picked. */
const keeping = (repair: Repair, planId: PlanId): Repair => ({
  ...repair,
  pick: { ...repair.pick, planId },
});

describe('the plan that a report goes by', () => {
  it('is the recommended one, and told so', () => {
    const repair = repairOf(assess(demoInspection('alder-bend')));
    expect(repair.pick.planId).toBe('fix-failing');
    expect(planToTell(repair).id).toBe('fix-failing');
    expect(composeCost(repair)!.notes!.join('\n')).toMatch(/Fix what fails: .*\(recommended\)\./);
  });

  it('is the inspector’s choice, and says where that does otherwise than a finding asks', () => {
    const assessment = chosen('keep-running');
    const repair = repairOf(assessment);
    expect(planToTell(repair).id).toBe('keep-running');
    const failed = assessment.findings.find(({ severity }) => severity === 'failed')!;
    const said = (of: typeof repair, finding: typeof failed) =>
      courseOf(of, finding).says.map(({ text }) => text);
    expect(said(repair, failed)).toContain(
      'That only holds it for a time: it still asks for repair.',
    );
    const upkeep = assessment.findings.find(
      ({ kind, action }) => kind === 'roots' && action === 'upkeep',
    )!;
    const renewing = repairOf(chosen('renew'));
    expect(said(renewing, upkeep)).toContain(
      'The repair in this plan ends it too: dig and replace.',
    );
    expect(JSON.stringify(composeReport(assessment).blocks)).toContain(
      'What it may cost: keep it running',
    );
  });

  it('has a price for what it works, shared where works share a pit, and none for what is watched or unknown', () => {
    const assessment = assess(demoInspection('alder-bend'));
    const plan = planToTell(repairOf(assessment));
    const price = (number: number) =>
      priceOfFindings(
        plan,
        [assessment.findings.find((one) => one.number === number)!],
        assessment.findings,
      );
    expect(price(1)).toMatch(/^\$[\d.k–]+, with 3$/);
    expect(price(3)).toMatch(/, with 1$/);
    expect(price(5)).toMatch(/each time$/);
    expect(price(4)).toBeNull();
    const heron = assess(demoInspection('heron-court'));
    // The second pit of a plan is dug by the crew of the first.
    const pits = heron.findings.filter(({ kind }) => kind === 'roots' || kind === 'break');
    expect(
      pits.map((pit) =>
        priceOfFindings(planToTell(repairOf(heron)), [pit], heron.findings)!.includes(
          'already there',
        ),
      ),
    ).toEqual([false, true]);
    const look = heron.findings.find(({ action }) => action === 'look-again')!;
    expect(priceOfFindings(planToTell(repairOf(heron)), [look], heron.findings)).toBeNull();
  });
});

describe('part by part', () => {
  it('has the worst of each zone, and calls nothing clean that nobody saw', () => {
    const hidden: Said = { kind: 'unseen', cause: 'murky', readingFt: 50, toReadingFt: 60 };
    const [table] = composeZones(
      assessmentOf([
        zone('yard', 0),
        zone('driveway', 40),
        zone('street', 50),
        roots,
        hole,
        hidden,
      ]),
    );
    expect(table!.rows.map(([, , name, grade, unseen]) => [name, grade, unseen])).toEqual([
      ['yard', 'Moderate', ''],
      ['driveway', 'Major', ''],
      ['street', 'Cannot be told', '10 feet'],
    ]);
    expect(composeZones(assess(inspectionOf([])))).toEqual([]);
  });
});

describe('care and questions', () => {
  it('come from what was found', () => {
    const assessment = assessmentOf([roots, pool({ fillRatio: 0.5 })]);
    const repair = repairOf(assessment);
    const care = composeCare(assessment, keeping(repair, 'keep-running')).join(' ');
    expect(care).toMatch(/Have the roots cleaned out about every 2 years\./);
    expect(care).toMatch(/Plant no trees/);
    // What the plan takes out needs no care.
    expect(composeCare(assessment, keeping(repair, 'renew')).join(' ')).not.toMatch(/roots/);
    const questions = composeQuestions(repairOf(assessment).plans[1]!).join(' ');
    expect(questions).toMatch(/who gets the permit.*falls the right way.*on video/);
  });

  it('ask for a cleanout where none can be opened, and nothing of a contractor where nothing is to do', () => {
    const accessPoints = [
      {
        id: 'A',
        kind: 'roof-vent',
        diameterIn: 3,
        material: 'abs',
        place: 'roof',
        zone: 'yard',
        usable: true,
        obstacle: null,
      },
    ] as never;
    const assessment = assessmentOf([], { accessPoints });
    expect(composeCare(assessment, repairOf(assessment)).join(' ')).toContain(
      'Have a cleanout installed',
    );
    expect(composeQuestions(repairOf(assessment).plans[1]!)).toEqual([]);
  });
});

describe('a line that the sewer passes', () => {
  const of = (said: readonly Said[]) =>
    assessmentOf([{ kind: 'home', readingFt: 0, pass: 'back' }, ...said], {
      settings: { report: { passLine: true } },
    });
  const passLine = (said: readonly Said[]) => {
    const block = composeReport(of(said)).blocks[1];
    return block?.kind === 'headline' ? block.pass : undefined;
  };
  it('is printed only when nothing is open, unseen or adverse', () => {
    expect(passLine([])).toMatch(/^This sewer passes\./);
    expect(passLine([defect('offset', { offsetIn: 0.2 })])).toBeNull();
    expect(passLine([{ kind: 'unseen', cause: 'murky', readingFt: 5, toReadingFt: 6 }])).toBeNull();
    expect(passLine([{ kind: 'flag', readingFt: 5 }])).toBeNull();
    const noEnd = assess(inspectionOf([runOf([CLAY, { ...MAIN_AT_60, confirmedBy: 'none' }])]));
    expect(mayPass(noEnd)).toBe(false);
  });
});
