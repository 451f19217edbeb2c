import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';

/** Habits of the house that no linter keeps. Paths are from the project's folder. */

const ROOMS = ['src', 'e2e', 'bench', 'scripts'];
const files = ROOMS.flatMap((room) =>
  readdirSync(room, { recursive: true, encoding: 'utf8' }).map((name) => join(room, name)),
).filter((name) => /\.(ts|tsx|mjs|astro)$/.test(name));
const read = (name: string) => readFileSync(name, 'utf8');
const isTest = (name: string) => /\.(test|cases|spec)\.tsx?$|\/testing\/|^e2e\//.test(name);
const own = files.filter((name) => name !== 'src/house.test.ts');

/** Files outside the tests that say a word in quotes. */
const sayers = (word: string) =>
  own.filter((name) => !isTest(name) && new RegExp(`['"/]${word}['"]`).test(read(name))).sort();

/** Files that import a module by the end of its path. */
const importers = (path: string) =>
  own.filter((name) => !isTest(name) && new RegExp(`from '[^']*/${path}'`).test(read(name)));

describe('the house', () => {
  it('keeps no line from the formatter, and says why a rule of lint is off', () => {
    const told = own.flatMap((name) =>
      read(name)
        .split('\n')
        .filter((line) => line.includes(`prettier-ignore`) || /eslint-disable(?!.* -- )/.test(line))
        .map((line) => `${name}: ${line.trim()}`),
    );
    expect(told).toEqual([]);
  });

  it('lists kinds of things nowhere but in the catalogue: flags stand on the thing', () => {
    const LIST = /(?:DefectKind|FindingKind|Material|FeatureKind|AccessKind|Zone)\[\] = \[\s*'/;
    const lists = own.filter(
      (name) => !isTest(name) && !name.startsWith('src/core/catalogue/') && LIST.test(read(name)),
    );
    expect(lists).toEqual([]);
  });

  it.each([
    ['catalogue/defects', ['index.ts', 'kinds.ts']],
    ['catalogue/materials', ['index.ts', 'kinds.ts']],
    ['catalogue/features', ['index.ts', 'kinds.ts']],
    ['catalogue/access', ['index.ts', 'kinds.ts']],
  ])(
    '%s: a thing is its file and a line of the register, and nobody else reads its page',
    (room, other) => {
      const things = readdirSync(`src/core/${room}`).filter((name) => !other.includes(name));
      for (const thing of things) {
        const page = `${room.split('/')[1]}/${thing.replace(/\.ts$/, '')}`;
        expect(importers(page)).toEqual([]);
        expect(read(`src/core/${room}/index.ts`)).toContain(`'./${thing.replace(/\.ts$/, '')}'`);
      }
    },
  );

  it('a new kind of defect is two files: the newest is named by its page, the register and its rule', () => {
    expect(sayers('exfiltration')).toEqual([
      'src/core/catalogue/defects/exfiltration.ts',
      'src/core/catalogue/defects/index.ts',
      'src/core/judge/rules/structure/leaks-out.ts',
    ]);
  });

  it.each([
    [
      'a rule',
      'src/core/judge/rules/structure/leaks-out.ts',
      'structure/leaks-out',
      ['src/core/judge/rules/index.ts'],
    ],
    [
      'a check',
      'src/core/judge/checks/short-drain.ts',
      'short-drain',
      ['src/core/judge/checks/index.ts'],
    ],
    [
      'a method',
      'src/core/planning/methods/burst.ts',
      'burst',
      ['src/core/planning/methods/index.ts'],
    ],
  ])('%s is its file and a line of the register', (_, file, path, register) => {
    expect(read(file)).not.toBe('');
    expect(importers(path)).toEqual(register);
  });
});

describe('what is written for the next people', () => {
  const page = read('CONTRIBUTING.md');
  const pieces = [...page.matchAll(/<!-- from (\S+) -->\n```\w+\n([^`]+)```/g)];

  it.each(pieces.map(([, file, code]) => [file!, code!]))('quotes %s as it is', (file, code) => {
    expect(read(file)).toContain(code);
  });

  it('quotes one defect, one rule and one migration, and names commands that there are', () => {
    const files = pieces.map(([, file]) => file!);
    for (const room of ['catalogue/defects/', 'judge/rules/', 'migrations/'])
      expect(files.some((file) => file.includes(room))).toBe(true);
    const { scripts } = JSON.parse(read('package.json')) as { scripts: Record<string, string> };
    const pages = ['README.md', 'CONTRIBUTING.md', 'docs/architecture.md', 'docs/operations.md'];
    const named = pages.flatMap((name) =>
      [...read(name).matchAll(/npm run (?:-s )?([a-z:]+)/g)].map(([, script]) => script!),
    );
    expect(named.length).toBeGreaterThan(5);
    expect(named.filter((script) => !Object.hasOwn(scripts, script))).toEqual([]);
  });

  it('leads nowhere that is not there', () => {
    const folders: Record<string, readonly string[]> = {
      '.': readdirSync('.').filter((name) => name.endsWith('.md')),
      docs: readdirSync('docs').filter((name) => name.endsWith('.md')),
    };
    const dead = Object.entries(folders).flatMap(([folder, pages]) =>
      pages.flatMap((name) =>
        [...read(join(folder, name)).matchAll(/\]\((?!https?:|#)([^)#\s]+)/g)]
          .map(([, path]) => join(folder, path!))
          .filter((path) => !existsSync(path))
          .map((path) => `${folder}/${name} → ${path}`),
      ),
    );
    expect(dead).toEqual([]);
  });

  it('names files of the source that there are', () => {
    const named = [...read('docs/architecture.md').matchAll(/`(src\/[\w./-]+\.ts)`/g)];
    expect(named.length).toBeGreaterThan(5);
    expect(named.map(([, path]) => path!).filter((path) => !existsSync(path))).toEqual([]);
  });
});
