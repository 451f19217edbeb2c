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

/** The shortcuts of the field screen. */
export function KeyHelp() {
  return (
    <dl className={styles['help']}>
      {KEYS.map(([key, does]) => (
        <div key={key}>
          <dt>{key}</dt>
          <dd>{does}</dd>
        </div>
      ))}
    </dl>
  );
}
