import { expect, it } from 'vitest';
import { assess } from '../assess';
import { DEMO_NAMES, demoInspection } from '../testing/demo-inspections';
import { createRig } from './rig';
import { truthOfLog } from './truth-of-log';
import { checkLateral } from './truth-schema';

const scoped = DEMO_NAMES.map((name) => [name, assess(demoInspection(name))] as const).filter(
  ([, { lateral }]) => lateral.segments.length > 0,
);

it.each(scoped)('a lateral that shows what the log of %s tells is a lateral', (_, assessment) => {
  const { truth } = truthOfLog(assessment);
  expect(checkLateral(truth)).toMatchObject({ ok: true });
});

it('water stands where the log says so, as deep, and nowhere else', () => {
  const assessment = assess(demoInspection('alder-bend'));
  const { truth, shiftFt } = truthOfLog(assessment);
  const rig = createRig(
    truth,
    {
      accessId: 'A',
      facing: 'downstream',
      headDiameterIn: 1.7,
      aid: 'none',
      headLevels: true,
      equipment: { rodFt: 200, rodLbPerFt: 0.15, pushLb: 40 },
    },
    1,
  );
  const pool = assessment.findings.find(({ kind }) => kind === 'standing-water')!;
  const dropFt = 2;
  const at = (stationFt: number) => rig.depthIn(stationFt + shiftFt + dropFt);
  expect(at((pool.span.fromFt + pool.span.toFt) / 2)).toBeCloseTo(pool.facts.depthIn!, 0);
  expect(at(pool.span.fromFt - 5)).toBe(0);
});
