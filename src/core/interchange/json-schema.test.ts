import { readdirSync, readFileSync } from 'node:fs';
import { Ajv2020 } from 'ajv/dist/2020';
import { describe, expect, it } from 'vitest';
import { readInspectionFile } from './inspection-file';
import { inspectionJsonSchema } from './json-schema';

const schema = JSON.parse(readFileSync('docs/inspection-file.schema.json', 'utf8')) as object;
const accepts = new Ajv2020({ strict: false, allErrors: true, multipleOfPrecision: 6 }).compile(
  schema,
);
const demo = readdirSync('demo').filter((name) => name.endsWith('.chert.json'));
const read = (name: string) =>
  JSON.parse(readFileSync(`demo/${name}`, 'utf8')) as Record<string, any>;

/** Values that some field somewhere must refuse. */
const STRANGE = [-1, 1.5, 13, 'x', '', null, true, [], {}, undefined];

/** Every place in a value, as a path. */
function* places(value: unknown, at: (string | number)[] = []): Generator<(string | number)[]> {
  if (at.length > 0) yield at;
  if (value === null || typeof value !== 'object') return;
  for (const key of Object.keys(value)) {
    const step = Array.isArray(value) ? Number(key) : key;
    yield* places((value as Record<string, unknown>)[key], [...at, step]);
  }
}

function changed(file: unknown, path: (string | number)[], to: unknown): unknown {
  const copy = structuredClone(file);
  let holder = copy as Record<string | number, any>;
  for (const step of path.slice(0, -1)) holder = holder[step];
  if (to === undefined) Reflect.deleteProperty(holder, path.at(-1)!);
  else holder[path.at(-1)!] = to;
  return copy;
}

describe('docs/inspection-file.schema.json', () => {
  it('is what the schemas in the code make of it (npm run schema writes it)', () => {
    expect(schema).toEqual(JSON.parse(JSON.stringify(inspectionJsonSchema())));
  });

  it.each(demo)('accepts demo/%s', (name) => {
    expect(accepts(read(name))).toBe(true);
  });

  it('agrees with Chert on every single change of the demo file’s job, property, access and set-up', () => {
    const file = read('alder-bend.chert.json');
    file['runs'][0].entries = file['runs'][0].entries.slice(0, 3);
    let refused = 0;
    for (const path of places(file)) {
      for (const strange of STRANGE) {
        const tried = changed(file, path, strange);
        const chert = readInspectionFile(JSON.stringify(tried));
        // Ids that name something else, and days that no calendar has, are beyond a schema.
        const isOutside =
          !chert.ok &&
          chert.faults.some(({ expected }) => /\bid\b|calendar|time of day/.test(expected));
        if (isOutside) continue;
        expect([path.join('.'), strange, accepts(JSON.parse(JSON.stringify(tried)))]).toEqual([
          path.join('.'),
          strange,
          chert.ok,
        ]);
        if (!chert.ok) refused += 1;
      }
    }
    expect(refused).toBeGreaterThan(300);
  });
});
