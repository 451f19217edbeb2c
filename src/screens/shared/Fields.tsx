import type { ReactNode } from 'react';
import form from './form.module.css';

/** A code of the file as words: "property-line-cleanout" → "Property line cleanout". */
export const sayCode = (code: string) => {
  const words = code.replace(/-/g, ' ').replace(/^(abs|pvc|hdpe)$/, (name) => name.toUpperCase());
  return words.charAt(0).toUpperCase() + words.slice(1);
};

type FieldProps = {
  readonly name: string;
  readonly label: string;
  readonly value?: string | number | undefined;
  readonly mode?: 'text' | 'decimal' | 'numeric';
  readonly type?: 'text' | 'date' | 'time';
  readonly hint?: string;
  /** The list of suggestions that the page has. */
  readonly list?: string;
};

/** A field of a plain form, read from its form data when that is sent. */
export function Field({ name, label, value = '', ...more }: FieldProps) {
  const { mode = 'text', type = 'text', hint, list } = more;
  return (
    <div className={form['field']}>
      <label htmlFor={name}>{label}</label>
      <input
        id={name}
        name={name}
        type={type}
        defaultValue={value}
        inputMode={mode}
        autoComplete="off"
        list={list}
        aria-describedby={hint ? `${name}-hint` : undefined}
      />
      {hint && (
        <p className={form['hint']} id={`${name}-hint`}>
          {hint}
        </p>
      )}
    </div>
  );
}

type SelectProps = {
  readonly name: string;
  readonly label: string;
  readonly options: readonly (string | readonly [value: string, text: string])[];
  readonly value: string;
};

export function Select({ name, label, options, value }: SelectProps) {
  return (
    <div className={form['field']}>
      <label htmlFor={name}>{label}</label>
      <select id={name} name={name} defaultValue={value}>
        {options.map((option) => {
          const [key, text] = typeof option === 'string' ? [option, sayCode(option)] : option;
          return (
            <option key={key} value={key}>
              {text}
            </option>
          );
        })}
      </select>
    </div>
  );
}

/** What is wrong with a form, one sentence each. */
export function Troubles({ list }: { readonly list: readonly string[] }): ReactNode {
  if (list.length === 0) return null;
  return (
    <ul className={form['error']} role="alert">
      {list.map((text) => (
        <li key={text}>{text}</li>
      ))}
    </ul>
  );
}
