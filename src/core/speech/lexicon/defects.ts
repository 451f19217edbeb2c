import { type DefectKind, DEFECTS } from '../../catalogue/defects/index';
import { specOf } from '../../catalogue/defects/kinds';
import type { Sayings } from './phrases';

/** How inspectors name what is wrong with a pipe. */
export const DEFECT_SAYINGS: Sayings<DefectKind> = Object.fromEntries(
  DEFECTS.map((kind) => [kind, specOf(kind).said]),
);

/** How bad, in the words of a kind's forms; empty where it has none. */
export const formSayingsOf = (kind: DefectKind): Sayings =>
  Object.fromEntries(
    Object.entries(specOf(kind).forms ?? {}).flatMap(([form, { said }]) =>
      said === undefined ? [] : [[form, said]],
    ),
  );
