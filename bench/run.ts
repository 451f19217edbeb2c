import { readFileSync, writeFileSync } from 'node:fs';
import { cpus } from 'node:os';
import { meanKeys, TYPED_SCOPE, withFootage } from '#core/testing/typed-scope';
import { scoreHeldOut } from './callouts/score';
import { benchCore } from './core';
import { benchFootage } from './footage';
import { benchJoin } from './join';
import { benchLongVideo } from './long-video';
import { benchOffice } from './office';
import { benchPdf } from './pdf';
import { tellRecovered } from './recover/table';
import { benchDensity, benchRepair, compareChoosing } from './repair';
import { benchRig, compareLaterals } from './rig';
import type { Row } from './row';
import { benchSeen } from './seen';
import { benchServer } from './server';
import { benchStills } from './stills';

/** Runs one part and says on the error stream how long it took: the whole takes a quarter of an hour. */
async function part<Result>(name: string, work: () => Result | Promise<Result>): Promise<Result> {
  const startMs = performance.now();
  const result = await work();
  console.error(`${name}: ${((performance.now() - startMs) / 1000).toFixed(0)} s`);
  return result;
}

const core = await part('core', benchCore);
const joining = await part('joining', benchJoin);
const recovered = await part('recovering', () => tellRecovered());
const repair = await part('repairs', () => [...benchDensity(), ...benchRepair()]);
const choosing = await part('choosing', compareChoosing);
const pdf = await part('PDF', benchPdf);
const server = await part('server', benchServer);
const office = await part('office', benchOffice);
const rig = await part('rig', benchRig);
const stills = await part('stills', () => [...benchStills(true), ...benchStills(false)]);
const seen = await part('seen by the machine', benchSeen);
const longVideo = await part('long video', benchLongVideo);
const footage = await part('footage', benchFootage);
const table = (rows: readonly Row[]) =>
  [
    '| what | aim | measured |',
    '| --- | --- | --- |',
    ...rows.map((row) => `| ${row.what} | ${row.aim} | ${row.got} |`),
  ].join('\n');

const scored = scoreHeldOut();
const count = (verdict: string) => scored.filter((one) => one.verdict === verdict).length;
const callouts: Row[] = [
  { what: 'right in every field', aim: '–', got: `${count('right')} of ${scored.length}` },
  { what: 'asked which of two readings', aim: '–', got: String(count('asked')) },
  { what: 'kept as a flag with its words', aim: '–', got: String(count('kept')) },
  {
    what: 'right thing and place, a field missing or too many',
    aim: '–',
    got: String(count('partly')),
  },
  { what: 'wrong', aim: '0', got: String(count('wrong')) },
];
const keys: Row[] = [
  {
    what: 'footage from the counter',
    aim: '≤ 14',
    got: String(meanKeys(TYPED_SCOPE.map(([say]) => say))),
  },
  {
    what: 'footage typed',
    aim: '–',
    got: String(meanKeys(TYPED_SCOPE.map(([say, atFt]) => withFootage(say, atFt)))),
  },
];

const text = `# Benchmarks

\`npm run bench\` writes this page. Node ${process.versions.node}, ${cpus().length} × ${cpus()[0]?.model ?? 'unknown processor'}, ${new Date().toISOString().slice(0, 10)}.

## The core, in process

Median of many runs after warm-up, with the 99th percentile behind it. A log of n entries is one run out and back with
corrections, stretches, water, locates and unseen stretches in the proportions of a real one, over 480 ft at the most
(\`src/core/testing/long-log.ts\`). The least program folds, places, matches and grades and does nothing else: no reasons,
zones, checks, rules or words (\`bench/limit.ts\`). The machine is shared:
the ratios of one run hold, the milliseconds of one day do not. A figure beyond the aim beside it is a miss,
and stands here as one.

${table(core)}

## Joining runs

${table(joining)}

Five hundred laterals (the six that ship and others made by seed, each furnished with five more things to see) are scoped
by script with slip and slack: three runs from two accesses. Every tie that Chert offers is accepted, as a hurried
inspector would; those that are wrong are counted and left out of the rest (\`bench/recover\`). Then one reading's digits
are swapped, or one run is turned to face the other way, and Chert is asked what it makes of that.

${recovered}
The last column of the first table is what the stated σ would have to be multiplied by to be right for this rig. With footage
read to the tenth it is far below 1: the half foot in every σ is for footage spoken to the foot, and the rig's reel is
better than the half percent and the half of the misclosure that the σ allows it. With footage said to the foot it is near 1
over all features, a few gross errors included, and about half without them. The σ are left as they are: they are meant for
reels and people in the field.

## Repairs

A hundred random problems of each size: shared set-ups and permits, tees to reopen, stretches that no method passes, points
and stretches that overlap (\`src/core/testing/choosing.ts\`). The solver gets the same problem as an integer program; writing
the program down is not timed.

${choosing}

${table(repair)}

## The report as PDF

${table(pdf)}

## The server

The built app on an empty database, on loopback.

${table(server)}

## The office

A week of 40 inspectors with 400 jobs, two a day each; then the same with 40,000 jobs of ten years behind it. Server and
browser share two cores, and the browser draws by software: an empty board's first paint is what the rest is held against.

${table(office)}

## The simulated rig

${table(rig)}

A script drives each demo lateral from every access and logs what the camera passes; Chert derives the log, and what it
found is laid beside the truth (\`src/core/simulator/script\`). A thing is *unseen* where the log says that nobody could see, and
*not reached* where no run placed on its line came by: the script ties nothing, so runs from a second access stay apart.

${compareLaterals()}

## Measuring on the still

Two hundred joints of the demo laterals as the rig's own camera shows them, touched where a person would (eight places on the
edge, the end of the pipe, the thing) with a hand's σ of two points in a picture 400 high (\`bench/stills.ts\`). The truth is the geometry.

${table(stills)}

## Seen by the machine

A camera pushed at half a foot a second through the six laterals of the rig, the first run of each; a frame every quarter second of
it, as when a recording is looked through, and a first guess every two (\`bench/seen.ts\`). Nothing is touched by anybody. The truth is
the lateral's. For the guesses the same places are drawn dry, and with water laid in them up to the lens.

${table(seen)}

## A long recording

Two gigabytes as a browser would have sent them, in pieces, opened in Chromium from the server of this machine; and a page that records
while its heap is read (\`bench/long-video.ts\`). The first time somebody opens a recording the server walks it.

${table(longVideo)}

## Time and footage

Forty made runs with pauses, pulling back and two speeds, laid out by what they left in the log (\`bench/footage.ts\`).

${table(footage)}

## The call-out line

Sixty call-outs as five different inspectors might say them (\`bench/callouts/held-out.json\`), written down before the
grammar was. Eight of them were looked into when the reader of speech was built, and are right since.

${table(callouts)}

Keys pressed for an observation, Enter included, mean of thirty from one scope (\`src/core/testing/typed-scope.ts\`):

${table(keys)}

${readFileSync('bench/hottest.md', 'utf8')}
${readFileSync('bench/speech.md', 'utf8')}
${readFileSync('bench/mutation.md', 'utf8')}`;
writeFileSync('docs/benchmarks.md', text);
console.log(text);
