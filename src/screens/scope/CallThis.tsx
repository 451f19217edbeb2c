import { useId } from 'react';
import { MEANINGS, unknownWords } from '#client/actions/teach';
import styles from './CalloutLine.module.css';

type Props = {
  readonly line: string;
  readonly onTeach: (says: string, means: string) => void;
};

/** A line that Chert could not read teaches: what its words mean is chosen once, and known from then on. */
export function CallThis({ line, onTeach }: Props) {
  const id = useId();
  const says = unknownWords(line);
  if (says === '') return null;
  return (
    <span className={styles['teach']}>
      <label htmlFor={id}>Call “{says}”</label>
      <select
        id={id}
        value=""
        onChange={(event) => event.target.value !== '' && onTeach(says, event.target.value)}
      >
        <option value="">…</option>
        {Object.entries(MEANINGS).map(([sort, meanings]) => (
          <optgroup key={sort} label={sort}>
            {meanings.map(({ name, means }) => (
              <option key={name} value={means}>
                {name}
              </option>
            ))}
          </optgroup>
        ))}
      </select>
    </span>
  );
}
