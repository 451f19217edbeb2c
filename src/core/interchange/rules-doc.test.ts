import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { RULES } from '../judge/rules/index';
import { writeRulesDoc } from './rules-doc';

it('docs/rules.md is what the rules say (npm run rules writes it)', () => {
  expect(readFileSync('docs/rules.md', 'utf8')).toBe(writeRulesDoc(RULES));
});
