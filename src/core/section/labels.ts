import { clamp } from '../base/numbers';
import type { Frame } from './frame';
import type { Primitive, TextRole } from './primitives';

/** A label that would like to stand at `x`. */
export type LabelWish = {
  readonly role: TextRole;
  readonly text: string;
  readonly x: number;
  /** How wide the thing is that it names; a label wider than that may lean over its neighbours. */
  readonly roomUnits: number;
  readonly unitsPerChar: number;
};

type Row = { readonly taken: (readonly [number, number])[] };

/**
 * Places labels in rows so that no two overlap and none leaves the drawing. A label moves sideways
 * by at most half its own width, then to the next row; one that fits nowhere is left out (the table
 * beside the drawing still has it).
 */
export function placeLabels(
  wishes: readonly LabelWish[],
  frame: Frame,
  rowYs: readonly number[],
  avoid: readonly { readonly fromX: number; readonly toX: number; readonly row: number }[] = [],
): Primitive[] {
  const rows: Row[] = rowYs.map((_, row) => ({
    taken: avoid
      .filter((block) => block.row === row)
      .map(({ fromX, toX }) => [fromX, toX] as const),
  }));
  const gap = 8;
  const ordered = [...wishes].sort((a, b) => b.roomUnits - a.roomUnits);
  return ordered.flatMap((wish): Primitive[] => {
    const half = (wish.text.length * wish.unitsPerChar) / 2;
    for (const [index, row] of rows.entries()) {
      for (const nudge of [0, -0.5, 0.5, -1, 1]) {
        const x = clamp(wish.x + nudge * half, half + 4, frame.width - half - 4);
        const isFree = row.taken.every(
          ([from, to]) => x + half + gap <= from || x - half - gap >= to,
        );
        if (!isFree) continue;
        row.taken.push([x - half, x + half]);
        return [
          {
            shape: 'text',
            role: wish.role,
            at: { x, y: rowYs[index]! },
            text: wish.text,
            anchor: 'middle',
          },
        ];
      }
    }
    return [];
  });
}
