import styles from './CalloutLine.module.css';

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

/** The shortcuts of the field screen. */
export function KeyHelp({ isGeared }: { readonly isGeared: boolean }) {
  const keys = isGeared
    ? [...RIG_KEYS, ...KEYS.filter(([key]) => !key.startsWith('Page up'))]
    : KEYS;
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
