import { sceneOf } from '../judge/judge';
import type { AnyConclusion } from '../judge/rules/conclusion';
import { RULES } from '../judge/rules/index';
import type { Scene } from '../judge/rules/scene';
import { buildLateral, groupRunsByLine } from '../lateral/lateral';
import type { Inspection } from '../model/job/inspection';
import { settingsInForce } from '../model/job/settings';
import { foldLog } from '../model/log/fold';
import { CLAY, inspectionOf, MAIN_AT_60, runOf, type Said } from './build';

/** Where a rule must speak, where it must not, and what it says where it does. */
export type RuleCase = {
  readonly fires: Inspection;
  readonly spares: Inspection;
  readonly says: RegExp;
};

/** A 60 ft run in 6 in clay to the main, seen, with these entries in it. */
export function line(
  said: readonly Said[],
  changes: Parameters<typeof inspectionOf>[1] = {},
  setup: Parameters<typeof runOf>[1] = {},
): Inspection {
  return inspectionOf([runOf([CLAY, ...said, MAIN_AT_60], setup)], changes);
}

/** The same in another pipe. */
export function lineIn(
  material: string,
  diameterIn: number,
  said: readonly Said[],
  changes: Parameters<typeof inspectionOf>[1] = {},
): Inspection {
  return inspectionOf([runOf([{ ...CLAY, material, diameterIn }, ...said, MAIN_AT_60])], changes);
}

/** A defect at 30 ft. */
export const defect = (kind: string, more: Record<string, unknown> = {}): Said => ({
  kind: 'defect',
  defect: kind,
  readingFt: 30,
  ...more,
});

/** A pool from 30 to 36 ft. */
export const pool = (more: Record<string, unknown> = {}): Said =>
  defect('standing-water', { toReadingFt: 36, fillRatio: 0.2, ...more });

export function sceneFrom(inspection: Inspection): Scene {
  const settings = settingsInForce(inspection.settings);
  const logs = new Map(inspection.runs.map((run) => [run.id, foldLog(run.entries)]));
  const laterals = [...groupRunsByLine(inspection)].map(([lineId, runs]) =>
    buildLateral(inspection, lineId, runs, logs, settings),
  );
  return sceneOf(inspection, laterals, settings);
}

/** What one rule concludes of an inspection. */
export function conclusionsOf(ruleId: string, inspection: Inspection): readonly AnyConclusion[] {
  const rule = RULES.find(({ id }) => id === ruleId);
  if (!rule) throw new Error(`no rule is called ${ruleId}`);
  return rule.conclude(sceneFrom(inspection));
}

/** The words of conclusions, what settles them and what they advise included. */
export function wordsOfConclusions(conclusions: readonly AnyConclusion[]): string {
  return JSON.stringify(conclusions);
}
