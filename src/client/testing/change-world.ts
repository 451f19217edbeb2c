import { expect } from 'vitest';
import { setupOf } from '#core/model/job/edits';
import type { Entry } from '#core/model/log/entry';
import { inspectionOf, runOf } from '#core/testing/build';
import {
  ackAfterRestore,
  afterRestore,
  type Base,
  type Change,
  type Kept,
  latestBase,
  newlyShown,
  screenOf,
  superseded,
} from '../change';

const JOB = inspectionOf([runOf([])]);
export const FIELDS = ['yearBuilt', 'bathrooms', 'households'] as const;
type Field = (typeof FIELDS)[number];
export const DEVICES = 3;

/** A plain reference of a server: fields in a map, entries in a list. */
export type Server = {
  era: number;
  rev: number;
  values: Map<string, { value: unknown; at: number; device: number }>;
  log: string[];
  known: Set<string>;
};
const copyOf = (server: Server): Server => ({
  ...server,
  values: new Map(server.values),
  log: [...server.log],
  known: new Set(server.known),
});
const eraName = (era: number) => `ERA${String(era).padStart(6, '0')}`;
export const entry = (id: string): Entry => ({
  id,
  at: '2026-11-03T09:00:00Z',
  pass: 'out',
  readingFt: 1,
  kind: 'note',
  note: id,
});

/** What a page of that server shows. */
export function pageOf(server: Server): Base {
  const property = { ...JOB.property } as Record<string, unknown>;
  for (const [field, { value }] of server.values) property[field] = value;
  const [run] = JOB.runs;
  const inspection = {
    ...JOB,
    property: property as never,
    runs: [{ ...setupOf(run!), entries: server.log.map(entry) }],
  };
  return { jobId: 'J', installation: 'I', era: eraName(server.era), rev: server.rev, inspection };
}

/** A device by the same functions that the real one uses, its store a list. */
export class Device {
  kept: Kept[] = [];
  base: Base;
  readonly said = new Map<Field, unknown>();
  constructor(
    readonly number: number,
    page: Base,
  ) {
    this.base = page;
  }
  keep(change: Change, id: string): void {
    this.kept.push({
      seq: this.kept.length + 1,
      jobId: 'J',
      id,
      installation: 'I',
      base: this.base.rev,
      saidAt: '2026-11-03T09:00:00Z',
      change,
      state: 'kept',
    });
  }
  set(which: readonly Kept[], to: (one: Kept) => Partial<Kept>): void {
    const seqs = new Set(which.map(({ seq }) => seq));
    this.kept = this.kept.map((one) => (seqs.has(one.seq) ? { ...one, ...to(one) } : one));
  }
  /** What the keeper does whenever a page or a refresh brings a state of the server. */
  show(page: Base): void {
    this.base = latestBase(this.base, page);
    this.set(newlyShown(this.base, this.kept), () => ({ state: 'shown' }));
    this.set(superseded(this.kept), () => ({ state: 'superseded' }));
    const { again, there } = afterRestore(this.base, this.kept);
    for (const { kept, change } of again) this.set([kept], () => ({ state: 'kept', change }));
    this.set(there, (one) => ({ state: 'shown', ack: ackAfterRestore(one, this.base) }));
  }
  fields(): unknown[] {
    const { property } = screenOf(this.base, this.kept);
    return FIELDS.map((field) => property[field]);
  }
  entries(): string[] {
    return screenOf(this.base, this.kept).runs[0]!.entries.map(({ id }) => id);
  }
  waits(): Kept[] {
    return this.kept.filter(({ state }) => state === 'kept');
  }
}

type Answer = 'taken' | 'answer lost' | 'portal';

/** A world of one server and some devices, stepped by chance. */
export class World {
  server: Server = { era: 1, rev: 1, values: new Map(), log: [], known: new Set() };
  backup = copyOf(this.server);
  readonly devices = Array.from(
    { length: DEVICES },
    (_, at) => new Device(at, pageOf(this.server)),
  );
  readonly oldPages: Base[] = [pageOf(this.server)];
  readonly logged: string[] = [];
  readonly editors = new Map<Field, Set<number>>();
  clock = 0;
  count = 0;

  send(device: Device, answer: Answer): void {
    const [first] = device.waits();
    if (!first || answer === 'portal') return;
    const { server } = this;
    if (!server.known.has(first.id)) {
      server.known.add(first.id);
      server.rev += 1;
      if (first.change.what === 'entry') server.log.push(first.change.entry.id);
      if (first.change.what === 'edits')
        for (const { path, value } of first.change.edits) {
          const field = path[1]!;
          const now = server.values.get(field);
          const isLater =
            first.ack && now && now.device !== device.number && now.at > Number(first.ack.at);
          if (!isLater) server.values.set(field, { value, at: this.clock, device: device.number });
        }
    }
    if (answer === 'answer lost') return;
    const ack = { rev: server.rev, era: eraName(server.era), at: String(this.clock) };
    device.set([first], () => ({ state: 'acknowledged', ack }));
  }
  step([what, which, detail]: readonly [string, number, number]): void {
    this.clock += 1;
    const device = this.devices[which % DEVICES]!;
    const id = `${(this.count += 1)}`;
    if (what === 'edit') {
      const field = FIELDS[detail % FIELDS.length]!;
      this.editors.set(field, (this.editors.get(field) ?? new Set()).add(device.number));
      const value = detail % 2 === 0 ? this.count : (detail % 5) + 1;
      device.said.set(field, value);
      device.keep({ what: 'edits', edits: [{ path: ['property', field], value }] }, id);
    } else if (what === 'log') {
      this.logged.push(id);
      device.keep({ what: 'entry', runId: 'R1', entry: entry(id) }, id);
    } else if (what === 'send') this.send(device, 'taken');
    else if (what === 'lose') this.send(device, 'answer lost');
    else if (what === 'portal') this.send(device, 'portal');
    else if (what === 'reload') {
      const page = pageOf(this.server);
      this.oldPages.push(page);
      device.show(page);
    } else if (what === 'cached') device.show(this.oldPages[detail % this.oldPages.length]!);
    else if (what === 'backup') this.backup = copyOf(this.server);
    else if (what === 'restore')
      this.server = { ...copyOf(this.backup), era: this.server.era + 1, rev: this.backup.rev };
    // What a device has not sent is on its screen as it said it last.
    for (const one of device.waits())
      for (const { path } of one.change.what === 'edits' ? one.change.edits : [])
        expect(device.fields()[FIELDS.indexOf(path[1] as Field)]).toBe(
          device.said.get(path[1] as Field),
        );
  }
  settle(): void {
    // Twice: what one device offers again another may have to see.
    for (let round = 0; round < 3; round += 1)
      for (const device of this.devices) {
        device.show(pageOf(this.server));
        while (device.waits().length > 0) {
          this.clock += 1;
          this.send(device, 'taken');
        }
      }
    for (const device of this.devices) device.show(pageOf(this.server));
  }
}

export const STEPS = [
  'edit',
  'edit',
  'edit',
  'log',
  'log',
  'send',
  'send',
  'send',
  'lose',
  'portal',
  'reload',
  'cached',
  'backup',
  'restore',
];
