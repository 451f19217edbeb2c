import { readFileSync } from 'node:fs';
import { zipSync } from 'fflate';

/** An import made to hurt: its name, its type and its bytes. */
export type Crafted = { readonly name: string; readonly type: string; readonly body: Uint8Array };

const MEGABYTE = 1024 * 1024;
const alder = readFileSync('demo/alder-bend.chert.json', 'utf8');
type Json = Record<string, any>;
const fresh = (): Json => JSON.parse(alder) as Json;
const text = (value: string) => new TextEncoder().encode(value);
const json = (name: string, value: unknown): Crafted => ({
  name,
  type: 'application/json',
  body: text(typeof value === 'string' ? value : JSON.stringify(value)),
});
let count = 0;
const changed = (name: string, change: (file: Json) => void): Crafted => {
  const file = fresh();
  file['job'].id = `crafted-${(count += 1)}`;
  change(file);
  return json(name, file);
};
const many = <T>(length: number, make: (index: number) => T): T[] =>
  Array.from({ length }, (_, index) => make(index));
const entry = (index: number, more: object) => ({
  id: `x${index}`,
  at: '2026-11-03T09:00:00Z',
  pass: 'out',
  readingFt: 1,
  ...more,
});
const withLog = (name: string, log: unknown) =>
  changed(name, (file) => {
    file['runs'] = [{ ...file['runs'][0], entries: log }];
    file['ties'] = [];
    file['decisions'] = [];
  });
const zip = (
  name: string,
  files: Record<string, Uint8Array>,
  spoil: (bytes: Uint8Array) => Uint8Array = (bytes) => bytes,
): Crafted => ({ name, type: 'application/zip', body: spoil(zipSync(files)) });
const file = () =>
  text(JSON.stringify({ ...fresh(), job: { ...fresh()['job'], id: `zip-${(count += 1)}` } }));
const nested = (depth: number) => '['.repeat(depth) + ']'.repeat(depth);

function lying(): Crafted {
  const still = new Uint8Array(MEGABYTE);
  const size = Buffer.alloc(4);
  size.writeUInt32LE(MEGABYTE);
  return zip(
    'a zip that lies of a size',
    { 'inspection.chert.json': file(), 'media/x': still },
    (bytes) => {
      const buffer = Buffer.from(bytes);
      for (let at = buffer.indexOf(size); at >= 0; at = buffer.indexOf(size))
        buffer.writeUInt32LE(9, at);
      return buffer;
    },
  );
}

/** Sixty imports that are wrong, large, deep, odd or lying. */
export function craftedImports(): Crafted[] {
  const odd = [
    'a:b',
    'a/b',
    'a#b',
    'a?b',
    '100%',
    '..',
    '.',
    '',
    ' ',
    'ü',
    '‮x',
    'a\u0000b',
    'a\ud83d',
    '\udc00',
    'x'.repeat(5000),
    '__proto__',
    'constructor',
    '"><script>',
  ];
  return [
    json('15 MB of zeros', `[${'0,'.repeat(7.5 * MEGABYTE)}0]`),
    json(
      '15 MB of zeros in a log',
      `{"format":"chert-inspection","version":1,"runs":[{"entries":[${'0,'.repeat(7 * MEGABYTE)}0]}]}`,
    ),
    json('15 MB of empty objects', `[${'{},'.repeat(5 * MEGABYTE)}{}]`),
    json('depth', nested(100_000)),
    json('depth in a job', `{"format":"chert-inspection","version":1,"job":${nested(50_000)}}`),
    json('nothing', ''),
    json('null', 'null'),
    json('a number', '1e999'),
    json('half of a file', alder.slice(0, 5000)),
    { name: 'no UTF-8', type: 'application/json', body: new Uint8Array([0xff, 0xfe, 0xfd]) },
    ...odd.map((id) =>
      changed(`job id ${JSON.stringify(id).slice(0, 20)}`, (one) => {
        one['job'].id = id;
      }),
    ),
    ...odd.slice(0, 8).map((id) =>
      changed(`run id ${JSON.stringify(id)}`, (one) => {
        one['runs'][0].id = id;
        one['job'].referenceRunId = id;
      }),
    ),
    withLog(
      '20,000 corrections in a chain',
      many(20_000, (at) =>
        entry(at, { kind: 'note', note: 'x', ...(at ? { replaces: `x${at - 1}` } : {}) }),
      ),
    ),
    withLog(
      '20,000 retractions in a chain',
      many(20_000, (at) =>
        entry(
          at,
          at
            ? { kind: 'retract', retracts: `x${at - 1}`, readingFt: null }
            : { kind: 'note', note: 'x' },
        ),
      ),
    ),
    withLog('a correction of itself', [entry(0, { kind: 'note', note: 'x', replaces: 'x0' })]),
    withLog('two that correct each other', [
      entry(0, { kind: 'note', note: 'x', replaces: 'x1' }),
      entry(1, { kind: 'note', note: 'x', replaces: 'x0' }),
    ]),
    withLog(
      '5,000 defects at one spot',
      many(5_000, (at) => entry(at, { kind: 'defect', defect: 'roots', extentRatio: 0.3 })),
    ),
    withLog(
      '480,000 photo ids',
      many(2_400, (at) =>
        entry(at, { kind: 'photo', photoIds: many(200, (id) => `p${at}-${id}`) }),
      ),
    ),
    withLog('a log that is text', 'x'),
    withLog(
      'readings beyond everything',
      many(50, (at) => entry(at, { kind: 'feature', feature: 'tee', readingFt: 99_999 - at })),
    ),
    changed('500,000 rows of history', (one) => {
      one['property'].history = many(500_000, () => ({ what: 'cleaned', note: '' }));
    }),
    changed('a title of a megabyte', (one) => {
      one['job'].title = 'x'.repeat(MEGABYTE);
    }),
    changed('100,000 unknown fields', (one) => {
      for (let at = 0; at < 100_000; at += 1) one[`k${at}`] = at;
    }),
    changed('names that hide', (one) => {
      one['job'].title = '‮evil​⁦';
      one['job'].client = '\u0007';
    }),
    changed('a year to come', (one) => {
      one['job'].scheduledFor = '9999-12-31T23:59:59Z';
    }),
    changed('decisions of anything', (one) => {
      one['decisions'] = many(9_999, (at) => ({
        id: `d${at}`,
        kind: 'override-finding',
        reason: 'x',
      }));
    }),
    changed('ties to nowhere', (one) => {
      one['ties'] = many(2_000, (at) => ({
        id: `T${at}`,
        label: 'x',
        sightings: [{ runId: 'R1', entryId: 'nix' }],
      }));
    }),
    zip('a zip without a file', { 'x.txt': text('x') }),
    zip('media/100%', { 'inspection.chert.json': file(), 'media/100%': text('x') }),
    zip('out of its folder', { 'inspection.chert.json': file(), '../../evil': text('x') }),
    zip('400 MB of zeros', { 'inspection.chert.json': new Uint8Array(400 * MEGABYTE) }),
    zip('3,000 files', Object.fromEntries(many(3_000, (at) => [`media/${at}`, text('x')]))),
    zip('a zip cut short', { 'inspection.chert.json': file() }, (bytes) =>
      bytes.subarray(0, bytes.length / 2),
    ),
    zip('a zip with its end torn', { 'inspection.chert.json': file() }, (bytes) =>
      bytes.map((byte, at) => (at > bytes.length - 40 ? byte ^ 0x55 : byte)),
    ),
    lying(),
    { name: 'no zip', type: 'application/zip', body: text('hello') },
  ];
}
