import { type Dispatch, memo, type SetStateAction, useState } from 'react';
import styles from './WordButtons.module.css';
import { GROUPS, PAD, QUALITIES, THINGS, type WordButton } from './words';

type Props = { readonly onLine: Dispatch<SetStateAction<string>> };

/** Adds a word to the line; digits close up to the digits before them. */
function withWord(line: string, { says }: WordButton): string {
  if (/^[\d.]$/.test(says))
    return /[\d.]$/.test(line) || line === '' ? `${line}${says}` : `${line.trimEnd()} ${says}`;
  return line.trim() === '' ? `${says.trim()} ` : `${line.trimEnd()} ${says.trim()} `;
}

/** Builds the same line by touch: things first, then what sizes and places them. */
export const WordButtons = memo(function WordButtons({ onLine }: Props) {
  const [group, setGroup] = useState('Seen');
  // The line stays as the thumb left it: the touch keyboard does not come up for a word.
  const say = (button: WordButton) => onLine((line) => withWord(line, button));
  const shown = group === 'Size' ? QUALITIES : group === '123' ? PAD : THINGS[group]!;
  return (
    <div className={styles['build']}>
      <div className={styles['groups']} role="group" aria-label="Words for the line">
        {[...GROUPS, 'Size', '123'].map((name) => (
          <button
            key={name}
            type="button"
            aria-pressed={name === group}
            onClick={() => setGroup(name)}
          >
            {name}
          </button>
        ))}
      </div>
      <div className={styles['words']}>
        {shown.map((button) => (
          <button
            key={button.label}
            type="button"
            onClick={() => {
              say(button);
              // A thing is followed by its size.
              if (group === 'Seen' && !/^(?:can|standing)/.test(button.says)) setGroup('Size');
            }}
          >
            {button.label}
          </button>
        ))}
      </div>
    </div>
  );
});
