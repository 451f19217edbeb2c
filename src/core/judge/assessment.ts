import type { DefectKind } from '../catalogue/defects/index';
import type { HeldWater } from '../lateral/grade/held-water';
import type { Lateral } from '../lateral/lateral';
import type { LineNames } from '../lateral/line-names';
import type { Meeting } from '../lateral/meets';
import type { Inspection } from '../model/job/inspection';
import type { Settings } from '../model/job/settings';
import type { FoldedLog } from '../model/log/fold';
import type { Issue } from './check';
import type { Narrowing } from './held-and-left';
import type { Judged } from './judge';
import type { Completeness, Overall } from './verdict';

/** Everything that is computed from an inspection. Nothing in it is stored. */
export type Assessment = Judged & {
  readonly inspection: Inspection;
  readonly settings: Settings;
  readonly logs: ReadonlyMap<string, FoldedLog>;
  /** The house line. */
  readonly lateral: Lateral;
  /** Other lines, each on its own axis. */
  readonly branches: readonly Lateral[];
  /** Where each branch meets the line it joins, as far as somebody saw it. */
  readonly meets: ReadonlyMap<string, Meeting>;
  /** The water that stands in the house line. */
  readonly held: HeldWater;
  /** What obstructs the bore of the house line, and what it leaves. */
  readonly narrowings: readonly Narrowing[];
  /** How the lines are told apart wherever a footage is said. */
  readonly names: LineNames;
  readonly checks: readonly Issue[];
  readonly overall: Overall;
  readonly completeness: Completeness;
  readonly absences: readonly DefectKind[];
};
