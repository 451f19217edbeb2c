import { kindsWith } from '../../../catalogue/defects/kinds';
import { sayFixture } from '../../../model/log/kinds/seeing';
import type { Finding } from '../../finding';
import { advice, type Conclusion, question, reason, suspicion } from '../conclusion';
import type { Rule } from '../rule';
import { findingsOf, nameOf, runsOf, type Scene, type Standing, standingOf } from '../scene';

/** Of several things in the way the one farthest downstream is cleared first: what is loosened above it would lodge there. */
function firstToClear(scene: Scene): Conclusion[] {
  const backs = standingOf(scene, 'flow-test').filter(({ entry }) => entry.result === 'backs-up');
  if (backs.length === 0) return [];
  const inTheWay = findingsOf(scene, ...kindsWith('narrows')).filter(
    ({ placed, severity }) => placed && severity !== 'slight',
  );
  const last = inTheWay.toSorted((a, b) => b.span.toFt - a.span.toFt)[0];
  if (!last || inTheWay.length < 2) return [];
  return [
    advice(
      null,
      `Clear ${nameOf(last)} first: of what is in the way it lies farthest downstream, where what is loosened above would lodge.`,
    ),
  ];
}

/** Whether somebody looked for what was moved: called the pipe clear of it, or logged what still lies there. */
function isFollowed(scene: Scene, debris: Finding): boolean {
  const axes = runsOf(scene).filter(({ run }) => debris.runIds.includes(run.id));
  return axes.some(({ log }) => {
    const entries = debris.entryIds.flatMap((id) => log.byId.get(id) ?? []);
    const movedMs = Math.min(...entries.map(({ at }) => Date.parse(at)));
    return log.standing.some((entry) => {
      if (Date.parse(entry.at) <= movedMs) return false;
      if (entry.kind === 'clear') return entry.kinds?.includes('debris') ?? true;
      return entry.kind === 'defect' && entry.defect === 'debris' && entry.ourDoing !== true;
    });
  });
}

/** What this inspection moved is nobody's fault, and somebody must say where it went. */
function ourDebris(scene: Scene): Conclusion[] {
  return scene.findings
    .filter(({ ourDoing, kind }) => ourDoing && kind === 'debris')
    .filter((debris) => !isFollowed(scene, debris))
    .map((debris) =>
      question(
        debris,
        'reel',
        'Where the debris went that this inspection moved was not logged.',
        'Look whether it left the line: say where it is clear, or log what still lies there.',
      ),
    );
}

export const risesWithWater: Rule = {
  number: 18,
  id: 'rises-with-water',
  when: 'added water rises or drains slowly',
  then: 'there is a blockage ahead, unless our own head pushed the plug there: then say so',
  because: 'water that cannot pass climbs back to where it came in',
  conclude: (scene) => {
    const isAfterOurs = ({ axis, entry }: Standing<'flow-test'>) =>
      axis.log
        .of('defect')
        .some((one) => one.ourDoing === true && Date.parse(one.at) <= Date.parse(entry.at));
    return [
      ...firstToClear(scene),
      ...ourDebris(scene),
      ...standingOf(scene, 'flow-test')
        .filter(({ entry }) => entry.result === 'backs-up' || entry.result === 'slow')
        .map((test): Conclusion => {
          const { axis, entry } = test;
          const saw = entry.result === 'slow' ? 'drained slowly' : 'backed up';
          return isAfterOurs(test)
            ? reason(
                null,
                `Water from ${sayFixture(entry.fixture)} ${saw} in run ${axis.name}. Our own head had moved debris in this line, which may be why: it says nothing of the house.`,
              )
            : suspicion(
                null,
                'debris',
                `Water from ${sayFixture(entry.fixture)} ${saw} in run ${axis.name}: something blocks the way ahead.`,
                'clear the line, then run the fixture again',
              );
        }),
    ];
  },
};
