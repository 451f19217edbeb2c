import { readDemoLaterals } from '#core/testing/demo-laterals';
import { onRigPage, setupOf } from './rig-page';
import type { Row } from './row';
import type { Seen } from './seen-page';

const FOLDER = new URL(`file://${process.cwd()}/demo/laterals/`);
/** A moment that is pointed out belongs to what was passed so near it, seconds: the camera sees ahead. */
const NEAR_S = 3;

const isNear = (atS: number, others: readonly number[]) =>
  others.some((other) => Math.abs(other - atS) <= NEAR_S);

/** What the machine sees by itself in the six laterals, as the rig shows them: its first guesses, and what it points out. */
export async function benchSeen(): Promise<Row[]> {
  const all = await onRigPage('bench/seen-page.ts', async (page) => {
    const seen: Seen[] = [];
    for (const truth of readDemoLaterals(FOLDER))
      seen.push(
        await page.evaluate(
          ([one, setup]) =>
            (
              window as unknown as { seeThrough: (...of: readonly unknown[]) => Promise<Seen> }
            ).seeThrough(one, setup),
          [truth, setupOf(truth)] as const,
        ),
      );
    return seen;
  });
  const guesses = all.flatMap((one) => one.guesses);
  const wet = guesses.filter(({ truth }) => truth > 0.08);
  const dry = guesses.filter(({ truth }) => truth === 0);
  const offered = wet.filter(({ fill }) => fill !== null);
  const of = (count: number, whole: number) =>
    `${((100 * count) / Math.max(1, whole)).toFixed(0)}% of ${whole}`;
  const near = (most: number) =>
    of(offered.filter(({ fill, truth }) => Math.abs(fill! - truth) <= most).length, offered.length);
  const pipes = all.flatMap(({ pipeS, notices }) =>
    pipeS.map((atS) =>
      isNear(
        atS,
        notices.map(({ atMs }) => atMs / 1000),
      ),
    ),
  );
  const waters = all.flatMap(({ waterS, notices }) =>
    waterS.map((atS) =>
      isNear(
        atS,
        notices.flatMap(({ atMs, toMs }) => [atMs / 1000, (toMs ?? atMs) / 1000]),
      ),
    ),
  );
  const minutes = all.reduce((sum, { lastsS }) => sum + lastsS, 0) / 60;
  const pointed = all.flatMap((one) => one.notices.map((notice) => ({ one, notice })));
  const idle = pointed.filter(
    ({ one: { pipeS, waterS, thingsS }, notice: { atMs, toMs } }) =>
      ![atMs / 1000, (toMs ?? atMs) / 1000].some((atS) =>
        isNear(atS, [...pipeS, ...waterS, ...thingsS]),
      ),
  );
  return [
    {
      what: 'first guess: an edge is offered',
      aim: '–',
      got: of(guesses.filter(({ hasEdge }) => hasEdge).length, guesses.length),
    },
    {
      what: 'first guess: a line of water is offered where water stands',
      aim: '–',
      got: of(offered.length, wet.length),
    },
    { what: 'first guess: fill within .05 where one is offered', aim: '–', got: near(0.05) },
    { what: 'first guess: fill within .1 where one is offered', aim: '–', got: near(0.1) },
    {
      what: 'first guess: a line of water is offered where there is none',
      aim: '–',
      got: of(dry.filter(({ fill }) => fill !== null).length, dry.length),
    },
    {
      what: `pointed out within ${NEAR_S} s: changes of pipe`,
      aim: '–',
      got: of(pipes.filter(Boolean).length, pipes.length),
    },
    {
      what: `pointed out within ${NEAR_S} s: standing water that begins or ends`,
      aim: '–',
      got: of(waters.filter(Boolean).length, waters.length),
    },
    {
      what: 'pointed out with nothing there, a minute of recording',
      aim: '–',
      got: `${(idle.length / minutes).toFixed(2)} (${pointed.length} pointed out in ${minutes.toFixed(1)} min)`,
    },
  ];
}
