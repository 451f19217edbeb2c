import { sayFt, sayIn, sayPercent } from '../../base/numbers';
import { nameDefect } from '../../catalogue/defects/kinds';
import { nameFeature } from '../../catalogue/features/kinds';
import { nameMaterial } from '../../catalogue/materials/kinds';
import { nameZone } from '../../catalogue/zones';
import type { Entry, EntryDraft } from './entry';

/** An entry in the trade's words: a title, and the facts that follow it. */
export type SaidEntry = { readonly title: string; readonly facts: readonly string[] };

const plain = (code: string) => code.replace(/-/g, ' ');
const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** Says an entry, or one about to be logged, as a row of the log. */
export function sayEntry(entry: Entry | EntryDraft): SaidEntry {
  const facts: string[] = [];
  const add = (...said: (string | false | null | undefined)[]) => {
    for (const fact of said) if (fact) facts.push(fact);
  };
  let title = capital(plain(entry.kind));
  switch (entry.kind) {
    case 'defect': {
      title = nameDefect(entry.defect);
      add(
        entry.toReadingFt !== undefined && `to ${sayFt(entry.toReadingFt)}`,
        entry.open && 'end open',
        entry.lengthFt !== undefined && `${sayFt(entry.lengthFt)} ft long`,
        entry.depthIn !== undefined && `${sayIn(entry.depthIn)} in deep`,
        entry.fillRatio !== undefined && `${sayPercent(entry.fillRatio)} full`,
        entry.extentRatio !== undefined && `${sayPercent(entry.extentRatio)} of the pipe`,
        entry.offsetIn !== undefined && `${sayIn(entry.offsetIn)} in`,
        entry.gapIn !== undefined && `${sayIn(entry.gapIn)} in wide`,
        entry.lipIn !== undefined && `${sayIn(entry.lipIn)} in high`,
        entry.sizeWord && `${entry.sizeWord}, by a word`,
        entry.form && plain(entry.form),
        entry.direction && plain(entry.direction),
        sayClock(entry.clockFrom, entry.clockTo),
        entry.locus && (entry.locus === 'barrel' ? 'in the barrel' : `at a ${entry.locus}`),
        entry.holdsDebris && 'holds debris',
        entry.soilVisible && 'soil visible',
        entry.movesWithWater && 'moves with the water',
        entry.ourDoing && 'our doing',
      );
      break;
    }
    case 'material':
      title = `${entry.diameterIn === undefined ? '' : `${sayIn(entry.diameterIn)} in `}${nameMaterial(entry.material)} ${entry.side === 'far' ? 'beyond' : 'this side'}`;
      add(
        entry.lined && 'lined',
        entry.joint,
        entry.lipIn !== undefined && `lip ${sayIn(entry.lipIn)} in`,
      );
      break;
    case 'zone':
      title = `${nameZone(entry.zone)} ${entry.side === 'far' ? 'beyond' : 'this side'}`;
      break;
    case 'feature':
      title = nameFeature(entry.feature);
      add(
        entry.angleDeg !== undefined && `${entry.angleDeg}°`,
        entry.turns,
        sayClock(entry.clock, undefined),
        entry.serves && `serves ${entry.serves}`,
        entry.dropFt !== undefined && `${sayFt(entry.dropFt)} ft down`,
      );
      break;
    case 'close':
      title = 'Stretch ends';
      break;
    case 'water':
      title = `Water ${entry.state}`;
      add(entry.source);
      break;
    case 'clear':
      title = 'Clear';
      add(
        entry.toReadingFt !== undefined && `to ${sayFt(entry.toReadingFt)}`,
        entry.open && 'end open',
        entry.kinds && `no ${entry.kinds.map((kind) => nameDefect(kind).toLowerCase()).join(', ')}`,
      );
      break;
    case 'advice':
      title = 'Advice';
      add(entry.text, entry.toReadingFt !== undefined && `to ${sayFt(entry.toReadingFt)}`);
      break;
    case 'unseen':
      title = 'Can’t see';
      add(
        plain(entry.cause),
        entry.toReadingFt !== undefined && `to ${sayFt(entry.toReadingFt)}`,
        entry.open && 'end open',
      );
      break;
    case 'locate':
      title =
        entry.depthIn === undefined
          ? entry.blockedBy === undefined
            ? 'Place located'
            : 'Locate blocked'
          : `Locate ${Math.floor(entry.depthIn / 12)} ft ${sayIn(entry.depthIn % 12)} in`;
      add(
        entry.blockedBy,
        entry.groundIn !== undefined && `ground ${sayIn(entry.groundIn)} in`,
        entry.mark,
        entry.reference,
        ...(entry.swings ?? []).map(
          ({ from, distanceFt }) => `${sayFt(distanceFt)} ft from ${from}`,
        ),
      );
      break;
    case 'flow-test':
      title = `Flow test: ${entry.fixture}`;
      add(plain(entry.result));
      break;
    case 'setup':
      title = 'Set-up changed';
      add(entry.head, entry.aid && `aid: ${entry.aid}`);
      break;
    case 'end':
      title =
        entry.reason === 'main' || entry.reason === 'tank'
          ? `${capital(entry.reason)} reached`
          : `Run ends: ${plain(entry.reason)}`;
      add(
        entry.confirmedBy === 'none' ? 'not confirmed' : `confirmed by ${entry.confirmedBy}`,
        entry.remainderFt !== undefined && `${sayFt(entry.remainderFt)} ft left`,
      );
      break;
    case 'home':
      title = 'Home';
      break;
    case 'surface':
      title = capital(plain(entry.what));
      add(entry.offsetFt !== undefined && `${sayFt(entry.offsetFt)} ft to the side`);
      break;
    case 'retract':
      title = 'Taken back';
      break;
    case 'photo':
      title = 'Still';
      break;
    case 'note':
    case 'flag':
      break;
  }
  if (entry.certainty === 'suspected') add('suspected');
  if (entry.certainty === 'cannot-tell') add('cannot tell');
  if (entry.note) add(`“${entry.note}”`);
  return { title, facts };
}

function sayClock(from: number | undefined, to: number | undefined): string | null {
  return from === undefined ? null : sayArc(from, to ?? from);
}

/** A place of the clock, or an arc of it: "3 o’clock", "3 to 5". */
export const sayArc = (from: number, to: number): string =>
  to === from ? `${sayHour(from)} o’clock` : `${sayHour(from)} to ${sayHour(to)}`;

const sayHour = (hour: number) =>
  Number.isInteger(hour) ? String(hour) : `${Math.floor(hour) || 12}:30`;
