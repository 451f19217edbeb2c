import { describe, expect, it } from 'vitest';
import { assess } from '../assess';
import type { Action } from '../catalogue/severity/grade';
import { assessmentOf, CLAY, inspectionOf, minute, runOf, type Said } from '../testing/build';

const defect = (kind: string, more: Record<string, unknown> = {}): Said => ({
  kind: 'defect',
  defect: kind,
  readingFt: 30,
  ...more,
});
const one = (said: Said, changes: Parameters<typeof assessmentOf>[1] = {}, before: Said[] = []) =>
  assessmentOf([...before, said], changes).findings[0]!;

describe('actions', () => {
  it.each<[string, Said, Action, Action]>([
    ['slight roots', defect('roots', { extentRatio: 0.05 }), 'upkeep', 'upkeep'],
    ['slight offset', defect('offset', { offsetIn: 0.3 }), 'monitor', 'monitor'],
    ['slight mineral', defect('mineral', { extentRatio: 0.05 }), 'monitor', 'monitor'],
    ['moderate roots', defect('roots', { extentRatio: 0.2 }), 'upkeep', 'repair'],
    ['moderate crack', defect('crack', { form: 'open' }), 'monitor', 'repair'],
    ['moderate grease', defect('grease', { extentRatio: 0.2 }), 'upkeep', 'upkeep'],
    [
      'moderate water',
      defect('standing-water', { fillRatio: 0.2, lengthFt: 5 }),
      'monitor',
      'monitor',
    ],
    [
      'major roots in a 6 in pipe, one household',
      defect('roots', { extentRatio: 0.3 }),
      'upkeep',
      'repair',
    ],
    ['major scale', defect('scale', { extentRatio: 0.3 }), 'upkeep', 'upkeep'],
    ['major gap', defect('gap', { gapIn: 1.2 }), 'repair', 'repair'],
    ['failed roots', defect('roots', { extentRatio: 0.6 }), 'repair', 'repair'],
    ['roots filling the bore', defect('roots', { extentRatio: 0.95 }), 'urgent', 'urgent'],
    ['collapse', defect('collapse'), 'urgent', 'urgent'],
    [
      'a utility through the sewer',
      defect('utility-crossing', { certainty: 'cannot-tell' }),
      'urgent',
      'urgent',
    ],
    [
      'full water, which alone never blocks',
      defect('standing-water', { fillRatio: 1, lengthFt: 5 }),
      'repair',
      'repair',
    ],
    ['what nobody could name', defect('unidentified'), 'look-again', 'look-again'],
    [
      'what could not be told',
      defect('crack', { form: 'open', certainty: 'cannot-tell' }),
      'look-again',
      'look-again',
    ],
    ['our own doing', defect('debris', { extentRatio: 0.9, ourDoing: true }), 'none', 'none'],
  ])('%s', (_, said, maintain, renew) => {
    expect(one(said).action).toBe(maintain);
    expect(one(said, { job: { profile: 'renew-first' } }).action).toBe(renew);
  });

  it('repairs major roots when two households use the pipe', () => {
    expect(one(defect('roots', { extentRatio: 0.3 }), { property: { households: 2 } }).action).toBe(
      'repair',
    );
  });

  it('is urgent where soil is visible under a pavement', () => {
    const street: Said = { kind: 'zone', zone: 'street', side: 'far', readingFt: 20 };
    const hole = defect('hole', { soilVisible: true });
    expect(one(hole, {}, [street]).action).toBe('urgent');
    expect(one(hole).action).toBe('repair');
  });

  it('is urgent where the camera was stopped by it', () => {
    const stopped = assess(
      inspectionOf([
        runOf([
          CLAY,
          defect('break', { form: 'invert-missing', readingFt: 41 }),
          { kind: 'end', reason: 'obstruction', confirmedBy: 'none', readingFt: 42 },
        ]),
      ]),
    );
    expect(stopped.findings[0]?.action).toBe('urgent');
    expect(stopped.overall).toBe('not-serviceable');
  });

  it('lets lip and belly compete when the pool is deeper than the lip can hold', () => {
    const lip: Said = {
      kind: 'material',
      side: 'far',
      material: 'pvc',
      diameterIn: 6,
      joint: 'lip',
      lipIn: 1,
      readingFt: 36,
    };
    const pool = (depthIn: number) =>
      defect('standing-water', { readingFt: 30, toReadingFt: 35, depthIn });
    expect(one(pool(0.75), {}, [lip]).action).toBe('upkeep');
    // A lip of an inch holds water back 4 ft at the usual fall; seen by eye, 6 ft at the most.
    const long = defect('standing-water', { readingFt: 28, toReadingFt: 35, depthIn: 0.75 });
    expect(one(long, {}, [lip]).causes.map(({ cause }) => cause)).toEqual(['lip', 'belly']);
    const deep = one(pool(1.75), {}, [lip]);
    expect(deep.action).toBe('look-again');
    expect(deep.causes.map(({ cause }) => cause)).toEqual(['lip', 'belly']);
  });

  it('always says why', () => {
    const all = assessmentOf([
      defect('roots'),
      defect('debris', { ourDoing: true, readingFt: 40 }),
    ]).findings;
    expect(
      all.every(
        ({ because }) => because.length > 0 && because.every(({ text }) => text.length > 3),
      ),
    ).toBe(true);
  });
});

describe('standing water', () => {
  const water = (state: string, at: number): Said => ({ kind: 'water', state, at: minute(at) });
  const pool = (at: number): Said =>
    defect('standing-water', { fillRatio: 0.4, readingFt: 43, toReadingFt: 51, at: minute(at) });

  it.each<[string, Said[], boolean]>([
    ['no water was ever run', [pool(10)], true],
    ['it had drained', [water('running', 1), water('drained', 9), pool(10)], true],
    ['it was still draining', [water('running', 1), water('draining', 9), pool(10)], false],
    ['it was running', [water('running', 1), pool(10)], false],
    [
      'a flow test came after the draining',
      [
        water('drained', 1),
        { kind: 'flow-test', fixture: 'tub', result: 'clears', at: minute(5) },
        pool(10),
      ],
      false,
    ],
    ['it drained only later', [water('running', 1), pool(10), water('drained', 20)], false],
    [
      'a later look found it drained',
      [water('running', 1), pool(10), water('drained', 20), { ...pool(25), pass: 'back' }],
      true,
    ],
  ])('is verified or not when %s', (_, said, verified) => {
    const { findings, checks } = assessmentOf(said);
    expect(findings).toHaveLength(1);
    expect(findings[0]!.verified).toBe(verified);
    expect(findings[0]!.action).toBe(verified ? 'repair' : 'look-again');
    expect(checks.some(({ code }) => code === 'water-unverified')).toBe(!verified);
  });

  it('is not verified by correcting its size after the head came home', () => {
    const { findings } = assessmentOf([
      water('running', 1),
      pool(10),
      water('drained', 20),
      { kind: 'home', pass: 'back', at: minute(30) },
      { ...pool(40), fillRatio: 0.3, replaces: 'e3' },
    ]);
    expect(findings[0]!.verified).toBe(false);
    expect(findings[0]!.facts.fillRatio).toBe(0.3);
  });

  it('warns of a short wait', () => {
    const codes = (minutes: number) =>
      assessmentOf([
        water('running', 0),
        water('draining', 1),
        water('drained', 1 + minutes - 0.5),
        pool(1 + minutes),
      ]).checks.map(({ code }) => code);
    expect(codes(3)).toContain('short-drain');
    expect(codes(6)).not.toContain('short-drain');
  });
});

describe('scope, sides, numbers', () => {
  it('tells findings upstream of the wall or indoors as courtesies, out of the verdict', () => {
    const wall: Said = { kind: 'feature', feature: 'wall', readingFt: 12 };
    const crack = defect('break', { readingFt: 8, form: 'displaced' });
    const assessment = assessmentOf([wall, crack]);
    expect(assessment.findings[0]!.courtesy).toBe(true);
    expect(assessment.overall).toBe('serviceable');
    const whole = assessmentOf([wall, crack], { job: { scope: 'lateral-and-building-drain' } });
    expect(whole.findings[0]!.courtesy).toBe(false);
    expect(whole.overall).toBe('repair-needed');
  });

  it('mirrors the clock of a lens that faces upstream', () => {
    const run = runOf([CLAY, defect('roots', { clockFrom: 2, clockTo: 5 })], {
      facing: 'upstream',
    });
    const [finding] = assess(inspectionOf([run])).findings;
    expect(finding!.clock).toEqual({ from: 7, to: 10 });
    expect(finding!.span.fromFt).toBe(-30);
  });

  it('gives a thing in the riser no station', () => {
    const zero = { at: 'rim', readingFt: 0, dropFt: 4 } as const;
    const [finding] = assess(
      inspectionOf([runOf([defect('crack', { readingFt: 2 })], { zero })]),
    ).findings;
    expect(finding).toMatchObject({ placed: false, inRiser: true });
  });

  it('takes the back reading where both passes saw it, and the sizes of both', () => {
    const { findings } = assessmentOf([
      defect('roots', { extentRatio: 0.3 }),
      defect('roots', { pass: 'back', readingFt: 29, locus: 'joint' }),
    ]);
    expect(findings).toHaveLength(1);
    expect(findings[0]).toMatchObject({
      span: { fromFt: 29, toFt: 29 },
      locus: 'joint',
      entryIds: ['e2', 'e3'],
    });
    expect(findings[0]!.facts.extentRatio).toBe(0.3);
  });

  it('never gives a number twice: later entries, corrections and retractions leave the others theirs', () => {
    const base = [
      defect('roots', { readingFt: 40 }),
      defect('crack', { readingFt: 20 }),
      defect('gap', { readingFt: 10 }),
    ];
    const numbers = (...more: Said[]) =>
      Object.fromEntries(
        assessmentOf([...base, ...more]).findings.map(({ kind, number }) => [kind, number]),
      );
    expect(numbers()).toEqual({ roots: 1, crack: 2, gap: 3 });
    const late = { at: minute(90) };
    expect(
      numbers(
        { kind: 'retract', retracts: 'e3', ...late },
        { ...defect('hole', { readingFt: 5 }), ...late },
      ),
    ).toEqual({ roots: 1, gap: 3, hole: 4 });
    expect(numbers({ ...defect('break', { readingFt: 20 }), replaces: 'e3', ...late })).toEqual({
      roots: 1,
      break: 2,
      gap: 3,
    });
    expect(
      numbers(
        { ...defect('roots', { readingFt: 39, pass: 'back' }), ...late },
        { ...defect('hole', { readingFt: 5 }), ...late },
      ),
    ).toMatchObject({ roots: 1, hole: 4 });
  });
});
