import { THRESHOLD_KEYS, THRESHOLD_TABLE } from '../catalogue/severity/thresholds';
import type { Rule } from '../judge/rules/rule';

const sentence = (text: string) => `${text.charAt(0).toUpperCase()}${text.slice(1)}.`;

/** The rules of judgement as a document, written from the rules themselves. */
export function writeRulesDoc(rules: readonly Rule[]): string {
  const rows = rules.map(
    ({ number, id, when, then, because }) =>
      `### ${number}. \`${id}\`\n\n- **If** ${when}\n- **then** ${then}\n- **because** ${because}.\n`,
  );
  const thresholds = THRESHOLD_KEYS.map((key) => {
    const [value, unit, says] = THRESHOLD_TABLE[key];
    return `| \`${key}\` | ${value} | ${unit} | ${sentence(says)} |`;
  });
  return [
    '# The rules of judgement',
    '',
    'Written by `npm run rules` from the rule files in `src/core/judge/rules`; a test keeps it current.',
    'The severity table grades; the rules add reasons, causes, advice and questions, and never a second step.',
    '',
    ...rows,
    '## The numbers they turn on',
    '',
    'Each may be changed in settings. Shares are of the pipe, 0 to 1.',
    '',
    '| threshold | default | unit | what it decides |',
    '| --- | --- | --- | --- |',
    ...thresholds,
    '',
  ].join('\n');
}
