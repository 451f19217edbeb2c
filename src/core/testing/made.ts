import fc from 'fast-check';
import type { Inspection } from '../model/job/inspection';
import type { Run } from '../model/job/run';
import { anyLog } from './arbitrary';
import { CLAY, inspectionOf, MAIN_AT_60, runOf, type Said } from './build';
import { accessOf } from './joined';
import { anyScopedLine } from './scoped-line';

const of = <T>(...words: readonly T[]) => fc.constantFrom(...words);

/** A log as chance would have it, from any access, facing either way, of one line or two. */
const anyWildInspection: fc.Arbitrary<Inspection> = fc
  .record({
    first: anyLog(14),
    second: fc.option(anyLog(8), { freq: 2 }),
    waterAtStart: of(undefined, 'none' as const, 'running' as const, 'unknown' as const),
    facing: of('downstream' as const, 'downstream' as const, 'upstream' as const),
    alongLine: of(undefined, 'house-end' as const, 'along' as const, 'near-street' as const),
    zone: of('yard' as const, 'basement' as const, 'under-house' as const, 'driveway' as const),
    isOtherLine: fc.boolean(),
    hasEnd: fc.boolean(),
    scope: of('lateral' as const, 'lateral-and-building-drain' as const),
    responsibility: of('to-main' as const, 'to-property-line' as const),
  })
  .map((said) => {
    const { waterAtStart, facing, alongLine, scope, responsibility } = said;
    const start = waterAtStart === undefined ? {} : { waterAtStart };
    const setup = (more: Partial<Run>): Partial<Run> => ({ facing, ...start, ...more });
    const end: readonly Said[] = said.hasEnd
      ? [{ ...MAIN_AT_60, at: '2026-11-03T10:40:00-08:00' }]
      : [];
    const { waterAtStart: _none, ...first } = runOf([CLAY, ...said.first, ...end], {});
    const runs: Run[] = [{ ...first, ...setup({}) }];
    if (said.second) {
      const { waterAtStart: _unsaid, ...second } = runOf(said.second, {
        id: 'R2',
        accessPointId: 'B',
      });
      runs.push({ ...second, ...(said.isOtherLine ? { lineId: 'L2' } : {}) });
    }
    const along = alongLine === undefined ? {} : { alongLine };
    const base = inspectionOf(runs, {
      job: { scope, responsibility },
      accessPoints: [accessOf('A', { zone: said.zone, ...along }), accessOf('B')],
    });
    return {
      ...base,
      lines: [
        { id: 'main-line', label: 'house to main' },
        { id: 'L2', label: 'guest house', joins: 'main-line' },
      ],
    };
  });

/** Any job at all: half as an inspector would log it, half as chance would. */
export const anyMadeInspection: fc.Arbitrary<Inspection> = fc.oneof(
  anyScopedLine,
  anyWildInspection,
);
