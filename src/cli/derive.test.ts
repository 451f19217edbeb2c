import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';

const derive = (args: string[], input = '') =>
  spawnSync(process.execPath, ['scripts/derive.mjs', ...args], { input, encoding: 'utf8' });
const ALDER = 'demo/alder-bend.chert.json';

describe('npm run -s derive', () => {
  it('prints one JSON object for a file, and the same from standard input', () => {
    const byFile = derive([ALDER]);
    expect(byFile.status).toBe(0);
    expect(byFile.stderr).toBe('');
    const printed = JSON.parse(byFile.stdout) as Record<string, any>;
    expect(printed['report'].overall).toBe('repair-needed');
    expect(derive(['-'], readFileSync(ALDER, 'utf8')).stdout).toBe(byFile.stdout);
  });

  it.each<[string, string[], string, RegExp]>([
    ['no argument', [], '', /usage/],
    [
      'a file that is not there',
      ['nowhere.json'],
      '',
      /nowhere\.json: expected a file that can be read/,
    ],
    ['no JSON', ['-'], '{', /file: expected JSON, got/],
    ['a list', ['-'], '[]', /file: expected an inspection/],
    [
      'many faults',
      ['-'],
      '{"format":"x","version":1,"runs":[{"entries":[{"kind":"blob"}]}]}',
      /runs\[0\]\.entries\[0\]\.kind: expected one of/,
    ],
  ])('exits 2 on %s, every fault on stderr, nothing on stdout', (_, args, input, said) => {
    const { status, stdout, stderr } = derive(args, input);
    expect(status).toBe(2);
    expect(stdout).toBe('');
    expect(stderr).toMatch(said);
    expect(stderr).not.toMatch(/\bat .+:\d+:\d+/);
  });
});
