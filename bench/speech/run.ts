import { type Scored, scoreLines, type Verdict } from './score-lines';

const VERDICTS: readonly Verdict[] = ['right', 'asked', 'kept', 'partly', 'wrong', 'false fact'];
const [path = 'bench/speech/lines.txt', ...flags] = process.argv.slice(2);
const scored = scoreLines(path);
const tags = [...new Set(scored.map(({ tag }) => tag))];
const count = (list: readonly Scored[], verdict: Verdict) =>
  list.filter((one) => one.verdict === verdict).length;
const row = (name: string, list: readonly Scored[]) =>
  `| ${[name, list.length, ...VERDICTS.map((verdict) => count(list, verdict) || '')].join(' | ')} |`;

console.log(`| ${['kind', 'lines', ...VERDICTS].join(' | ')} |`);
console.log(`| ${['kind', 'lines', ...VERDICTS].map(() => '---').join(' | ')} |`);
for (const tag of tags)
  console.log(
    row(
      tag,
      scored.filter((one) => one.tag === tag),
    ),
  );
console.log(row('all', scored));
if (flags.includes('--why'))
  for (const { tag, say, verdict, why } of scored)
    if (verdict !== 'right') console.log(`${verdict.padEnd(10)} ${tag}: “${say}” ${why}`);
