import { describe, expect, it } from 'vitest';
import { checkInspection } from '../interchange/inspection-file';
import { readDemoLaterals } from '../testing/demo-laterals';
import { plainLateral } from '../testing/laterals';
import { generateLateral } from './generate';
import { jobFromLateral, simulatedBy } from './job-from-lateral';
import { checkLateral } from './truth-schema';

const faultsOf = (value: unknown) => {
  const outcome = checkLateral(value);
  return outcome.ok ? [] : outcome.faults.map(({ path }) => path);
};

describe('a lateral file', () => {
  it('is read for each one that ships, and each that is made', () => {
    const shipped = readDemoLaterals();
    expect(shipped.length).toBeGreaterThanOrEqual(6);
    for (let seed = 1; seed <= 200; seed += 1) expect(faultsOf(generateLateral(seed))).toEqual([]);
  });
  it.each([
    ['not an object', [], ['']],
    ['another format', { ...plainLateral(), format: 'x' }, ['format']],
    [
      'pipes that stop short',
      plainLateral({ pipes: [{ toFt: 50, material: 'pvc', diameterIn: 4 }] }),
      ['lines[0].pipes[0].toFt'],
    ],
    [
      'a thing beyond the end',
      plainLateral({ defects: [{ atFt: 61, defect: 'crack' }] }),
      ['lines[0].defects[0]'],
    ],
    [
      'a stretch backwards',
      plainLateral({ defects: [{ atFt: 20, toFt: 10, defect: 'scale' }] }),
      ['lines[0].defects[0]'],
    ],
    [
      'a profile that turns back',
      plainLateral({
        invert: [
          [0, 0],
          [20, -3],
          [10, -4],
        ],
      }),
      ['lines[0].invert[2]'],
    ],
    [
      'a line that joins nothing',
      plainLateral({ joins: { lineId: 'q', atFt: 1 } }),
      ['lines[0].joins.lineId', 'lines[0].outlet.kind'],
    ],
    [
      'an access on no line',
      plainLateral({}, { accesses: [{ ...plainLateral().accesses[0]!, lineId: 'q' }] }),
      ['accesses[0].lineId'],
    ],
    [
      'an access beyond the end',
      plainLateral({}, { accesses: [{ ...plainLateral().accesses[0]!, atFt: 99 }] }),
      ['accesses[0].atFt'],
    ],
  ] as const)('refuses %s', (_what, value, paths) => {
    expect(faultsOf(value)).toEqual(paths);
  });
});

describe('a job made from a lateral', () => {
  const truth = readDemoLaterals().find(({ id }) => id === 'slab-court')!;
  const job = jobFromLateral(truth, {
    id: 'J',
    scheduledFor: '2026-11-03T09:00:00-08:00',
    inspector: 'I',
    seed: 5,
  });
  it('is a whole inspection that names its lateral', () => {
    expect(checkInspection(job).ok).toBe(true);
    expect(simulatedBy(job.job)).toEqual({ lateralId: 'slab-court', seed: 5 });
    expect(job.lines!.map(({ id, joins }) => [id, joins])).toEqual([
      ['house', undefined],
      ['studio', 'house'],
    ]);
    expect(job.accessPoints.map(({ id, alongLine }) => [id, alongLine])).toEqual([
      ['S', 'house-end'],
      ['A', 'along'],
    ]);
  });
  it('gives nothing of the truth away', () => {
    const text = JSON.stringify(job);
    for (const word of ['debris', 'asbestos', 'grease', 'invert', 'roots'])
      expect(text).not.toContain(word);
  });
  it('is not taken for one when it is not', () => {
    expect(simulatedBy({ ...job.job, simulates: undefined } as never)).toBeNull();
    expect(simulatedBy({ ...job.job, simulates: { lateralId: 3 } } as never)).toBeNull();
  });
});
