import styles from './CalloutLine.module.css';
import type { CounterBy } from './Counter';

const KEYS: readonly (readonly [string, string])[] = [
  ['Enter', 'logs the line'],
  ['Ctrl Enter, F9', 'flags: something is here'],
  ['Page up, Page down', 'move the counter a foot, with Shift a tenth'],
  ['Arrow up', 'brings the last line back'],
  ['Alt 1, Alt 2', 'choose between two readings'],
  ['Alt P', 'turns round: out or back'],
  ['Alt V', 'tape, list, findings, to do'],
  ['correct 31 clay', 'corrects what is at 31'],
  ['scrap that', 'takes the last one back'],
  ['?', 'closes this'],
];

/** What changes while the simulated rig is open. */
const RIG_KEYS: readonly (readonly [string, string])[] = [
  ['Page up, Page down', 'held: push, pull; with Shift slowly'],
  ['Alt W', 'water on or off'],
  ['Alt M', 'lets a minute go by'],
  ['Alt S', 'takes a still'],
  ['Alt L', 'locates the head'],
  ['Alt R', 'washes the lens'],
  ['Alt 0', 'zeroes the counter'],
];

/** What moves the picture on Look again. */
const PICTURE_KEYS: readonly (readonly [string, string])[] = [
  ['Page up, Page down', 'five seconds back, on; with Shift one picture'],
  ['F2', 'plays and pauses'],
  ['Escape', 'leaves the line; then letters move the picture'],
  ['Space, comma, period', 'play, one picture back, one on'],
  ['[ and ]', 'slower, faster'],
  ['N', 'next that is not settled'],
  ['L, F, S, M', 'loop, set the footage, still, measure'],
  ['/', 'back to the line'],
];

const OF_COUNTER: Readonly<Record<CounterBy, readonly (readonly [string, string])[]>> = {
  hand: [],
  reel: [],
  rig: RIG_KEYS,
  picture: PICTURE_KEYS,
};

/** The shortcuts of the field screen and of Look again. */
export function KeyHelp({ by }: { readonly by: CounterBy }) {
  const own = OF_COUNTER[by];
  const usual = own.length > 0 ? KEYS.filter(([key]) => !key.startsWith('Page up')) : KEYS;
  const keys = [...own, ...usual];
  return (
    <dl className={styles['help']}>
      {keys.map(([key, does]) => (
        <div key={key}>
          <dt>{key}</dt>
          <dd>{does}</dd>
        </div>
      ))}
    </dl>
  );
}
