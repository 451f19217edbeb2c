import { seededRandom } from '../base/random';
import type { Inspection } from '../model/job/inspection';
import type { Entry } from '../model/log/entry';

/** The longest line of these logs, feet: a rod goes no farther. */
const LONGEST_FT = 480;

/** An inspection whose one run has about `count` entries over a line a foot long for every two, as far as a rod goes. */
export function inspectionWith(count: number): Inspection {
  const random = seededRandom(7).next;
  const lengthFt = Math.min(count / 2, LONGEST_FT);
  const stepFt = lengthFt / (count * 0.4);
  const startMs = Date.parse('2026-11-03T17:00:00Z');
  const entries: Entry[] = [];
  const add = (pass: 'out' | 'back', readingFt: number, fields: Record<string, unknown>) => {
    const index = entries.length;
    const at = new Date(startMs + index * 10_000).toISOString();
    entries.push({
      id: `e${index}`,
      at,
      pass,
      readingFt: Math.round(readingFt * 10) / 10,
      ...fields,
    } as Entry);
  };
  const kinds: (() => Record<string, unknown>)[] = [
    () => ({ kind: 'defect', defect: 'roots', extentRatio: random(), locus: 'joint' }),
    () => ({ kind: 'defect', defect: 'offset', offsetIn: random() * 2 }),
    () => ({ kind: 'defect', defect: 'crack', form: 'open' }),
    () => ({ kind: 'feature', feature: 'tee', clock: 3 }),
    () => ({
      kind: 'material',
      side: 'far',
      material: random() < 0.5 ? 'vitrified-clay' : 'pvc',
      diameterIn: 6,
    }),
    () => ({ kind: 'zone', side: 'far', zone: random() < 0.5 ? 'yard' : 'driveway' }),
    () => ({ kind: 'locate', depthIn: 40 + random() * 20 }),
    () => ({ kind: 'note', note: 'looks as before' }),
  ];
  add('out', 0, { kind: 'material', side: 'far', material: 'vitrified-clay', diameterIn: 6 });
  add('out', 0, { kind: 'water', state: 'running' });
  for (let foot = 1; entries.length < count * 0.4; foot += stepFt) {
    add('out', Math.min(foot, lengthFt), kinds[Math.floor(random() * kinds.length)]!());
  }
  add('out', lengthFt, { kind: 'end', reason: 'main', confirmedBy: 'sight' });
  add('back', lengthFt, { kind: 'water', state: 'drained' });
  let foot = lengthFt - 1;
  while (entries.length < count - 1) {
    const index = entries.length;
    if (index % 23 === 0)
      add('back', foot, {
        kind: 'defect',
        defect: 'standing-water',
        fillRatio: random(),
        toReadingFt: Math.max(0, foot - 4),
      });
    else if (index % 29 === 0)
      add('back', foot, { kind: 'unseen', cause: 'murky', toReadingFt: Math.max(0, foot - 2) });
    else if (index % 11 === 0) {
      const old = entries[index - 1]!;
      const { id, ...facts } = old;
      entries.push({
        ...facts,
        id: `e${index}`,
        replaces: id,
        at: new Date(startMs + index * 10_000).toISOString(),
      });
    } else add('back', foot, kinds[Math.floor(random() * kinds.length)]!());
    foot = Math.max(0, foot - lengthFt / (count * 0.6));
  }
  add('back', 0.6, { kind: 'home' });
  return {
    format: 'chert-inspection',
    version: 1,
    job: {
      id: `bench-${count}`,
      title: `Bench ${count}`,
      scope: 'lateral',
      scheduledFor: '2026-11-03T09:00:00-08:00',
      inspector: '',
      client: 'Bench',
      responsibility: 'to-main',
      referenceRunId: 'R1',
      profile: 'maintain-first',
    },
    property: { address: 'Bench', households: 1, occupancy: 'occupied', foundation: 'slab' },
    accessPoints: [
      {
        id: 'A',
        kind: 'cleanout',
        diameterIn: 4,
        material: 'abs',
        place: '',
        zone: 'yard',
        usable: true,
        obstacle: null,
      },
    ],
    runs: [
      {
        id: 'R1',
        accessPointId: 'A',
        facing: 'downstream',
        zero: { at: 'horizontal', readingFt: 0, dropFt: 0 },
        cleanedBefore: 'none',
        aid: 'none',
        entries,
      },
    ],
    ties: [],
    decisions: [],
    settings: {},
  };
}
