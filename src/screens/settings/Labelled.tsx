import styles from './SettingsScreen.module.css';

/** A field under its label, with a word below it. */
export function Labelled(props: {
  readonly label: string;
  readonly hint?: string;
  readonly children: React.ReactNode;
}) {
  return (
    <label className={styles['labelled']}>
      <span>{props.label}</span>
      {props.children}
      {props.hint && <em>{props.hint}</em>}
    </label>
  );
}
