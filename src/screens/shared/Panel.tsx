import type { ReactNode } from 'react';
import styles from './Panel.module.css';

type Props = {
  readonly id: string;
  readonly title: string;
  readonly count?: number;
  readonly children: ReactNode;
};

/** One part of the screen under its title. */
export function Panel({ id, title, count, children }: Props) {
  return (
    <section className={styles['panel']} aria-labelledby={`${id}-title`}>
      <h2 id={`${id}-title`}>
        {title} {count !== undefined && count > 0 && <b>{count}</b>}
      </h2>
      {children}
    </section>
  );
}
