import { describe, expect, it } from 'vitest';
import { assess } from '../assess';
import { assessmentOf, inspectionOf, MAIN_AT_60, runOf, type Said } from '../testing/build';
import type { Advice, Finding } from './finding';
import { applyStops, listStops, type Stop, stopsOver } from './stops';

const pipe = (material: string, readingFt = 0, more: object = {}): Said => ({
  kind: 'material',
  side: 'far',
  material,
  diameterIn: 4,
  readingFt,
  ...more,
});
const lineOf = (...said: readonly Said[]) => assess(inspectionOf([runOf([...said, MAIN_AT_60])]));
const stopsOf = ({ lateral, findings }: ReturnType<typeof lineOf>) =>
  listStops([lateral], findings).map(({ id, span, text }) => ({
    id,
    span: span && { fromFt: span.fromFt, toFt: span.toFt },
    text,
  }));

describe('what must not be done', () => {
  it('is said over the stretch of asbestos cement and of bituminous fiber, and of no other pipe', () => {
    expect(
      stopsOf(lineOf(pipe('pvc'), pipe('asbestos-cement', 20), pipe('bituminous-fiber', 40))),
    ).toEqual([
      {
        id: 'asbestos',
        span: { fromFt: 20, toFt: 40 },
        text: expect.stringMatching(/^The pipe here is asbestos/),
      },
      {
        id: 'fiber',
        span: { fromFt: 40, toFt: 60 },
        text: expect.stringMatching(/^The pipe here is bituminous/),
      },
    ]);
    expect(stopsOf(lineOf(pipe('vitrified-clay')))).toEqual([]);
  });

  it('is as much a stop where it is only thought of, and claims no more', () => {
    const doubtful = [
      pipe('asbestos-cement', 0, { certainty: 'suspected' }),
      pipe('unknown', 0, { candidates: ['asbestos-cement', 'vitrified-clay'] }),
    ];
    for (const one of doubtful)
      expect(stopsOf(lineOf(one))).toEqual([
        {
          id: 'asbestos',
          span: { fromFt: 0, toFt: 60 },
          text: expect.stringMatching(/^The pipe here may be/),
        },
      ]);
  });

  it('holds along the whole line where another utility runs through it', () => {
    const job = lineOf(pipe('pvc'), { kind: 'defect', defect: 'utility-crossing', readingFt: 30 });
    const [stop, ...others] = listStops([job.lateral], job.findings);
    expect(others).toEqual([]);
    expect(stop).toMatchObject({ id: 'utility', span: null, entryIds: ['e2'] });
    expect(stopsOver([stop!], { lineId: stop!.lineId, span: { fromFt: 1, toFt: 2 } })).toEqual([
      stop,
    ]);
    expect(stopsOver([stop!], { lineId: 'another', span: { fromFt: 1, toFt: 2 } })).toEqual([]);
  });

  it('is a scraping of iron that is worn through or nearly, at the wear alone and on its own line', () => {
    const wear = (form: string): Said => ({
      kind: 'defect',
      defect: 'wall-loss',
      form,
      readingFt: 25,
    });
    for (const form of ['pitted', 'invert-gone']) {
      const job = lineOf(pipe('cast-iron'), wear(form));
      expect(stopsOf(job)).toMatchObject([
        {
          id: 'thin-iron',
          span: { fromFt: job.findings[0]!.span.fromFt, toFt: job.findings[0]!.span.toFt },
        },
      ]);
      const [finding] = job.findings;
      expect(listStops([job.lateral], [{ ...finding!, lineId: 'another' }])).toEqual([]);
    }
    expect(stopsOf(lineOf(pipe('cast-iron'), wear('rough')))).toEqual([]);
    expect(stopsOf(lineOf(pipe('vitrified-clay'), wear('pitted')))).toEqual([]);
    // A grade that the inspector lowered leaves the pipe as thin as it was.
    const job = lineOf(pipe('cast-iron'), wear('rough'));
    const [finding] = job.findings;
    const failed = { ...finding!, computed: { ...finding!.computed, severity: 'failed' as const } };
    expect(listStops([job.lateral], [failed])).toHaveLength(1);
  });
});

describe('advice where something must not be done', () => {
  const { findings } = assessmentOf([
    { kind: 'defect', defect: 'roots', extentRatio: 0.3, readingFt: 20 },
  ]);
  const roots = findings[0]!;
  const advised = (...advice: readonly Pick<Advice, 'rule' | 'text'>[]): Finding => ({
    ...roots,
    advice: advice,
  });
  const stop = (id: Stop['id'], text: string, span: Stop['span'] = null): Stop => ({
    role: 'stop',
    id,
    rule: `${id}-stop`,
    text,
    forbids: [],
    lineId: roots.lineId,
    span,
    entryIds: [],
  });
  const textsOf = (finding: Finding, stops: readonly Stop[]) =>
    applyStops([finding], stops)[0]!.advice.map(({ text }) => text);

  it('is told first, once, and all that follows waits for the utility', () => {
    const have = advised(
      { rule: 'x', text: 'Have it cut.' },
      { rule: 'y', text: 'Ask the seller.' },
    );
    const utility = stop('utility', 'Stop.');
    expect(textsOf(have, [utility, utility])).toEqual([
      'Stop.',
      'Once the utility is dealt with, have it cut.',
      'Ask the seller.',
    ]);
    const again = applyStops([have], [utility])[0]!;
    expect(textsOf(again, [utility]).filter((text) => text === 'Stop.')).toHaveLength(1);
    expect(again.advice[0]!.rule).toBe('utility-stop');
  });

  it('cleans a pipe that bears no tool in no way that it does not bear', () => {
    const clean = advised({ rule: 'advice-upkeep', text: 'Have it cut each year.' });
    expect(textsOf(clean, [stop('asbestos', 'Never cut.')])).toEqual([
      'Never cut.',
      'Have it cleaned only in a way that this pipe bears, and looked at again.',
    ]);
    expect(textsOf(clean, [stop('utility', 'Stop.')])).toEqual([
      'Stop.',
      'Once the utility is dealt with, have it cut each year.',
    ]);
  });

  it('is as it was away from the stop, without one, and where no work is asked for', () => {
    const have = advised({ rule: 'x', text: 'Have it cut.' });
    const far = stop('asbestos', 'Never cut.', { fromFt: 40, toFt: 50 });
    expect(textsOf(have, [])).toEqual(['Have it cut.']);
    expect(textsOf(have, [far])).toEqual(['Have it cut.']);
    const here = stop('asbestos', 'Never cut.', { fromFt: 10, toFt: 30 });
    expect(textsOf(have, [here])[0]).toBe('Never cut.');
    expect(textsOf({ ...have, action: 'none' }, [here])).toEqual(['Have it cut.']);
    for (const kind of ['utility-crossing', 'material'] as const)
      expect(textsOf({ ...have, kind }, [here])).toEqual(['Have it cut.']);
  });
});
