import { scoreNarrations } from './score-narrations';

const [folder = 'bench/speech/narrations/seen', ...flags] = process.argv.slice(2);
const scored = scoreNarrations(folder);
console.log('| narration | wanted | found | footage said and right | false facts |');
console.log('| --- | --- | --- | --- | --- |');
for (const { name, wanted, found, placed, placeable, falseFacts } of scored)
  console.log(
    `| ${name} | ${wanted} | ${found} | ${placed} of ${placeable} | ${falseFacts.length} |`,
  );
if (flags.includes('--why'))
  for (const { name, missed, falseFacts } of scored) console.log(name, { missed, falseFacts });
