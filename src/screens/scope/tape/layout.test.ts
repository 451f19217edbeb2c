import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { edgesOf, hangRows, ROW_PX, scaleTape } from './layout';

describe('the tape', () => {
  it('runs with the footage, the farthest on top', () => {
    const scale = scaleTape([0, 30, 90], 45);
    expect([scale.topFt, scale.pxPerFt]).toEqual([102, 15]);
    expect(scale.pxOf(90)).toBe(180);
    expect(scale.ftOf(scale.pxOf(33.3))).toBeCloseTo(33.3);
  });

  it('keeps a lone row at its foot, and spreads two at one foot evenly round it', () => {
    const scale = scaleTape([], 40);
    const at = scale.pxOf(20);
    expect(hangRows([{ atFt: 20, item: 'a' }], scale)[0]).toMatchObject({ footPx: at, rowPx: at });
    const two = hangRows(
      [
        { atFt: 20, item: 'a' },
        { atFt: 20, item: 'b' },
      ],
      scale,
    );
    expect(two.map(({ item, rowPx }) => [item, rowPx])).toEqual([
      ['a', at - ROW_PX / 2],
      ['b', at + ROW_PX / 2],
    ]);
  });

  it('never lets rows overlap or change places, and moves none that has room', () => {
    const feet = fc.array(
      fc.integer({ min: 0, max: 900 }).map((tenths) => tenths / 10),
      { maxLength: 60 },
    );
    fc.assert(
      fc.property(feet, (list) => {
        const scale = scaleTape(list, 0);
        const rows = hangRows(
          list.map((atFt, item) => ({ atFt, item })),
          scale,
        );
        rows.forEach((row, index) => {
          const next = rows[index + 1];
          if (!next) return;
          expect(next.rowPx - row.rowPx).toBeGreaterThanOrEqual(ROW_PX - 1e-6);
          expect(next.footPx).toBeGreaterThanOrEqual(row.footPx);
        });
        const roomy = rows.filter(
          ({ footPx }) =>
            rows.filter((other) => Math.abs(other.footPx - footPx) < ROW_PX * rows.length)
              .length === 1,
        );
        for (const { footPx, rowPx } of roomy) expect(rowPx).toBeCloseTo(footPx);
      }),
    );
  });

  it('joins equal neighbours of the pipe', () => {
    expect(edgesOf(6, (ft) => (ft < 2 ? null : ft < 4 ? 'clay' : 'pvc'))).toEqual([
      { fromFt: 2, toFt: 4, look: 'clay' },
      { fromFt: 4, toFt: 6, look: 'pvc' },
    ]);
  });
});
