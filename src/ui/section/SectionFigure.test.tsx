import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import { MATERIALS } from '#core/catalogue/materials/index';
import { buildSection } from '#core/section/build';
import { tabulateSection } from '#core/section/table';
import { assessmentOf, type Said } from '#core/testing/build';
import { SectionFigure } from './SectionFigure';

function print(said: Said[], id = 'x') {
  const assessment = assessmentOf(said);
  const section = buildSection(assessment, { width: 800, height: 206 });
  return renderToStaticMarkup(
    <SectionFigure section={section} rows={tabulateSection(assessment)} id={id} label="The line" />,
  );
}
const idsOf = (markup: string) => [...markup.matchAll(/ id="([^"]+)"/g)].map(([, id]) => id!);

describe('the printed Section', () => {
  it('defines a pattern for every material and for what nobody saw, under its own name', () => {
    expect(idsOf(print([], 'mine')).sort()).toEqual(
      [...MATERIALS.map((material) => `mine-${material}`), 'mine-unseen'].sort(),
    );
    const both = [...idsOf(print([], 'one')), ...idsOf(print([], 'two'))];
    expect(new Set(both).size).toBe(both.length);
  });

  it('fills each pipe with its own pattern and refers to none that is missing', () => {
    const said: Said[] = MATERIALS.map((material, index) => ({
      kind: 'material',
      side: 'far',
      material,
      diameterIn: 4,
      readingFt: index * 4,
    }));
    const markup = print([
      ...said,
      { kind: 'unseen', cause: 'murky', readingFt: 10, toReadingFt: 14 },
    ]);
    const used = new Set([...markup.matchAll(/url\(#([^)]+)\)/g)].map(([, id]) => id!));
    expect([...used].sort()).toEqual(
      [...MATERIALS.map((material) => `x-${material}`), 'x-unseen'].sort(),
    );
    expect([...used].filter((id) => !idsOf(markup).includes(id))).toEqual([]);
  });

  it('has no inline style (the content policy forbids it), and says itself in a table', () => {
    const markup = print([{ kind: 'defect', defect: 'roots', extentRatio: 0.6, readingFt: 30 }]);
    expect(markup).not.toContain('style=');
    expect(markup).toContain('<td>30</td><td>30</td><td>finding 1: roots, failed</td>');
    expect(markup).toMatch(/<svg[^>]+role="img"/);
  });
});
