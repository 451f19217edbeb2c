import { writeFileSync } from 'node:fs';
import { writeRulesDoc } from '#core/interchange/rules-doc';
import { RULES } from '#core/judge/rules/index';

writeFileSync('docs/rules.md', writeRulesDoc(RULES));
