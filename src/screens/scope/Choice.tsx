import styles from './RunState.module.css';

type Props<T extends string> = {
  readonly label: string;
  readonly name: string;
  readonly value: T | null;
  readonly options: readonly (readonly [T, string])[];
  readonly onChoose: (value: T) => void;
};

/** A few choices side by side, one of them taken. */
export function Choice<T extends string>({ label, name, value, options, onChoose }: Props<T>) {
  return (
    <fieldset className={styles['choice']}>
      <legend>{label}</legend>
      <div>
        {options.map(([key, text]) => (
          <label key={key} data-on={key === value}>
            <input
              type="radio"
              name={name}
              checked={key === value}
              onChange={() => onChoose(key)}
            />
            {text}
          </label>
        ))}
      </div>
    </fieldset>
  );
}
