import { describe, expect, it } from 'vitest';
import { cautionsFor, cautionsOfWork, findUtilitiesThrough } from './cautions';
import { assessmentOf, CLAY, inspectionOf, runOf, type Said } from './testing/build';

const defect = (kind: string, more: Record<string, unknown> = {}): Said => ({
  kind: 'defect',
  defect: kind,
  readingFt: 20,
  ...more,
});

describe('cautions of an opening', () => {
  it.each([
    ['roof-vent', 'under-house', /^Fall protection/],
    ['pulled-toilet', 'under-house', /new seal/],
    ['cleanout', 'crawlspace', /not alone/],
    ['cleanout', 'basement', /water and wiring/],
    ['cleanout', 'street', /permit/],
  ] as const)('%s in the %s: its own come first', (kind, zone, own) => {
    expect(cautionsFor({ kind, zone })[0]!.text).toMatch(own);
  });

  it('are each said once', () => {
    const said = cautionsFor({ kind: 'cleanout', zone: 'yard' }).map(({ about }) => about);
    expect(said).toEqual(['Cap', 'Sewage and gas', 'Camera']);
  });
});

describe('cautions of the work', () => {
  const about = (...said: Said[]) => cautionsOfWork(assessmentOf(said)).map((one) => one.about);
  it('are only the codes where nothing calls for more', () => {
    expect(about()).toEqual(['Codes']);
  });
  it('speak of digging, of asbestos cement and of a utility where there are such', () => {
    expect(about(defect('gap', { gapIn: 2 }))).toEqual(['Codes', 'Digging']);
    expect(
      about({
        kind: 'material',
        side: 'far',
        material: 'asbestos-cement',
        diameterIn: 6,
        readingFt: 30,
      }),
    ).toContain('Asbestos cement');
    expect(about(defect('utility-crossing'))[1]).toMatch(/utility/);
  });
});

describe('a utility through the sewer', () => {
  it('is found where it was logged, and no longer once that was taken back', () => {
    const seen = [CLAY, defect('utility-crossing')];
    expect(findUtilitiesThrough(inspectionOf([runOf(seen)]))).toEqual([
      { runId: 'R1', readingFt: 20 },
    ]);
    const back: Said = { kind: 'retract', retracts: 'e2' };
    expect(findUtilitiesThrough(inspectionOf([runOf([...seen, back])]))).toEqual([]);
  });

  it('stops all other work on its line', () => {
    const { findings } = assessmentOf([
      defect('utility-crossing'),
      defect('roots', { extentRatio: 0.15, locus: 'joint', readingFt: 40 }),
    ]);
    const roots = findings.find(({ kind }) => kind === 'roots')!;
    expect(roots.advice[0]!.text).toMatch(/^Nothing may cut, jet or scrape/);
  });
});
