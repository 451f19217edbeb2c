import styles from './Wordmark.module.css';

/** A chipped stone and the name. */
export function Wordmark() {
  return (
    <a className={styles['mark']} href="/" aria-label="Chert: to Jobs">
      <svg viewBox="0 0 24 24" width="22" height="22" aria-hidden="true">
        <path className={styles['stone']} d="M7 2.5 17.5 3.5 22 11 17 20.5 7.5 21.5 2 13.5z" />
        <path className={styles['facets']} d="M7 2.5 11 10 22 11M11 10 2 13.5M11 10l6 10.5" />
      </svg>
      <span>Chert</span>
    </a>
  );
}
