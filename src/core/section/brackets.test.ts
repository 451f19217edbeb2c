import fc from 'fast-check';
import { expect, it } from 'vitest';
import { layBrackets } from './brackets';
import { layFrame } from './frame';

const anyWish = fc
  .record({
    fromFt: fc.double({ min: -20, max: 120, noNaN: true }),
    longFt: fc.double({ min: 0, max: 40, noNaN: true }),
    label: fc.string({ minLength: 3, maxLength: 30 }),
  })
  .map(({ fromFt, longFt, label }) => ({ fromFt, toFt: fromFt + longFt, label }));

it('lays brackets and labels so that none overlaps another and all stay on the drawing', () => {
  fc.assert(
    fc.property(
      fc.array(anyWish, { maxLength: 12 }),
      fc.integer({ min: 340, max: 1600 }),
      (wishes, width) => {
        const frame = layFrame({ fromFt: 0, toFt: 100 }, width, 200);
        const { brackets, height } = layBrackets(
          wishes.map((wish, index) => ({ ...wish, key: String(index) })),
          frame,
        );
        const half = (label: string) => (label.length * 7.6) / 2;
        const reach = brackets.map(({ fromX, toX, labelX, label, y }) => ({
          y,
          left: Math.min(fromX, labelX - half(label)),
          right: Math.max(toX, labelX + half(label)),
        }));
        for (const [index, one] of reach.entries()) {
          expect(one.y).toBeLessThan(height);
          for (const other of reach.slice(index + 1))
            if (one.y === other.y)
              expect(other.left >= one.right || one.left >= other.right).toBe(true);
        }
        const shown = wishes.filter(({ fromFt, toFt }) => toFt >= 0 && fromFt <= 100);
        expect(brackets).toHaveLength(shown.length);
        expect(brackets.filter(({ isCut }) => isCut)).toHaveLength(
          shown.filter(({ fromFt, toFt }) => fromFt < 0 || toFt > 100).length,
        );
      },
    ),
  );
});
