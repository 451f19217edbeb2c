import { describe, expect, it } from 'vitest';
import { applyChanges } from '#client/change';
import { changesOf } from '#client/job-on-device';
import { typed } from '#client/testing/typed';
import { CLAY, inspectionOf, MAIN_AT_60, runOf } from '#core/testing/build';
import { ANOTHER, startRun } from './start-run';

const RUN = {
  facing: 'downstream',
  zeroAt: 'rim',
  zeroFt: '1.5',
  dropFt: '3',
  cleanedBefore: 'none',
  waterAtStart: 'unknown',
  aid: 'none',
};
const ACCESS = { kind: 'cleanout', diameterIn: '4', material: 'abs', place: 'yard', zone: 'yard' };
const inspection = inspectionOf([runOf([CLAY, MAIN_AT_60])]);
const [known] = inspection.accessPoints;

describe('starting a run', () => {
  it('from an access that is known is one change', () => {
    const started = startRun(inspection, { accessId: known!.id, lineId: '' }, typed(RUN));
    if (!started.ok) throw new Error('refused');
    expect(started.doing.map(({ what }) => what)).toEqual(['run']);
    expect(started.run).toMatchObject({
      accessPointId: known!.id,
      facing: 'downstream',
      zero: { at: 'rim', readingFt: 1.5, dropFt: 3 },
      entries: [],
    });
    expect(started.run.lineId).toBeUndefined();
  });

  it('a drop counts at the rim alone', () => {
    const fields = typed({ ...RUN, zeroAt: 'horizontal' });
    const started = startRun(inspection, { accessId: known!.id, lineId: '' }, fields);
    expect(started).toMatchObject({ ok: true, run: { zero: { at: 'horizontal', dropFt: 0 } } });
  });

  it('adds the access, the line it joins and the tape between the two, and the run last', () => {
    const fields = typed({
      ...RUN,
      ...ACCESS,
      lineLabel: 'Kitchen line',
      tapedFrom: known!.id,
      tapedFt: '31',
    });
    const started = startRun(inspection, { accessId: ANOTHER, lineId: ANOTHER }, fields);
    if (!started.ok) throw new Error('refused');
    expect(started.doing.map(({ what }) => what)).toEqual(['access', 'facts', 'run']);
    const after = applyChanges(inspection, changesOf(inspection, started.doing));
    const access = after.accessPoints.at(-1)!;
    expect(access).toMatchObject({ kind: 'cleanout', diameterIn: 4, usable: true, obstacle: null });
    expect(access.label).not.toBe(known!.label);
    expect(after.lines!.map(({ label, joins }) => [label, joins])).toEqual([
      ['house to main', undefined],
      ['Kitchen line', 'main-line'],
    ]);
    expect(after.spans).toEqual([
      { fromAccessPointId: known!.id, toAccessPointId: access.id, alongFt: 31, basis: 'taped' },
    ]);
    expect(after.runs.at(-1)).toMatchObject({
      accessPointId: access.id,
      lineId: after.lines![1]!.id,
    });
  });

  it.each([
    ['a zero that is no number', { zeroFt: 'x' }, known!.id, ['zero.readingFt']],
    ['a tape without its other end', { tapedFt: '31' }, known!.id, ['fromAccessPointId']],
    ['a new access without its size', { ...ACCESS, diameterIn: '' }, ANOTHER, ['diameterIn']],
  ])('refuses %s, and changes nothing', (_, fields, accessId, paths) => {
    const started = startRun(inspection, { accessId, lineId: '' }, typed({ ...RUN, ...fields }));
    if (started.ok) throw new Error('taken');
    expect(
      started.errors.flatMap(({ details }) => details.map(({ path }) => path.join('.'))),
    ).toEqual(paths);
  });

  it('refuses a line without a name', () => {
    const chosen = { accessId: known!.id, lineId: ANOTHER };
    expect(startRun(inspection, chosen, typed(RUN))).toEqual({
      ok: false,
      errors: [],
      isLineNameless: true,
    });
  });
});
